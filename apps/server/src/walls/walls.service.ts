import { BadRequestException, ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import type { WallView } from '@vitrum/contract';
import { wallProblem, type WallLight, type WallSetup } from '@vitrum/core';
import { and, eq, sql } from 'drizzle-orm';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { badRequest } from '../common/problems.js';
import { DatabaseService } from '../database/database.module.js';
import { jobs, revisions, wallPhotos } from '../database/schema.js';
import { QuotePool } from '../quotes/quote-pool.js';
import type { Wall } from '../quotes/quote-thread.js';
import { sizeOfWallPhoto, wallPhotoSides } from './wall-photo.js';

/** How large a photograph is; throws a 400 for what is none, or too large. */
const sizeOf = (photo: Uint8Array): { readonly width: number; readonly height: number } => {
  const size = sizeOfWallPhoto(photo);
  if (size === null)
    throw new BadRequestException(
      `Send the photograph as PNG, from ${wallPhotoSides[0]} to ${wallPhotoSides[1]} pixels a side.`,
    );
  return size;
};

/** Photographs of walls that signs are to hang on, and signs shown on them. */
@Injectable()
export class WallsService {
  constructor(
    private readonly database: DatabaseService,
    private readonly catalogue: CatalogueService,
    private readonly pool: QuotePool,
  ) {}

  /** Of a job without one, null. */
  async ofJob(jobId: string): Promise<WallView | null> {
    const [row] = await this.database.steady((db) =>
      db
        .select({
          width: wallPhotos.width,
          height: wallPhotos.height,
          setup: wallPhotos.setup,
          changedAt: wallPhotos.changedAt,
        })
        .from(wallPhotos)
        .where(eq(wallPhotos.jobId, jobId)),
    );
    return row === undefined ? null : { ...row, changedAt: row.changedAt.toISOString() };
  }

  async photo(jobId: string): Promise<Buffer> {
    const [row] = await this.database.steady((db) =>
      db.select({ photo: wallPhotos.photo }).from(wallPhotos).where(eq(wallPhotos.jobId, jobId)),
    );
    if (row === undefined) throw noPhoto();
    return row.photo;
  }

  /** Keeps a photograph in place of the one before; where the sign is to be is to be said anew. */
  async keepPhoto(jobId: string, photo: Buffer): Promise<void> {
    const { width, height } = sizeOf(photo);
    await this.database.transaction(async (transaction) => {
      const [job] = await transaction.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, jobId));
      if (job === undefined) throw new NotFoundException('There is no such job in the book.');
      const set = { photo, width, height, setup: null, changedAt: sql`now()` };
      await transaction
        .insert(wallPhotos)
        .values({ jobId, ...set })
        .onConflictDoUpdate({ target: wallPhotos.jobId, set });
    });
  }

  async place(jobId: string, setup: WallSetup): Promise<WallView> {
    const view = await this.ofJob(jobId);
    if (view === null) throw noPhoto();
    const problem = wallProblem(setup, view);
    if (problem !== null) throw badRequest([problem]);
    const rows = await this.database.steady((db) =>
      db
        .update(wallPhotos)
        .set({ setup, changedAt: sql`now()` })
        // Another photograph may have come meanwhile: its corners are others.
        .where(and(eq(wallPhotos.jobId, jobId), eq(wallPhotos.width, view.width), eq(wallPhotos.height, view.height)))
        .returning({ jobId: wallPhotos.jobId }),
    );
    if (rows.length === 0) throw new ConflictException('Another photograph came meanwhile; lay its corners anew.');
    return (await this.ofJob(jobId))!;
  }

  async remove(jobId: string): Promise<void> {
    await this.database.steady((db) => db.delete(wallPhotos).where(eq(wallPhotos.jobId, jobId)));
  }

  /** The wall of a job that a sign can be shown on; null where there is none. */
  async wall(jobId: string): Promise<Wall | null> {
    const [row] = await this.database.steady((db) =>
      db
        .select({ photo: wallPhotos.photo, setup: wallPhotos.setup })
        .from(wallPhotos)
        .where(eq(wallPhotos.jobId, jobId)),
    );
    return row === undefined || row.setup === null ? null : { photo: row.photo, setup: row.setup };
  }

  /** The sign of a job, as it is now, on its wall (PNG). */
  async picture(jobId: string, by: WallLight): Promise<Uint8Array> {
    const [wall, [head]] = await Promise.all([
      this.wall(jobId),
      this.database.steady((db) =>
        db
          .select({ design: sql<string>`${revisions.design}::text` })
          .from(jobs)
          .innerJoin(revisions, and(eq(revisions.jobId, jobs.id), eq(revisions.number, jobs.headRevision)))
          .where(eq(jobs.id, jobId)),
      ),
    ]);
    if (wall === null || head === undefined) throw noPhoto();
    const catalogue = await this.catalogue.read();
    const found = await this.pool.find({ kind: 'wall', design: head.design, catalogue, wall, by });
    if (found?.kind === 'on-wall') return found.picture;
    throw new ConflictException(
      found?.kind === 'no-wall' ? found.problem : 'This design cannot be built as it stands; mend what stops it first.',
    );
  }
}

const noPhoto = (): NotFoundException => new NotFoundException('There is no photograph of this job’s wall yet.');
