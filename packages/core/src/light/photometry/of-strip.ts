import type { Strip } from '../../document/catalogue/index.js';
import type { LightDesign } from '../../document/design/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { readIes } from './read-ies.js';
import { cosineExponent } from './shape.js';
import type { Distribution } from './types.js';

/** How the LEDs of a strip spread their light: as measured when a file was given, else by the beam angle. */
export const distributionOf = (strip: Strip, photometry: LightDesign['photometry']): Result<Distribution> => {
  if (photometry === null || photometry === undefined)
    return success({ kind: 'cosine', exponent: cosineExponent(strip.beamAngleDeg) });
  const read = readIes(photometry.ies);
  if (read.ok) return success(read.value.table);
  const [problem] = read.problems;
  return failure({
    path: 'assemblies.0.light.photometry.ies',
    message: `${photometry.name}, ${problem?.path ?? ''}: ${problem?.message ?? 'cannot be read'}`,
  });
};
