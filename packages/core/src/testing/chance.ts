import * as z from 'zod';
import type { Random } from '../base/maths/index.js';
import { buildOf } from '../builds/index.js';
import { shippedCatalogue } from '../document/catalogue/index.js';
import type { FieldChange } from '../document/design/index.js';
import { applyChange, type Design } from '../sign/design/index.js';
import { only } from './only.js';

/** What of a JSON Schema is read here. */
interface Schema {
  readonly type?: string;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly enum?: readonly unknown[];
  readonly anyOf?: readonly Schema[];
  readonly minimum?: number;
  readonly maximum?: number;
}

/** Fields that a change by chance leaves alone: what an assembly is called, and what it is. */
const fixed: readonly string[] = ['id', 'build', 'place', 'drawing', 'ownFont'];

const pick = <T>(random: Random, items: readonly T[]): T => items[Math.floor(random() * items.length)]!;

const kinds = Object.values(shippedCatalogue).filter((kind): kind is readonly { readonly id: string }[] =>
  Array.isArray(kind),
);

/** Another item of the same kind: ids alone say which kind that is. */
const otherItem = (random: Random, id: string): string => {
  const kind = kinds.find((items) => items.some((item) => item.id === id));
  return kind === undefined ? id : pick(random, kind).id;
};

const scaled = (random: Random, value: number, { type, minimum = -1e4, maximum = 1e4 }: Schema): number => {
  const next = value === 0 ? random() * Math.min(50, maximum) : value * Math.exp((random() - 0.5) * 2.4);
  const whole = type === 'integer' ? Math.round(next + (random() - 0.5) * 2) : Math.round(next * 10) / 10;
  return Math.min(maximum, Math.max(minimum, whole));
};

/** Leaves of a value that can be given another value, by the schema of their shape. */
const choices = (random: Random, schema: Schema, value: unknown, path: string): readonly (() => FieldChange)[] => {
  const own = schema.anyOf?.find(({ type }) => type !== 'null') ?? schema;
  if (own.properties !== undefined)
    return Object.entries(own.properties).flatMap(([key, inner]) =>
      fixed.includes(key) || value === null || value === undefined
        ? []
        : choices(random, inner, (value as Readonly<Record<string, unknown>>)[key], `${path}.${key}`),
    );
  const leaf = (next: () => unknown) => [(): FieldChange => ({ path, value: next() })];
  if (own.enum !== undefined) return leaf(() => pick(random, own.enum!));
  if (own.type === 'boolean') return leaf(() => random() < 0.5);
  if (typeof value === 'number') return leaf(() => scaled(random, value, own));
  if (typeof value === 'string' && path.endsWith('Id')) return leaf(() => otherItem(random, value));
  return [];
};

/** Working a schema out takes longer than a change; there is one for each build. */
const schemas = new Map<string, Schema>();
const schemaOf = (assembly: Design['assemblies'][number]): Schema => {
  const known = schemas.get(assembly.build) ?? (z.toJSONSchema(buildOf(assembly).schema) as Schema);
  schemas.set(assembly.build, known);
  return known;
};

/** A change by chance to one field of the one assembly of a design, as its build’s schema allows it. */
export const anyChange = (random: Random, design: Design): FieldChange => {
  const assembly = only(design.assemblies);
  const path = `assemblies.${design.assemblies.indexOf(assembly)}`;
  return pick(random, choices(random, schemaOf(assembly), assembly, path))();
};

const texts = ['', 'A', 'OPEN\nLATE', '漢字', 'Wwwwww', '&'];

/** A design with a handful of changes by chance, some of them unwise. Changes that the document refuses are left out. */
export const changedByChance = (random: Random, design: Design, changes: number): Design => {
  let now = design;
  for (let change = 0; change < changes; change += 1) {
    const next = random() < 0.1 ? { path: 'brief.text', value: pick(random, texts) } : anyChange(random, now);
    const changed = applyChange(now, [next]);
    if (changed.ok) now = changed.value;
  }
  return now;
};
