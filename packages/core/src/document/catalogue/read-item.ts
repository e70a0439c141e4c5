import { failure, success, type Problem, type Result } from '../../base/result.js';
import { valueOfPath } from '../design/index.js';
import { wordsOf, type ItemField } from './item-fields.js';
import { catalogueSchemas } from './schema.js';
import type { Catalogue, CatalogueKind } from './types.js';
import { written } from './written.js';

/** What is typed for an item: by the path of each field, as it is written. */
export type WrittenItem = Readonly<Record<string, string>>;

/** Numbers as people write them: with a comma for the point, or with spaces between thousands. */
const numberOf = (text: string): number => {
  const bare = text.replace(/[\s\u00a0]/g, '');
  return /^[+-]?\d+,\d+$/.test(bare)
    ? Number(bare.replace(',', '.'))
    : Number(bare.replace(/(?<=\d),(?=\d{3}\b)/g, ''));
};

/** Lists go by commas with a space, semicolons or spaces: a comma within a number is its point. */
const listOf = (text: string): readonly string[] =>
  text
    .split(/;|,\s+|,(?=\D)|\s+(?=\d)/)
    .map((each) => each.trim())
    .filter((each) => each !== '');

const yes: ReadonlySet<string> = new Set(['yes', 'y', 'true', '1', 'x']);
const no: ReadonlySet<string> = new Set(['no', 'n', 'false', '0', '']);

const aDay = /^\d{4}-\d{2}-\d{2}$/;

/** Millimetres by material, written as “acrylic 8, wood 6”. */
const byStuff = (text: string): readonly (readonly [string, number])[] =>
  text.split(/;|,\s+|,(?=\D)/).map((each) => {
    const [, stuff, value] = /^\s*([a-z]+)\s+([\d.,]+)\s*(?:mm)?\s*$/i.exec(each) ?? [];
    if (stuff === undefined) throw new Error(`is written as “acrylic 8, wood 6”; “${each.trim()}” is not`);
    return [stuff.toLowerCase(), numberOf(value ?? '')];
  });

/** The value of a field from what was written; a problem’s sentence where it is none. */
const valueOf = ({ form, choices, label, unit }: ItemField, text: string): unknown => {
  const trimmed = text.trim();
  switch (form) {
    case 'text':
      return trimmed;
    case 'day':
      if (!aDay.test(trimmed) || Number.isNaN(Date.parse(trimmed))) throw new Error('is a day such as 2030-01-31');
      return trimmed;
    case 'number':
    case 'share': {
      const value = numberOf(trimmed.replace(/%$/, ''));
      if (!Number.isFinite(value))
        throw new Error(`is a number${unit === '' ? '' : ` (${unit})`}; “${trimmed}” is none`);
      return form === 'share' ? value / 100 : value;
    }
    case 'choice': {
      const found = choices.find((each) => each === trimmed.toLowerCase());
      if (found === undefined) throw new Error(`is one of ${choices.join(', ')}; “${trimmed}” is not`);
      return found;
    }
    case 'choices': {
      const found = listOf(trimmed.toLowerCase().replace(/,/g, ', '));
      const unknown = found.find((each) => !choices.includes(each));
      if (unknown !== undefined) throw new Error(`are some of ${choices.join(', ')}; “${unknown}” is not`);
      return found;
    }
    case 'numbers': {
      const values = listOf(trimmed).map(numberOf);
      if (values.some((value) => !Number.isFinite(value)))
        throw new Error(`are numbers with commas between them, such as “0.2, 0.5”; “${trimmed}” are none`);
      return values;
    }
    case 'flag':
      if (yes.has(trimmed.toLowerCase())) return true;
      if (no.has(trimmed.toLowerCase())) return false;
      throw new Error(`is yes or no; “${trimmed}” is neither (${label})`);
    case 'cuts':
      return byStuff(trimmed).map(([stuff, mostMm]) => ({ stuff, mostMm }));
    case 'kerfs':
      return Object.fromEntries(byStuff(trimmed));
  }
};

const put = (item: Record<string, unknown>, [key, ...rest]: readonly string[], value: unknown): void => {
  if (key === undefined) return;
  if (rest.length === 0) {
    if (value === undefined) delete item[key];
    else item[key] = value;
    return;
  }
  const within = { ...(item[key] as Record<string, unknown> | undefined) };
  put(within, rest, value);
  if (Object.keys(within).length === 0) delete item[key];
  else item[key] = within;
};

