import type { Brief } from '../design/index.js';

/** Linear-light red, green and blue with the primaries of sRGB. */
export type LinearRgb = readonly [number, number, number];

/** Luminance of linear sRGB (IEC 61966-2-1). */
export const luminanceOf = ([r, g, b]: LinearRgb): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;

const toLinear = (encoded: number): number =>
  encoded <= 0.04045 ? encoded / 12.92 : Math.pow((encoded + 0.055) / 1.055, 2.4);

/**
 * Chromaticity of a black body, by the cubic fit of Kim et al. (2002, US patent 7024034), 1667–25 000 K; accurate to
 * 0.002 in x and y.
 */
const planckianXy = (kelvin: number): readonly [number, number] => {
  const t = 1000 / Math.min(25_000, Math.max(1667, kelvin));
  const x =
    kelvin <= 4000
      ? -0.2661239 * t ** 3 - 0.234358 * t ** 2 + 0.8776956 * t + 0.17991
      : -3.0258469 * t ** 3 + 2.1070379 * t ** 2 + 0.2226347 * t + 0.24039;
  const y =
    kelvin <= 2222
      ? -1.1063814 * x ** 3 - 1.3481102 * x ** 2 + 2.18555832 * x - 0.20219683
      : kelvin <= 4000
        ? -0.9549476 * x ** 3 - 1.37418593 * x ** 2 + 2.09137015 * x - 0.16748867
        : 3.081758 * x ** 3 - 5.8733867 * x ** 2 + 3.75112997 * x - 0.37001483;
  return [x, y];
};

/** Linear sRGB of a black body at this temperature, scaled to luminance 1; out-of-gamut parts cut at 0. */
export const planckianRgb = (kelvin: number): LinearRgb => {
  const [x, y] = planckianXy(kelvin);
  const [X, Z] = [x / y, (1 - x - y) / y];
  const rgb = [3.2406 * X - 1.5372 - 0.4986 * Z, -0.9689 * X + 1.8758 + 0.0415 * Z, 0.0557 * X - 0.204 + 1.057 * Z];
  const [r, g, b] = rgb.map((value) => Math.max(0, value)) as [number, number, number];
  const scale = 1 / luminanceOf([r, g, b]);
  return [r * scale, g * scale, b * scale];
};

/** The light of the LEDs: its hue at luminance 1, and what share of the strip's full flux it is. */
export interface LightColour {
  readonly hue: LinearRgb;
  readonly fluxShare: number;
}

/** Colour of the brief's light. A mixed colour gives the luminous share of its channels; black gives no light. */
export const colourOf = (light: Brief['light']): LightColour => {
  if (light.kind === 'white') return { hue: planckianRgb(light.cctK), fluxShare: 1 };
  const channel = (at: number): number => toLinear(parseInt(light.colour.slice(at, at + 2), 16) / 255);
  const rgb: LinearRgb = [channel(1), channel(3), channel(5)];
  const share = luminanceOf(rgb);
  return share > 0
    ? { hue: [rgb[0] / share, rgb[1] / share, rgb[2] / share], fluxShare: share }
    : { hue: [1, 1, 1], fluxShare: 0 };
};
