import { readDesign, type Design, type Problem } from '@vitrum/core';
import { designHash } from '../jobs/design-hash.js';

/** A design that was read and checked, as the JSON text that is stored, and its hash. */
export interface CheckedDesign {
  readonly text: string;
  readonly hash: string;
}

/** What came of reading something from the wire. */
export type Taken<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

/** A design of this program as it is stored. */
export const storedForm = (design: Design): CheckedDesign => ({
  text: JSON.stringify(design),
  hash: designHash(design),
});

/** Reads a design that came over the wire; every wrong field is named from the body on. */
export const readWireDesign = (value: unknown): Taken<Design> => {
  const read = readDesign(value);
  if (read.ok) return read;
  const problems = read.problems.map(({ path, message }) => ({
    path: path === '' ? 'design' : `design.${path}`,
    message,
  }));
  return { ok: false, problems };
};
