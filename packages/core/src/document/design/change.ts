import type { Result } from '../../base/result.js';
import type { Frozen } from './frozen.js';
import { pathOf, type FieldRef } from './field-ref.js';
import type { FieldNames } from './field-names.js';

/** One field set to a value; the path is dotted, list places by number: `power.zones.2.level`. */
export interface FieldChange {
  readonly path: string;
  readonly value: unknown;
}

/** A change to a design as plain data: what a fix proposes, what undo takes back. */
export type DesignChange = readonly FieldChange[];

/** One field set to a value of its type. */
export const set = <Value>(field: FieldRef<Value>, value: Frozen<Value>): FieldChange => ({
  path: pathOf(field),
  value,
});

const setAt = (given: unknown, keys: readonly string[], value: unknown, isField: () => boolean): unknown => {
  const [key, ...rest] = keys;
  if (key === undefined) return value;
  // A part that a design leaves out is there from its first field on.
  const target = given === undefined && isField() ? {} : given;
  const isThere = typeof target === 'object' && target !== null && Object.hasOwn(target, key);
  const mayBe = isThere || (typeof target === 'object' && target !== null && !Array.isArray(target) && isField());
  if (!mayBe) throw new Error(`no such field in a design: ${key}`);
  if (Array.isArray(target))
    return target.map((item: unknown, index) => (String(index) === key ? setAt(item, rest, value, isField) : item));
  return { ...target, [key]: setAt((target as Record<string, unknown>)[key], rest, value, isField) };
};

/**
 * `design` with `change` made, checked by `read`; untouched parts keep their identity. Throws when a path names no field
 * that the schema knows or the design has (a programming error); fails when the values do not make a valid design.
 */
export const changedBy = <Design>(
  design: Design,
  change: DesignChange,
  names: FieldNames,
  read: (value: unknown) => Result<Design>,
): Result<Design> => {
  const changed = change.reduce<unknown>(
    (whole, { path, value }) => setAt(whole, path.split('.'), value, () => names.has(path, whole)),
    design,
  );
  const result = read(changed);
  return result.ok ? { ok: true, value: changed as Design } : result;
};
