// By the prototype's place, not by its identity: what crosses threads or realms has another Object.prototype.
const isPlain = (value: unknown): value is Record<string, unknown> => {
  if (typeof value !== 'object' || value === null) return false;
  const prototype: unknown = Object.getPrototypeOf(value);
  return prototype === null || Object.getPrototypeOf(prototype) === null;
};

/**
 * `next`, with every part that equals the same part of `previous` replaced by that part itself.
 *
 * What arrives from another thread is always a fresh copy; after this, "same content" is "same identity" again, and a
 * stage memoised by identity recomputes only when its inputs really changed.
 */
export const shareStructure = <T>(previous: unknown, next: T): T => {
  if (Object.is(previous, next)) return next;
  if (Array.isArray(previous) && Array.isArray(next)) return shareArray(previous, next);
  if (isPlain(previous) && isPlain(next)) return shareObject(previous, next);
  return next;
};

/** Numbers, words and nothing have no parts: most of what is compared are places, whose parts are numbers. */
const hasParts = (value: unknown): boolean => typeof value === 'object' && value !== null;

// A copy is made only where a part is replaced: most parts are either wholly the same or wholly new.
const shareArray = <T>(previous: readonly unknown[], next: T & readonly unknown[]): T => {
  let merged: unknown[] | null = null;
  let same = previous.length === next.length;
  for (let index = 0; index < next.length; index += 1) {
    const old = previous[index];
    const own = next[index];
    const item = hasParts(own) ? shareStructure(old, own) : own;
    if (merged === null && hasParts(own) && item !== own) merged = next.slice();
    if (merged !== null) merged[index] = item;
    same &&= Object.is(item, old);
  }
  return (same ? previous : (merged ?? next)) as unknown as T;
};

const shareObject = <T>(previous: Record<string, unknown>, next: T & Record<string, unknown>): T => {
  const names = Object.keys(next);
  let merged: Record<string, unknown> | null = null;
  let same = names.length === Object.keys(previous).length;
  for (const key of names) {
    const own = next[key];
    const item = hasParts(own) ? shareStructure(previous[key], own) : own;
    if (merged === null && hasParts(own) && item !== own)
      merged = Object.fromEntries(names.map((name) => [name, next[name]]));
    if (merged !== null) merged[key] = item;
    same &&= key in previous && Object.is(item, previous[key]);
  }
  return (same ? previous : (merged ?? next)) as T;
};
