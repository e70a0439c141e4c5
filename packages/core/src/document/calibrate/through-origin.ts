import type { Fit } from './types.js';

/** The slope of the straight line through the origin that lies nearest to (x, y): Σxy / Σx², with its standard error. */
export const throughOrigin = (xs: readonly number[], ys: readonly number[]): Fit => {
  const xx = xs.reduce((sum, x) => sum + x * x, 0);
  const value = xs.reduce((sum, x, index) => sum + x * ys[index]!, 0) / xx;
  const left = xs.map((x, index) => ys[index]! - value * x);
  const freedom = xs.length - 1;
  const error = freedom > 0 ? Math.sqrt(left.reduce((sum, off) => sum + off * off, 0) / freedom / xx) : 0;
  return { value, error, readings: xs.length, offShares: left.map((off, index) => off / (value * xs[index]!)) };
};
