import { Injectable } from '@nestjs/common';
import type { Versioned } from '@vitrum/contract';
import { and, eq, sql } from 'drizzle-orm';
import { DatabaseService } from '../database/database.module.js';
import { shopPapers } from '../database/schema.js';

/** What became of a change: the paper as it is then, or as somebody else has changed it meanwhile. */
export type PaperOutcome<Paper> =
  | { readonly kind: 'kept'; readonly now: Versioned<Paper> }
  | { readonly kind: 'conflict'; readonly now: Versioned<Paper> };

/** Papers of which the shop keeps one each: its hours, its plan. */
@Injectable()
export class PapersService {
  constructor(private readonly database: DatabaseService) {}

  /** A paper as it was last kept; `blank`, of version 0, where none was. */
  async read<Paper>(name: string, blank: Paper): Promise<Versioned<Paper>> {
    const [row] = await this.database.steady((db) => db.select().from(shopPapers).where(eq(shopPapers.name, name)));
    return row === undefined ? { version: 0, paper: blank } : { version: row.version, paper: row.data as Paper };
  }

  /** Keeps a paper that was made from version `basedOn`; where that is no longer the last, nothing is changed. */
  async keep<Paper extends object>(name: string, paper: Paper, basedOn: number): Promise<PaperOutcome<Paper>> {
    const rows = await this.database.steady((db) =>
      basedOn === 0
        ? db.insert(shopPapers).values({ name, data: paper }).onConflictDoNothing().returning()
        : db
            .update(shopPapers)
            .set({ data: paper, version: basedOn + 1, changedAt: sql`now()` })
            .where(and(eq(shopPapers.name, name), eq(shopPapers.version, basedOn)))
            .returning(),
    );
    const [row] = rows;
    if (row !== undefined) return { kind: 'kept', now: { version: row.version, paper } };
    const now = await this.read(name, paper);
    // What was kept before its answer was lost is not somebody else’s.
    if (now.version === basedOn + 1 && JSON.stringify(now.paper) === JSON.stringify(paper))
      return { kind: 'kept', now };
    return { kind: 'conflict', now };
  }
}
