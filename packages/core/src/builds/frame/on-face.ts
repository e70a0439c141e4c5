import type { ShowsDesign } from './schema.js';

/** Somebody stands so far before a mirror (mm). */
export const standsAtMm = 500;

/**
 * Form factor from a small area to a rectangle that it faces from over its middle, a and b its sides over twice the distance
 * (the closed form of radiative exchange for parallel planes).
 */
const facedShare = (widthMm: number, heightMm: number, distanceMm: number): number => {
  const [a, b] = [Math.max(0, widthMm) / 2 / distanceMm, Math.max(0, heightMm) / 2 / distanceMm];
  const [ra, rb] = [Math.hypot(1, a), Math.hypot(1, b)];
  return (2 / Math.PI) * ((a / ra) * Math.atan(b / ra) + (b / rb) * Math.atan(a / rb));
};

/**
 * What a band of so much luminance throws on a face before the middle of its mirror (lx): E = π · L · (share of the band’s
 * outer rectangle − share of its inner one). Its corners are taken as square and its light as even, which is some parts in a hundred too much.
 */
export const onFaceLux = (
  meanCdM2: number,
  mirror: { readonly widthMm: number; readonly heightMm: number },
  { insetMm, widthMm: wide }: ShowsDesign['band'],
  distanceMm = standsAtMm,
): number => {
  const within = (inMm: number): number =>
    facedShare(mirror.widthMm - 2 * inMm, mirror.heightMm - 2 * inMm, distanceMm);
  return Math.PI * meanCdM2 * (within(insetMm) - within(insetMm + wide));
};
