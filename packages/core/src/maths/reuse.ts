const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype;

/**
 * `next`, with every part that equals the same part of `previous` replaced by that part itself.
 *
 * What arrives from another thread is always a fresh copy; after this, "same content" is "same identity" again, and a
 * stage memoised by identity recomputes only when its inputs really changed.
 */
export const reuse = <T>(previous: unknown, next: T): T => {
  if (Object.is(previous, next)) return next;
  if (Array.isArray(previous) && Array.isArray(next)) return reuseArray(previous, next);
  if (isPlain(previous) && isPlain(next)) return reuseObject(previous, next);
  return next;
};

const reuseArray = <T>(previous: readonly unknown[], next: T & readonly unknown[]): T => {
  const merged = next.map((item, index) => reuse(previous[index], item));
  const same = merged.length === previous.length && merged.every((item, index) => Object.is(item, previous[index]));
  return (same ? previous : merged) as unknown as T;
};

const reuseObject = <T>(previous: Record<string, unknown>, next: T & Record<string, unknown>): T => {
  const keys = Object.keys(next);
  const merged = Object.fromEntries(keys.map((key) => [key, reuse(previous[key], next[key])]));
  const same =
    keys.length === Object.keys(previous).length &&
    keys.every((key) => key in previous && Object.is(merged[key], previous[key]));
  return (same ? previous : merged) as T;
};
