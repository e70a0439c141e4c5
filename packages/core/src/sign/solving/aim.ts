import type { LightAim } from '../../builds/index.js';
import type { Brief } from '../../document/design/index.js';
import { ambientLux, brightnessLimit, surroundingsOf, wantedCdM2 } from '../../light/glow/index.js';
import { readsAsLit } from '../../judging/findings/index.js';

/** To spare over the least that reads as lit. */
const spare = 1.15;

/** The luminance to aim at for a brief, on a ground that gives back this share of daylight. */
export const aimOf = (brief: Brief, groundReflectance: number): LightAim => {
  const unlit = (ambientLux[brief.ambient] * groundReflectance) / Math.PI;
  const leastCdM2 = spare * (readsAsLit - 1) * unlit;
  return {
    leastCdM2,
    wantedCdM2: Math.max(wantedCdM2(brief), 1.3 * leastCdM2),
    mostCdM2: brightnessLimit(brief),
    dayAndNight: surroundingsOf(brief) !== 'indoors' && ambientLux[brief.ambient] > ambientLux.evening,
  };
};
