import type { LedField, Segment } from '../runs/types.js';

/** LEDs at their true places: the first sits half a pitch after a cut. */
export const placeLeds = (segments: readonly Segment[], ledPitchMm: number): LedField => {
  const count = segments.reduce((sum, { ledCount }) => sum + ledCount, 0);
  const field = {
    count,
    x: new Float64Array(count),
    y: new Float64Array(count),
    z: new Float64Array(count),
    segment: new Uint32Array(count),
    along: new Float64Array(count),
  };
  let at = 0;
  segments.forEach(({ from, to, lengthMm, ledCount }, index) => {
    for (let led = 0; led < ledCount; led += 1, at += 1) {
      const along = (led + 0.5) * ledPitchMm;
      const share = along / lengthMm;
      field.x[at] = from[0] + (to[0] - from[0]) * share;
      field.y[at] = from[1] + (to[1] - from[1]) * share;
      field.z[at] = from[2] + (to[2] - from[2]) * share;
      field.segment[at] = index;
      field.along[at] = along;
    }
  });
  return field;
};
