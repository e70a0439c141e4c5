import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { Injectable } from '@nestjs/common';
import type { ShopFileReport } from '@vitrum/contract';
import type { Problem } from '@vitrum/core';
import { asc, getTableColumns, gt, sql } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import { badRequest } from '../common/problems.js';
import { DatabaseService, type Transaction } from '../database/database.module.js';
import { stockEntries, stockLots } from '../database/schema.js';
import { SummariesService } from '../summaries/summaries.service.js';
import { keepUpload, readLines } from './packed-lines.js';
import { headProblem, readLine, shopFileHead } from './read-line.js';
import { rowWriter } from './row-writer.js';
import { shopTableNames, shopTables, type ShopTable, type FieldSpec } from './tables.js';

const rowsAtOnce = 200;
/** Of a file as it is sent, and of what is unpacked from it: a small file may hold a great deal of nothing. */
const mostSentBytes = 300_000_000;
const mostBytes = 1_500_000_000;
/** Rows with pictures in them are several megabytes each. */
const picturesAtOnce = 4;
const mostProblems = 20;

/** A row as it is written, bytes as base64. */
const asText = (row: Readonly<Record<string, unknown>>): string =>
  JSON.stringify(
    Object.fromEntries(
      Object.entries(row).map(([key, value]) => [key, Buffer.isBuffer(value) ? value.toString('base64') : value]),
    ),
  );

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
    await this.database.transactionOnce(
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
    const atOnce = Object.values(fields as Readonly<Record<string, FieldSpec>>).some(({ kind }) => kind === 'bytes')
      ? picturesAtOnce
      : rowsAtOnce;
    let after = '(0,0)';
    for (;;) {
      const rows = await transaction
        .select({ ...wanted, ctid: sql<string>`ctid::text` })
        .from(table)
        .where(gt(sql`ctid`, sql`${after}::tid`))
        .orderBy(asc(sql`ctid`))
        .limit(atOnce);
      for (const { ctid, ...row } of rows) {
        after = ctid;
        const { design, ...rest } = row as Readonly<Record<string, unknown>>;
        const body = asText(rest);
        yield typeof design === 'string'
          ? `{"${name}":${body.slice(0, -1)},"design":${design}}}\n`
          : `{"${name}":${body}}\n`;
      }
      if (rows.length < atOnce) return;
    }
  }

  /**
   * Reads a shop’s file, packed or plain: what is not there yet is added, all of it or nothing. It is kept on disk first, so
   * that no connection waits for a slow sender, and then goes row by row: no more of it is in memory than some rows.
   */
  async read(source: Readable): Promise<ShopFileReport> {
    const folder = await mkdtemp(join(tmpdir(), 'vitrum-shop-'));
    try {
      const path = join(folder, 'sent');
      await keepUpload(source, path, mostSentBytes);
      const report = await this.database.transactionOnce(async (transaction) => {
        const found = await this.put(transaction, path);
        await this.mustAddUp(transaction);
        return found;
      });
      await this.summaries.catchUp();
      return report;
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }

  private async put(transaction: Transaction, path: string): Promise<ShopFileReport> {
    const writer = rowWriter(transaction);
    const problems: Problem[] = [];
    let number = 0;
    await readLines(path, mostBytes, async (lines) => {
      for await (const line of lines) {
        number += 1;
        if (number === 1) {
          const problem = headProblem(line);
          if (problem !== null) throw badRequest([{ path: 'line 1', message: problem }]);
        } else if (line.trim() !== '') {
          const read = readLine(line);
          if (!read.ok) problems.push({ path: `line ${number}`, message: read.message });
          // From the first that is not understood on, lines are read to tell of them; nothing is taken any more.
          else if (problems.length === 0) await writer.add(read.value, number);
          if (problems.length === mostProblems) throw badRequest(problems);
        }
      }
      if (number === 0) throw badRequest([{ path: '', message: 'The file is empty.' }]);
      if (problems.length > 0) throw badRequest(problems);
      await writer.flush(number);
    });
    return writer.counts;
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
