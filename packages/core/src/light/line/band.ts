import type { LineCover } from './types.js';

/** lm a millimetre over mm, as lm/m². */
const perM2 = 1e6;

/**
 * Luminance of a line’s band (cd/m²) that gives off `lmPerMm` (lm/mm), evenly and as a Lambertian surface: F / (π w) for a flat cover
 * of width w, or a bare groove as wide; 2 F / (π² D) for a half-round dome of width D, whose skin is π D / 2 wide.
 */
export const bandLuminance = (lmPerMm: number, widthMm: number, cover: LineCover): number =>
  cover === 'dome' ? (2 * lmPerMm * perM2) / (Math.PI ** 2 * widthMm) : (lmPerMm * perM2) / (Math.PI * widthMm);

/**
 * What is left of the pitch of LEDs along the middle of a cover, as the amplitude of its first harmonic by the mean: Lambertian point
 * emitters a pitch apart, `coverMm` under it; 2 (1 + k) e^(−k), k = 2π d / p, from the Fourier transform of (x² + d²)^(−2).
 */
export const pitchLeft = (pitchMm: number, coverMm: number): number => {
  const k = (2 * Math.PI * coverMm) / pitchMm;
  return 2 * (1 + k) * Math.exp(-k);
};

/** How far under its cover strip lies for its pitch to be left at so much (mm); by halving, for what is left falls all the way. */
export const coverFor = (pitchMm: number, left: number): number => {
  let [low, high] = [0, 4 * pitchMm];
  for (let step = 0; step < 60; step += 1) {
    const middle = (low + high) / 2;
    if (pitchLeft(pitchMm, middle) > left) low = middle;
    else high = middle;
  }
  return high;
};
