import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import type { Lesson } from '@vitrum/core';
import { count, desc, eq, getTableColumns } from 'drizzle-orm';
import { DatabaseService } from '../database/database.module.js';
import { jobs, lessons } from '../database/schema.js';

/** Nobody reads more than that. */
const mostLessons = 1000;

const { retired: _retired, ...shown } = getTableColumns(lessons);
type Row = Omit<typeof lessons.$inferSelect, 'retired'>;
const lessonOf = ({ madeAt, ...row }: Row): Lesson => ({ ...row, madeAt: madeAt.toISOString() });

/** What the shop learned, in its own words. */
@Injectable()
export class LessonsService {
  constructor(private readonly database: DatabaseService) {}

  /** Lessons that hold, the newest first. */
  async list(): Promise<readonly Lesson[]> {
    const rows = await this.database.steady((db) =>
      db.select(shown).from(lessons).where(eq(lessons.retired, false)).orderBy(desc(lessons.madeAt)).limit(mostLessons),
    );
    return rows.map(lessonOf);
  }

  /** Keeps a lesson; sent twice, it is one. */
  keep(lesson: Omit<Lesson, 'madeAt'>): Promise<Lesson> {
    return this.database.transaction(async (transaction) => {
      if (lesson.jobId !== null) {
        const [job] = await transaction.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, lesson.jobId));
        if (job === undefined) throw new NotFoundException('There is no such job in the book.');
      }
      const [{ there } = { there: 0 }] = await transaction
        .select({ there: count() })
        .from(lessons)
        .where(eq(lessons.retired, false));
      if (there >= mostLessons)
        throw new ConflictException(`The shop keeps ${mostLessons} lessons; put some away that no longer hold.`);
      await transaction.insert(lessons).values(lesson).onConflictDoNothing();
      const [row] = await transaction.select(shown).from(lessons).where(eq(lessons.id, lesson.id));
      return lessonOf(row!);
    });
  }

  /** Puts a lesson away that no longer holds. */
  async retire(id: string): Promise<void> {
    const rows = await this.database.steady((db) =>
      db.update(lessons).set({ retired: true }).where(eq(lessons.id, id)).returning({ id: lessons.id }),
    );
    if (rows.length === 0) throw new NotFoundException('There is no such lesson.');
  }
}
