import { entryProblem, readCatalogue, type LogEntry } from '@vitrum/core';
import { typeOfPhoto } from '../bench/photo-type.js';
import { textShapeProblem } from '../intake/scan-shape.js';
import { designHash } from '../jobs/design-hash.js';
import { caredProblem, claimProblem, paperProblem, quoteProblem, wallPhotoProblem } from './kept-json.js';
import { fieldProblem, shopTables, type FieldSpec, type ShopTable } from './tables.js';

/** The first line of a shop’s file. */
export const shopFileHead = { format: 'vitrum-shop', version: 1 } as const;

/** A row that was read, ready to be put into its table. */
export interface ReadRow {
  readonly table: ShopTable;
  readonly row: Readonly<Record<string, unknown>>;
}

/** A line in words that say what is wrong with it, or the row it holds. */
export type ReadLine =
  { readonly ok: true; readonly value: ReadRow } | { readonly ok: false; readonly message: string };

const no = (message: string): ReadLine => ({ ok: false, message });

const parsed = (line: string): unknown => {
  try {
    return JSON.parse(line);
  } catch {
    return undefined;
  }
};

/** What the fields of a row alone do not tell. */
const deeper: Partial<Readonly<Record<ShopTable, (row: Readonly<Record<string, unknown>>) => string | null>>> = {
  jobs: ({ cared }) => caredProblem(cared),
  revisions: ({ design, hash }) =>
    designHash(design as never) === hash
      ? null
      : 'the hash is not that of its design; the file was changed or is broken',
  catalogueItems: ({ kind, id, data }) => {
    const { problems } = readCatalogue([{ kind: kind as string, id: id as string, data }]);
    return problems.length === 0 ? null : `${problems[0]!.path}: ${problems[0]!.message}`;
  },
  shopPapers: paperProblem,
  quotes: quoteProblem,
  stockClaims: claimProblem,
  benchPhotos: ({ type, bytes }) =>
    typeOfPhoto(Buffer.from(bytes as string, 'base64')) === type
      ? null
      : 'the bytes are not the photograph they are said to be',
  wallPhotos: wallPhotoProblem,
  benchEntries: (row) => entryProblem(row as unknown as LogEntry),
};

/** Reads a line of a shop’s file: `{"jobs": {…}}`. */
export const readLine = (line: string): ReadLine => {
  const tooMuch = textShapeProblem(new TextEncoder().encode(line));
  if (tooMuch !== null) return no(tooMuch);
  const body = parsed(line);
  if (typeof body !== 'object' || body === null || Array.isArray(body)) return no('is no JSON object');
  const [[name, row] = [], ...rest] = Object.entries(body as Readonly<Record<string, unknown>>);
  if (name === undefined || rest.length > 0) return no('holds one row, under the name of its table');
  if (!Object.hasOwn(shopTables, name)) return no(`“${name.slice(0, 40)}” is no table of a shop`);
  if (typeof row !== 'object' || row === null || Array.isArray(row)) return no(`${name} holds an object`);
  const table = name as ShopTable;
  const fields: Readonly<Record<string, FieldSpec>> = shopTables[table].fields;
  for (const key of Object.keys(row))
    if (!Object.hasOwn(fields, key)) return no(`${name}.${key.slice(0, 40)} is no field`);
  const before = Object.entries(fields).flatMap(([key, { whenAbsent }]) =>
    whenAbsent === undefined ? [] : [[key, whenAbsent] as const],
  );
  const given: Readonly<Record<string, unknown>> = { ...Object.fromEntries(before), ...row };
  for (const [key, spec] of Object.entries(fields)) {
    const problem = fieldProblem(spec, given[key]);
    if (problem !== null) return no(`${name}.${key} is ${problem}`);
  }
  const more = deeper[table]?.(given) ?? null;
  if (more !== null) return no(more);
  const made = Object.entries(fields).flatMap(([key, { kind }]): readonly (readonly [string, unknown])[] => {
    const value = given[key];
    if (typeof value !== 'string') return [];
    return kind === 'time' ? [[key, new Date(value)]] : kind === 'bytes' ? [[key, Buffer.from(value, 'base64')]] : [];
  });
  return {
    ok: true,
    value: {
      table,
      row: { ...given, ...Object.fromEntries(made) },
    },
  };
};

/** What is wrong with the first line; null where the file is one of a shop that this version can read. */
export const headProblem = (line: string): string | null => {
  const body = parsed(line) as Readonly<Record<string, unknown>> | undefined;
  if (body?.['format'] !== shopFileHead.format) return 'This is no file of a shop: its first line does not say so.';
  const version = body['version'];
  return version === shopFileHead.version
    ? null
    : `This file is of version ${JSON.stringify(version)}; this program reads version ${shopFileHead.version}.`;
};
