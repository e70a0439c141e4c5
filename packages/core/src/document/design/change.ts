import { failure, success, type Result } from '../../base/result.js';
import { readDesign } from './read-design.js';
import type { Design } from './schema.js';

/** One field set to a value; the path is dotted, list places by number: `assemblies.0.case.depthInsideMm`. */
export interface FieldChange {
  readonly path: string;
  readonly value: unknown;
}

/** A change to a design as plain data: what a fix proposes, what undo takes back. */
export type DesignChange = readonly FieldChange[];

/** Fields that a design may leave out. */
const mayBeAbsent: ReadonlySet<string> = new Set([
  'facing',
  'photometry',
  'block',
  'coats',
  'second',
  'ownFont',
  'tracking',
  'drawing',
  'mirrored',
  'toolId',
  'pinned',
  'startMm',
  'moved',
  'leftOut',
  'splits',
  'registration',
  'joint',
  'chainsBegin',
  'chainsCarryOn',
  'fedBackward',
  'fedForward',
  'injections',
  'control',
  'source',
  'level',
  'zones',
  'controllerId',
  'controllerPlace',
  'sensorWindow',
  'arrangement',
  'seriesPairs',
  'crossings',
  'pixelCount',
  'proof',
  'vents',
  'supplyPlace',
]);

const setAt = (target: unknown, keys: readonly string[], value: unknown): unknown => {
  const [key, ...rest] = keys;
  if (key === undefined) return value;
  if (Array.isArray(target))
    return target.map((item: unknown, index) => (String(index) === key ? setAt(item, rest, value) : item));
  const known = typeof target === 'object' && target !== null && (Object.hasOwn(target, key) || mayBeAbsent.has(key));
  if (!known) throw new Error(`no such field in a design: ${key}`);
  return { ...target, [key]: setAt((target as Record<string, unknown>)[key], rest, value) };
};

/**
 * `design` with `change` made; untouched parts keep their identity. Throws when a path names no field (a programming
 * error); fails when the values do not make a valid design.
 */
export const applyChange = (design: Design, change: DesignChange): Result<Design> => {
  const changed = change.reduce<unknown>((whole, field) => setAt(whole, field.path.split('.'), field.value), design);
  const read = readDesign(changed);
  return read.ok ? success(changed as Design) : failure(...read.problems);
};
