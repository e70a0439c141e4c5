import { failure, success, type Result } from '../../base/result.js';
import { throughOrigin } from './through-origin.js';
import type { BrightnessPair, Fit } from './types.js';

/** Factors beyond these say that something else is wrong: a wrong strip, a dead chain, the meter’s range. */
const least = 0.2;
const most = 5;

/**
 * By how much a box is brighter or darker than predicted, over all places read. It is the strip’s light that is least
 * known, so the factor is laid on its lumens.
 */
export const fitBrightness = (pairs: readonly BrightnessPair[]): Result<Fit> => {
  const problems = pairs.flatMap(({ predictedCdM2, measuredCdM2 }, index) =>
    predictedCdM2 > 0 && measuredCdM2 > 0
      ? []
      : [{ path: `${index}.measuredCdM2`, message: 'a luminance must be above 0' }],
  );
  if (problems.length > 0) return failure(...problems);
  if (pairs.length === 0) return failure({ path: '', message: 'no readings yet' });
  const fit = throughOrigin(
    pairs.map(({ predictedCdM2 }) => predictedCdM2),
    pairs.map(({ measuredCdM2 }) => measuredCdM2),
  );
  if (fit.value < least || fit.value > most)
    return failure({
      path: '',
      message: `the box is ${fit.value.toFixed(2)} times as bright as predicted; that is no matter of calibration, look for a wrong strip, a dead chain or the meter’s range`,
    });
  return success(fit);
};
