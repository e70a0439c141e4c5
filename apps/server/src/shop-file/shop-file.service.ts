import { createWriteStream } from 'node:fs';
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { HttpException, Injectable } from '@nestjs/common';
import type { ShopFileReport } from '@vitrum/contract';
import type { Problem } from '@vitrum/core';
import { asc, getTableColumns, gt, sql } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import { badRequest } from '../common/problems.js';
import { DatabaseService, type Transaction } from '../database/database.module.js';
import { catalogueItems, stockEntries, stockLots } from '../database/schema.js';
import { SummariesService } from '../summaries/summaries.service.js';
import { headProblem, readLine, shopFileHead, type ReadRow } from './read-line.js';
import { shopTableNames, shopTables, type ShopTable } from './tables.js';

const rowsAtOnce = 200;
/** A line holds a design at most. */
const longestLine = 3_000_000;
/** Of what is unpacked: a small file may hold a great deal of nothing. */
const mostBytes = 600_000_000;
const mostProblems = 20;

/** The first bytes of a stream, which tell whether it is packed, and all of it. */
const firstBytes = async (source: Readable): Promise<{ readonly head: Buffer; readonly whole: Readable }> => {
  const parts = source[Symbol.asyncIterator]() as AsyncIterator<Buffer>;
  const first = await parts.next();
  const head = first.done === true ? Buffer.alloc(0) : first.value;
  const again = async function* (): AsyncGenerator<Buffer> {
    yield head;
    for (let part = await parts.next(); part.done !== true; part = await parts.next()) yield part.value;
  };
  return { head, whole: Readable.from(again()) };
};

/** Bytes as base64; a buffer makes an object of itself before anybody else is asked. */
const asText = (_key: string, value: unknown): unknown => {
  const made = value as { readonly type?: unknown; readonly data?: unknown } | null;
  return made?.type === 'Buffer' && Array.isArray(made.data)
    ? Buffer.from(made.data as number[]).toString('base64')
    : value;
};

/** Ends what goes on for ever. */
const bounded = (): Transform => {
  let seen = 0;
  let line = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      seen += chunk.length;
      const newline = chunk.lastIndexOf(10);
      line = newline < 0 ? line + chunk.length : chunk.length - newline;
      if (seen > mostBytes) done(new HttpException('The file is larger than a shop can be.', 413));
      else if (line > longestLine) done(new HttpException('A line of the file is longer than a design can be.', 413));
      else done(null, chunk);
    },
  });
};

/** The whole shop as one file: a line a row, and back. */
@Injectable()
export class ShopFileService {
  constructor(
    private readonly database: DatabaseService,
    private readonly summaries: SummariesService,
  ) {}

  /**
   * Writes every row of the shop, a line each after one that says what it is, packed, into a file of its own; who is done
   * with it takes it away. All of it as it stood at one moment, whatever is saved meanwhile.
   */
  async write(): Promise<string> {
    const path = join(await mkdtemp(join(tmpdir(), 'vitrum-shop-')), 'shop.ndjson.gz');
    await this.database.db.transaction(
      (transaction) => pipeline(Readable.from(this.lines(transaction)), createGzip(), createWriteStream(path)),
      { isolationLevel: 'repeatable read', accessMode: 'read only' },
    );
    return path;
  }

  private async *lines(transaction: Transaction): AsyncGenerator<string> {
    yield `${JSON.stringify({ ...shopFileHead, at: new Date().toISOString() })}\n`;
    for (const name of shopTableNames) yield* this.rowsOf(transaction, name);
  }

  private async *rowsOf(transaction: Transaction, name: ShopTable): AsyncGenerator<string> {
    const { table, fields } = shopTables[name] as { readonly table: PgTable; readonly fields: object };
    const columns = getTableColumns(table);
    const wanted = Object.fromEntries(
      Object.keys(fields).map((key) => [
        key,
        // As it was written, odd escapes and all.
        key === 'design' ? sql<string>`${columns[key]}::text` : columns[key]!,
      ]),
    ) as Record<string, PgColumn>;
    let after = '(0,0)';
    for (;;) {
      const rows = await transaction
        .select({ ...wanted, ctid: sql<string>`ctid::text` })
        .from(table)
        .where(gt(sql`ctid`, sql`${after}::tid`))
        .orderBy(asc(sql`ctid`))
        .limit(rowsAtOnce);
      for (const { ctid, ...row } of rows) {
        after = ctid;
        const { design, ...rest } = row as Readonly<Record<string, unknown>>;
        const body = JSON.stringify(rest, asText);
        yield typeof design === 'string'
          ? `{"${name}":${body.slice(0, -1)},"design":${design}}}\n`
          : `{"${name}":${body}}\n`;
      }
      if (rows.length < rowsAtOnce) return;
    }
  }

