/**
 * Contrast sensitivity of the eye: P. G. J. Barten, "Formula for the contrast sensitivity of the human eye", Proc. SPIE
 * 5294 (2004), 231–238. `cyclesPerDegree` > 0; `luminance` of the field (cd/m²); `fieldDeg` its width. Returns the
 * inverse of the least Michelson contrast that is seen. Made for an average observer in photopic light.
 */
export const contrastSensitivity = (cyclesPerDegree: number, luminance: number, fieldDeg: number): number => {
  const u2 = cyclesPerDegree * cyclesPerDegree;
  const light = Math.max(luminance, 1e-3);
  const blur = 5200 * Math.exp(-0.0016 * u2 * Math.pow(1 + 100 / light, 0.08));
  const field = 1 + 144 / (fieldDeg * fieldDeg) + 0.64 * u2;
  const noise = 63 / Math.pow(light, 0.83) + 1 / (1 - Math.exp(-0.02 * u2));
  return blur / Math.sqrt(field * noise);
};

const widestFieldDeg = 60;

/** Distances are scanned up to half a kilometre, 5 % at a time. */
const farthestMm = 500_000;
const scanStep = 1.05;

/** A ripple on a face, as the eye meets it. */
export interface SeenRipple {
  readonly pitchMm: number;
  readonly luminance: number;
  /** Side of the square with the face's area (mm). */
  readonly faceMm: number;
}

/** Least contrast seen from `distanceMm`; 1 or more means none is. */
export const contrastThreshold = ({ pitchMm, luminance, faceMm }: SeenRipple, distanceMm: number): number => {
  const cyclesPerDegree = (distanceMm * Math.tan(Math.PI / 180)) / pitchMm;
  const fieldDeg = Math.min(widestFieldDeg, 2 * Math.atan(faceMm / (2 * distanceMm)) * (180 / Math.PI));
  return 1 / contrastSensitivity(cyclesPerDegree, luminance, fieldDeg);
};

/** Least contrast seen from `fromMm` or anywhere farther; ripples can be plainest from farther off than arm's length. */
export const thresholdFrom = (ripple: SeenRipple, fromMm: number): number => {
  let least = 1;
  for (let distance = fromMm; distance <= farthestMm; distance *= scanStep)
    least = Math.min(least, contrastThreshold(ripple, distance));
  return least;
};

const nearestMm = 200;
const bisections = 30;

/**
 * The distance beyond which a ripple of this contrast is not seen (mm); 0 when it is not seen from any distance, and
 * `farthestMm` (half a kilometre) when it is seen from everywhere.
 */
export const vanishingDistance = (ripple: SeenRipple, contrast: number): number => {
  const seen = (distance: number): boolean => contrast > contrastThreshold(ripple, distance);
  if (seen(farthestMm)) return farthestMm;
  let far = farthestMm;
  while (far > nearestMm && !seen(far / scanStep)) far /= scanStep;
  if (far <= nearestMm) return 0;
  let near = far / scanStep;
  for (let turn = 0; turn < bisections; turn += 1) {
    const middle = (near + far) / 2;
    if (seen(middle)) near = middle;
    else far = middle;
  }
  return far;
};
