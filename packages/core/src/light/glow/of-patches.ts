import type { Brief } from '../../document/design/index.js';
import { thresholdFrom, vanishingDistance, type SeenRipple } from './eye.js';
import type { Evenness } from './types.js';

/** What is lit as it is told by patches: their luminances, and the ripple of the LEDs in them. */
export interface PatchedLight {
  readonly meanCdM2: number;
  readonly minCdM2: number;
  readonly maxCdM2: number;
  readonly lowCdM2: number;
  readonly highCdM2: number;
  readonly darkestAt: readonly [number, number];
  /** Side of the square that is as large as what the eye meets (mm); of what falls off, over what it does. */
  readonly faceMm: number;
  readonly fallOffMm: number;
  readonly pitchMm: number;
  /** Michelson contrast at the pitch of the LEDs, and where. */
  readonly contrast: number;
  readonly dotsAt: readonly [number, number];
}

/** What the eye makes of light that is judged patch by patch: patches for the slow fall, a ripple for what repeats with the LEDs. */
export const evennessOfPatches = (
  light: PatchedLight,
  { readingDistanceMm }: Pick<Brief, 'readingDistanceMm'>,
): Evenness => {
  const { meanCdM2: mean, minCdM2: min, maxCdM2: max, contrast } = light;
  const seen = (pitchMm: number): SeenRipple => ({ pitchMm, luminance: mean, faceMm: light.faceMm });
  const ripple = seen(light.pitchMm);
  const dots = {
    pitchMm: light.pitchMm,
    contrast,
    threshold: thresholdFrom(ripple, readingDistanceMm),
    vanishesAtMm: vanishingDistance(ripple, contrast),
    at: light.dotsAt,
  };
  return {
    meanCdM2: mean,
    minCdM2: min,
    maxCdM2: max,
    minOverMean: mean > 0 ? min / mean : 0,
    minOverMax: max > 0 ? min / max : 0,
    lowCdM2: light.lowCdM2,
    highCdM2: light.highCdM2,
    darkestAt: light.darkestAt,
    fallOff: {
      contrast: max + min > 0 ? (max - min) / (max + min) : 0,
      threshold: thresholdFrom(seen(light.fallOffMm), readingDistanceMm),
    },
    dots,
    bands: null,
    dotContrast: contrast,
    dotsVanishAtMm: dots.vanishesAtMm,
  };
};
