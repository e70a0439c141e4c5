import type { Affine } from './types.js';

/** The map that leaves all as it is. */
export const unmoved: Affine = [1, 0, 0, 1, 0, 0];

/** First `inner`, then `outer`. */
export const compose = (outer: Affine, inner: Affine): Affine => {
  const [a, b, c, d, e, f] = outer;
  const [p, q, r, s, t, u] = inner;
  return [a * p + c * q, b * p + d * q, a * r + c * s, b * r + d * s, a * t + c * u + e, b * t + d * u + f];
};

/** How much longer a map makes lengths at the most. */
export const growth = ([a, b, c, d]: Affine): number => Math.max(Math.hypot(a, b), Math.hypot(c, d));
