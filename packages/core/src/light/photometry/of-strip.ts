import type { Strip } from '../../document/catalogue/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { readIes } from './read-ies.js';
import { cosineExponent } from './shape.js';
import type { Distribution } from './types.js';

/** A measured distribution as a design keeps it. */
export type Photometry = { readonly name: string; readonly ies: string } | null | undefined;

/** How the LEDs of a strip spread their light: as measured when a file was given, else by the beam angle. */
export const distributionOf = (strip: Strip, photometry: Photometry): Result<Distribution> => {
  if (photometry === null || photometry === undefined)
    return success({ kind: 'cosine', exponent: cosineExponent(strip.beamAngleDeg) });
  const read = readIes(photometry.ies);
  if (read.ok) return success(read.value.table);
  const [problem] = read.problems;
  return failure({
    path: 'light.photometry.ies',
    message: `${photometry.name}, ${problem?.path ?? ''}: ${problem?.message ?? 'cannot be read'}`,
  });
};
