// Taken out of their globals once: where those are looked up by name (test sandboxes), deep walks would crawl.
const { is, keys, fromEntries, getPrototypeOf } = Object as Pick<ObjectConstructor, 'is' | 'keys' | 'fromEntries'> & {
  getPrototypeOf: (value: unknown) => unknown;
};
const { isArray } = Array;

// By the prototype's place, not by its identity: what crosses threads or realms has another Object.prototype.
const isPlain = (value: unknown): value is Record<string, unknown> => {
  if (typeof value !== 'object' || value === null) return false;
  const prototype: unknown = getPrototypeOf(value);
  return prototype === null || getPrototypeOf(prototype) === null;
};

/**
 * `next`, with every part that equals the same part of `previous` replaced by that part itself.
 *
 * What arrives from another thread is always a fresh copy; after this, "same content" is "same identity" again, and a
 * stage memoised by identity recomputes only when its inputs really changed.
 */
export const reuse = <T>(previous: unknown, next: T): T => {
  if (is(previous, next)) return next;
  if (isArray(previous) && isArray(next)) return reuseArray(previous, next);
  if (isPlain(previous) && isPlain(next)) return reuseObject(previous, next);
  return next;
};

const reuseArray = <T>(previous: readonly unknown[], next: T & readonly unknown[]): T => {
  const merged = next.map((item, index) => reuse(previous[index], item));
  const same = merged.length === previous.length && merged.every((item, index) => is(item, previous[index]));
  return (same ? previous : merged) as unknown as T;
};

const reuseObject = <T>(previous: Record<string, unknown>, next: T & Record<string, unknown>): T => {
  const names = keys(next);
  const merged = fromEntries(names.map((key) => [key, reuse(previous[key], next[key])]));
  const same =
    names.length === keys(previous).length && names.every((key) => key in previous && is(merged[key], previous[key]));
  return (same ? previous : merged) as T;
};
