import { failure, success, type Problem, type Result } from '../../base/result.js';
import { throughOrigin } from './through-origin.js';
import type { Fit, LuxPair } from './types.js';

/**
 * Total transmittance of a sample from a lux meter: each pair is read with the same lamp, without and with the sample laid
 * on the meter. Light that leaves the sample to all sides must reach the meter, so it has to lie on it.
 */
export const fitTransmittance = (pairs: readonly LuxPair[]): Result<Fit> => {
  const problems = pairs.flatMap(({ bareLux, throughLux }, index): readonly Problem[] => {
    if (!(bareLux > 0))
      return [{ path: `${index}.bareLux`, message: 'the reading without the sample must be above 0' }];
    if (!(throughLux >= 0))
      return [{ path: `${index}.throughLux`, message: 'the reading through the sample must be 0 or more' }];
    if (throughLux > bareLux)
      return [
        { path: `${index}.throughLux`, message: 'more light through the sample than without it; are the two swapped?' },
      ];
    return [];
  });
  if (problems.length > 0) return failure(...problems);
  if (pairs.length === 0) return failure({ path: '', message: 'no readings yet' });
  return success(
    throughOrigin(
      pairs.map(({ bareLux }) => bareLux),
      pairs.map(({ throughLux }) => throughLux),
    ),
  );
};
