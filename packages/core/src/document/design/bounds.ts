import type { Problem } from '../../base/result.js';

/** The deepest that values of a design lie in one another; designs of this version need a dozen levels. */
export const deepestNesting = 64;

/** The most objects and lists in a design; a drawing of 20,000 outlines has a third of it. */
export const mostParts = 60_000;

/** The most fields of a design that no schema knows: those of newer versions are kept, a flood is not. */
export const mostUnknownFields = 2000;

/**
 * What is too deep, or too much, in a value that came from outside, or null. Takes time linear in the size of the value and no more
 * stack however deep it is, so that it can be asked before anything else looks inside.
 */
export const shapeProblem = (root: unknown): Problem | null => {
  let level: readonly object[] = typeof root === 'object' && root !== null ? [root] : [];
  let parts = 0;
  for (let depth = 1; level.length > 0; depth += 1) {
    parts += level.length;
    if (parts > mostParts)
      return { path: '', message: `has more than ${mostParts} objects and lists; that is no design` };
    if (depth > deepestNesting)
      return { path: '', message: `values lie more than ${deepestNesting} deep in one another; that is no design` };
    const inner: object[] = [];
    for (const value of level)
      for (const each of Object.values(value) as readonly unknown[])
        if (typeof each === 'object' && each !== null) inner.push(each);
    level = inner;
  }
  return null;
};
