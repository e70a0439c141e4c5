import { itemsIn } from '@vitrum/core';
import { eq, isNull } from 'drizzle-orm';
import { catalogueItems, revisions } from '../database/schema.js';
import type { Database, Transaction } from '../database/database.module.js';

type Reads = Pick<Transaction, 'select'>;

const idsOnShelf = async (db: Reads): Promise<ReadonlySet<string>> =>
  new Set((await db.select({ id: catalogueItems.id }).from(catalogueItems)).map(({ id }) => id));

/** Which items of the shelf a design names, from its text. */
export const itemsNamed = async (db: Reads, designText: string): Promise<readonly string[]> =>
  itemsIn(designText, await idsOnShelf(db));

/** So many revisions of an earlier version are looked through at once. */
const atOnce = 200;

/** Notes for every revision that was saved before such notes were kept which items it names. */
export const noteItems = async (db: Database): Promise<void> => {
  const ids = await idsOnShelf(db);
  for (;;) {
    const rows = await db
      .select({ id: revisions.id, design: revisions.design })
      .from(revisions)
      .where(isNull(revisions.items))
      .limit(atOnce);
    if (rows.length === 0) return;
    for (const { id, design } of rows)
      await db
        .update(revisions)
        .set({ items: [...itemsIn(JSON.stringify(design), ids)] })
        .where(eq(revisions.id, id));
  }
};
