import type { Catalogue } from '../../document/catalogue/index.js';
import type { Design } from '../design/index.js';
import type { DesignDifference } from './design-differences.js';

/** A difference as a person would tell it. */
export interface ToldDifference {
  readonly what: string;
  readonly was: string;
  readonly now: string;
}

/** Units that names of fields end in. */
const units: readonly (readonly [suffix: string, unit: string, typedPer: number])[] = [
  ['CdM2', ' cd/m²', 1],
  ['PerKwh', ' /kWh', 1],
  ['Share', ' %', 100],
  ['Mm', ' mm', 1],
  ['Deg', '°', 1],
  ['Lx', ' lx', 1],
  ['Kg', ' kg', 1],
  ['V', ' V', 1],
  ['W', ' W', 1],
  ['K', ' K', 1],
  ['C', ' °C', 1],
];

const unitOf = (key: string) => units.find(([suffix]) => key.endsWith(suffix) && key.length > suffix.length);

const plain = (key: string): string =>
  key
    .replace(/Id$/, '')
    .replace(/([a-z0-9])([A-Z])/g, (_, before: string, after: string) => `${before} ${after.toLowerCase()}`);

const mostLetters = 60;

const valueWords = (value: unknown, key: string, nameOf: (id: string) => string): string => {
  if (value === undefined || value === null || value === '') return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') {
    const unit = unitOf(key);
    return `${Math.round(value * (unit?.[2] ?? 1) * 100) / 100}${unit?.[1] ?? ''}`;
  }
  if (typeof value === 'string') {
    const words = key.endsWith('Id') ? nameOf(value) : value.replaceAll('\n', ' / ');
    return words.length > mostLetters ? `${words.slice(0, mostLetters)} …` : words;
  }
  if (Array.isArray(value)) return value.length === 1 ? 'one' : `${value.length} of them`;
  return 'as set there';
};

/** What differs, in words: items of the shelf by their names, assemblies by theirs, figures with their units. */
export const differenceWords = (
  { path, was, now }: DesignDifference,
  { assemblies }: Design,
  catalogue: Catalogue,
): ToldDifference => {
  const lists = Object.values(catalogue).filter(Array.isArray) as (readonly {
    readonly id: string;
    readonly name: string;
  }[])[];
  const nameOf = (id: string): string =>
    lists.flatMap((list) => list.find((item) => item.id === id) ?? [])[0]?.name ?? id;
  const keys = path.split('.');
  const own = keys[0] === 'assemblies' ? assemblies[Number(keys[1])] : undefined;
  const named = (keys[0] === 'assemblies' ? keys.slice(2) : keys).map((key, at, all) => {
    const unit = unitOf(key);
    const isLast = at === all.length - 1;
    return /^\d+$/.test(key) ? String(Number(key) + 1) : plain(isLast && unit ? key.slice(0, -unit[0].length) : key);
  });
  const last = keys.at(-1) ?? '';
  const label = own === undefined || assemblies.length === 1 ? '' : `${own.id}: `;
  return {
    what: `${label}${named.length === 0 ? 'the assembly' : named.join(', ')}`,
    was: valueWords(was, last, nameOf),
    now: valueWords(now, last, nameOf),
  };
};
