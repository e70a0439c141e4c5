/**
 * How light a white paper looks to an eye that is used to a place, by the brightness of CIECAM02 (CIE 159:2004, average
 * surround): in the light of a room it looks white, at dusk grey, by night nearly black.
 */

/** Share of the light of a place that the eye, looking about, is used to: that of a middle grey. */
export const greyShare = 0.2;

/** Luminance-level adaptation factor of CIECAM02 for an adapting luminance (cd/m²). */
export const levelFactor = (adaptingCdM2: number): number => {
  const five = 5 * adaptingCdM2;
  const k4 = (1 / (five + 1)) ** 4;
  return 0.2 * k4 * five + 0.1 * (1 - k4) ** 2 * Math.cbrt(five);
};

/** Brightness of a white paper, up to a factor. */
const brightnessOfWhite = (adaptingCdM2: number): number => {
  const level = levelFactor(adaptingCdM2);
  const compressed = level ** 0.42;
  const response = 3.05 * ((400 * compressed) / (27.13 + compressed)) + 4;
  return response * level ** 0.25;
};

/** Linear light of a CIE 1976 lightness L*, as a share of white. */
const lightOfLightness = (lightness: number): number =>
  lightness > 8 ? ((lightness + 16) / 116) ** 3 : lightness / 903.3;

/** In the light of a workshop (lx) and anywhere brighter, white looks white. */
const brightRoomLux = 500;
const brightRoomCdM2 = (greyShare * brightRoomLux) / Math.PI;

/** Linear light by which a screen shows a white paper to an eye used to this luminance (cd/m²), as a share of its own white. */
export const whiteShown = (adaptingCdM2: number): number =>
  lightOfLightness(Math.min(100, (100 * brightnessOfWhite(adaptingCdM2)) / brightnessOfWhite(brightRoomCdM2)));
