import { sql } from 'drizzle-orm';
import type { Database } from '../database/database.module.js';
import { sweeps } from '../database/schema.js';

/** What takes a person no longer than that, all told, is done first (ms); all else takes turns. */
const shortMs = 10_000;
/** About what a point takes (ms). */
const pointMs = 50;
/** More workers than that do not look for work at once. */
const mostCandidates = 64;

/** Sweeps that are not at their end. */
export const underWay = sql`${sweeps.status} in ('queued', 'running')`;

/**
 * Sweeps that want doing, in the order of their turns: what is short goes first, counting what its person has had of all
 * that is under way; the rest take turns, person by person. So a short sweep does not wait behind long ones, many sweeps of
 * one person get no more than one of another, and none is forgotten.
 */
export const nextInTurn = async (db: Pick<Database, 'execute'>): Promise<readonly string[]> => {
  const { rows } = await db.execute<{ id: string }>(sql`
    with persons as (
      select person, sum(worked_ms) as worked, max(updated_at) as last_turn
      from ${sweeps} where ${underWay} group by person
    )
    select ${sweeps.id} from ${sweeps} join persons using (person) where ${underWay}
    order by
      least(worked + ${pointMs} * (total - done)::bigint, ${shortMs}), last_turn, ${sweeps.updatedAt}, ${sweeps.id}
    limit ${mostCandidates}`);
  return rows.map(({ id }) => id);
};
