import { sql } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import { badRequest } from '../common/problems.js';
import type { Transaction } from '../database/database.module.js';
import { catalogueItems } from '../database/schema.js';
import type { ReadRow } from './read-line.js';
import { shopTables, type ShopTable } from './tables.js';

const rowsAtOnce = 200;
/** Of rows with pictures in them fewer go at once. */
const bytesAtOnce = 16_000_000;

const pictureBytes = (row: ReadRow['row']): number =>
  Object.values(row).reduce<number>((sum, value) => sum + (Buffer.isBuffer(value) ? value.length : 0), 0);

type Counts = Record<string, number>;

const insert = async (
  transaction: Transaction,
  name: ShopTable,
  rows: readonly Readonly<Record<string, unknown>>[],
): Promise<number> => {
  const { table } = shopTables[name] as { readonly table: PgTable };
  const asked = transaction.insert(table).values(rows as never);
  const put =
    name === 'catalogueItems'
      ? // What ships gives way to what the shop made of it.
        asked.onConflictDoUpdate({
          target: [catalogueItems.kind, catalogueItems.id],
          set: { data: sql`excluded.data`, place: sql`excluded.place`, version: sql`${catalogueItems.version} + 1` },
          setWhere: sql`${catalogueItems.data}::text is distinct from excluded.data::text and not (${catalogueItems.data} ?| array['editedOn', 'retiredOn', 'newerId'])`,
        })
      : asked.onConflictDoNothing();
  return (await put.returning({ one: sql<number>`1` })).length;
};

/** What the database says no to for what a row is: it refers to nothing, or breaks a bound. */
const isRefused = (error: unknown): boolean =>
  /^(22|23)/.test(String((error as { cause?: { code?: unknown } }).cause?.code));

/** Puts rows into their tables as they come, some at a time, and counts what is new. */
export const rowWriter = (transaction: Transaction) => {
  const added: Counts = {};
  const known: Counts = {};
  let table: ShopTable | null = null;
  let rows: Readonly<Record<string, unknown>>[] = [];
  let bytes = 0;
  const flush = async (line: number): Promise<void> => {
    if (table === null || rows.length === 0) return;
    try {
      const count = await insert(transaction, table, rows);
      added[table] = (added[table] ?? 0) + count;
      known[table] = (known[table] ?? 0) + rows.length - count;
    } catch (error) {
      if (!isRefused(error)) throw error;
      throw badRequest([
        {
          path: `up to line ${line}`,
          message: `one of these ${table} belongs to something that is neither in the file before it nor in this shop; nothing was taken`,
        },
      ]);
    }
    rows = [];
    bytes = 0;
  };
  return {
    add: async (row: ReadRow, line: number): Promise<void> => {
      if (row.table !== table || rows.length === rowsAtOnce || bytes > bytesAtOnce) await flush(line);
      table = row.table;
      rows.push(row.row);
      bytes += pictureBytes(row.row);
    },
    flush,
    counts: { added, known } as { readonly added: Readonly<Counts>; readonly known: Readonly<Counts> },
  };
};