  /** Reads a shop’s file, packed or plain: what is not there yet is added, all of it or nothing. */
  async read(source: Readable): Promise<ShopFileReport> {
    const { head, whole } = await firstBytes(source);
    const isPacked = head[0] === 0x1f && head[1] === 0x8b;
    const text = bounded();
    const failed = new Promise<never>((_, reject) => {
      for (const stream of [whole, text]) stream.on('error', reject);
    });
    failed.catch(() => undefined);
    if (isPacked) {
      const unpacking = createGunzip();
      unpacking.on('error', () => text.destroy(new HttpException('The file is broken: it cannot be unpacked.', 400)));
      whole.pipe(unpacking).pipe(text);
    } else whole.pipe(text);
    const rows = await Promise.race([this.rowsIn(text), failed]);
    const report = await this.put(rows);
    await this.summaries.catchUp();
    return report;
  }

  private async rowsIn(text: Readable): Promise<readonly ReadRow[]> {
    const rows: ReadRow[] = [];
    const problems: Problem[] = [];
    let number = 0;
    for await (const line of createInterface({ input: text, crlfDelay: Infinity })) {
      number += 1;
      if (number === 1) {
        const problem = headProblem(line);
        if (problem !== null) throw badRequest([{ path: 'line 1', message: problem }]);
      } else if (line !== '') {
        const read = readLine(line);
        if (read.ok) rows.push(read.value);
        else if (problems.length < mostProblems) problems.push({ path: `line ${number}`, message: read.message });
      }
    }
    if (number === 0) throw badRequest([{ path: '', message: 'The file is empty.' }]);
    if (problems.length > 0) throw badRequest(problems);
    return rows;
  }

  private put(rows: readonly ReadRow[]): Promise<ShopFileReport> {
    return this.database.transaction(async (transaction) => {
      const added: Record<string, number> = {};
      const known: Record<string, number> = {};
      for (const name of shopTableNames) {
        const own = rows.filter(({ table }) => table === name).map(({ row }) => row);
        for (let from = 0; from < own.length; from += rowsAtOnce) {
          const part = own.slice(from, from + rowsAtOnce);
          const count = await this.insert(transaction, name, part);
          added[name] = (added[name] ?? 0) + count;
          known[name] = (known[name] ?? 0) + part.length - count;
        }
      }
      await this.mustAddUp(transaction);
      return { added, known, problems: [] };
    });
  }

  private async insert(
    transaction: Transaction,
    name: ShopTable,
    rows: readonly Readonly<Record<string, unknown>>[],
  ): Promise<number> {
    const { table } = shopTables[name] as { readonly table: PgTable };
    const insert = transaction.insert(table).values(rows as never);
    const put =
      name === 'catalogueItems'
        ? // What ships gives way to what the shop made of it.
          insert.onConflictDoUpdate({
            target: [catalogueItems.kind, catalogueItems.id],
            set: { data: sql`excluded.data`, place: sql`excluded.place`, version: sql`${catalogueItems.version} + 1` },
            setWhere: sql`${catalogueItems.data}::text is distinct from excluded.data::text and not (${catalogueItems.data} ?| array['editedOn', 'retiredOn', 'newerId'])`,
          })
        : insert.onConflictDoNothing();
    const made = await put.returning({ one: sql<number>`1` });
    return made.length;
  }

  /** Stock is a ledger: what is there is the sum of what became of it, after a file was read too. */
  private async mustAddUp(transaction: Transaction): Promise<void> {
    const wrong = await transaction
      .select({ id: stockLots.id })
      .from(stockLots)
      .leftJoin(stockEntries, sql`${stockEntries.lotId} = ${stockLots.id}`)
      .groupBy(stockLots.id)
      .having(sql`abs(${stockLots.amount} - coalesce(sum(${stockEntries.delta}), 0)) > 1e-3`)
      .limit(1);
    if (wrong[0] !== undefined)
      throw badRequest([
        {
          path: 'stockEntries',
          message: `The entries of lot ${wrong[0].id} do not add up to what is there of it; nothing was taken.`,
        },
      ]);
  }
}
