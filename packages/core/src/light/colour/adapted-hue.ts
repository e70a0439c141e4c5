import { luminanceOf, type LinearRgb } from './light-colour.js';

/** How much of a white light's tint is still seen once the eye has adapted to it; typical. */
const tintSeen = 0.4;

/** A white’s hue after the eye has adapted to it, at luminance 1. */
export const adaptedHue = (hue: LinearRgb): LinearRgb => {
  const paler = hue.map((channel) => Math.pow(channel, tintSeen)) as unknown as LinearRgb;
  const luminance = luminanceOf(paler);
  return [paler[0] / luminance, paler[1] / luminance, paler[2] / luminance];
};