/** A sanded edge of zero is none: what is stored as null where nothing is written. */
const nullWhereEmpty: ReadonlySet<string> = new Set(['sandGrit']);
/** Flags that are there or not. */
const onlyTrue: ReadonlySet<string> = new Set(['addressable', 'showsGrain']);

/** The field in which something within an item stands. */
const fieldAt = (fields: readonly ItemField[], path: readonly PropertyKey[]): ItemField | undefined => {
  const dotted = path.map(String).join('.');
  return fields.find((field) => dotted === field.path || dotted.startsWith(`${field.path}.`));
};

const atPath = (fields: readonly ItemField[], path: readonly PropertyKey[]): string =>
  fieldAt(fields, path)?.label ?? path.map(String).join('.');

interface Numbers {
  readonly [key: string]: unknown;
}

/** What the figures of an item must be to each other, whatever each is by itself. */
const together = (kind: CatalogueKind, item: Numbers): readonly Problem[] => {
  const at = (key: string): number => (typeof item[key] === 'number' ? item[key] : 0);
  const found: Problem[] = [];
  const tell = (bad: boolean, path: string, message: string): void => void (bad && found.push({ path, message }));
  if (kind === 'faces' || kind === 'coatings')
    tell(
      at('transmittance') + at('reflectance') > 1.0001,
      'transmittance',
      `and what is given back are ${Math.round(100 * (at('transmittance') + at('reflectance')))} % together; no sheet gives more light than it gets`,
    );
  if (kind === 'strips') {
    tell(at('cutPitchMm') > at('reelMm'), 'cutPitchMm', 'is longer than the reel');
    tell(at('forwardV') >= at('voltageV'), 'forwardV', 'is below the voltage of its supply');
    tell(
      at('lumensPerM') > 250 * at('wattsPerM'),
      'lumensPerM',
      'is more than 250 lm from each watt; no LED gives that',
    );
  }
  if (kind === 'covers') tell(at('litMm') > at('widthMm'), 'litMm', 'is wider than the cover');
  if (kind === 'controllers')
    tell(at('channelA') > at('totalA') && at('totalA') > 0, 'channelA', 'is more than all outputs together');
  return found;
};

/**
 * An item of a list from what was typed or read for it, over `base` where it changes or copies one: fields that are not
 * named stay as they are there, empty ones go. Fails with the path and the sentence of each field that is no such thing.
 */
export const readItem = <Kind extends CatalogueKind>(
  kind: Kind,
  given: WrittenItem,
  base: object = {},
): Result<Catalogue[Kind][number]> => {
  const { fields } = wordsOf(kind);
  const item = { ...(base as Record<string, unknown>) };
  const problems: Problem[] = [];
  for (const field of fields) {
    const text = given[field.path];
    // What is as it was keeps every digit that it has.
    if (text === undefined || (text !== '' && text === written(field, base))) continue;
    if (text.trim() === '' && field.form !== 'numbers' && field.form !== 'choices' && field.form !== 'cuts') {
      if (!field.optional && field.form !== 'flag')
        problems.push({ path: field.path, message: `${field.label} is missing` });
      else
        put(
          item,
          field.path.split('.'),
          nullWhereEmpty.has(field.path) ? null : field.form === 'flag' && !field.optional ? false : undefined,
        );
      continue;
    }
    try {
      const value = valueOf(field, text);
      const goes =
        (value === false && onlyTrue.has(field.path)) || (Array.isArray(value) && value.length === 0 && field.optional);
      put(item, field.path.split('.'), goes ? undefined : value);
    } catch (error) {
      problems.push({ path: field.path, message: `${field.label} ${(error as Error).message}` });
    }
  }
  if ((item['scatter'] as { kind?: string } | undefined)?.kind === 'lambertian')
    item['scatter'] = { kind: 'lambertian' };
  for (const path of nullWhereEmpty)
    if (fields.some((field) => field.path === path) && item[path] === undefined) item[path] = null;
  if (problems.length > 0) return failure(...problems);
  const read = catalogueSchemas[kind].safeParse(item);
  if (!read.success)
    return failure(
      ...read.error.issues.map(({ path, message }) => ({
        path: fieldAt(fields, path)?.path ?? path.map(String).join('.'),
        message:
          valueOfPath(item, path.map(String).join('.')) === undefined
            ? `${atPath(fields, path)} is missing`
            : `${atPath(fields, path)}: ${message}`,
      })),
    );
  const apart = together(kind, item);
  return apart.length > 0
    ? failure(...apart.map(({ path, message }) => ({ path, message: `${atPath(fields, [path])} ${message}` })))
    : success(read.data as unknown as Catalogue[Kind][number]);
};
