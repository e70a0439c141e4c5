import { channelLights, type ChannelName, type Strip, type StripLight } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';

/** Linear-light red, green and blue with the primaries of sRGB. */
export type LinearRgb = readonly [number, number, number];

/** Luminance of linear sRGB (IEC 61966-2-1). */
export const luminanceOf = ([r, g, b]: LinearRgb): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;

/** Linear light of an sRGB value, both 0 to 1 (IEC 61966-2-1). */
export const toLinear = (encoded: number): number =>
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

/** The light of a strip: its hue at luminance 1, and the flux it gives by the metre. */
export interface LightColour {
  readonly hue: LinearRgb;
  readonly lumensPerM: number;
}

/** The same hue at luminance 1; black becomes white. */
export const atLuminance1 = (rgb: LinearRgb): LinearRgb => {
  const luminance = luminanceOf(rgb);
  return luminance > 0 ? [rgb[0] / luminance, rgb[1] / luminance, rgb[2] / luminance] : [1, 1, 1];
};

/** Linear light of a colour written as #rrggbb. */
export const linearOf = (colour: string): LinearRgb => {
  const channel = (at: number): number => toLinear(parseInt(colour.slice(at, at + 2), 16) / 255);
  return [channel(1), channel(3), channel(5)];
};

/**
 * Colour of the brief’s light on a strip. Mixing adds, in linear light: a mixed colour drives red, green and blue; on a
 * strip with a white channel their common part comes from that. White is a white channel at its temperature. Black gives
 * no light.
 */
export const colourOf = (light: Brief['light'], strip: StripLight): LightColour => {
  const whiteLm = strip.whiteLumensPerM ?? strip.lumensPerM;
  if (light.kind === 'white') return { hue: planckianRgb(light.cctK), lumensPerM: whiteLm };
  if (strip.colour === 'white') {
    // One channel cannot mix: what it would look like with three.
    const rgb = linearOf(light.colour);
    return { hue: atLuminance1(rgb), lumensPerM: strip.lumensPerM * luminanceOf(rgb) };
  }
  const levels = mixOf(light, strip);
  const mixed = lightOfMix(strip, levels);
  return { hue: atLuminance1(mixed), lumensPerM: luminanceOf(mixed) };
};

/**
 * How far each channel of a strip is on for the brief’s light (0 to 1, in linear light), in the order of `channelsOf`: a
 * mixed colour by its parts, what they have in common from a white channel where there is one; white by the white channel,
 * or by all colours at once.
 */
export const mixOf = (light: Brief['light'], strip: Pick<Strip, 'colour'>): readonly number[] => {
  if (strip.colour === 'white') return [1];
  if (light.kind === 'white') return strip.colour === 'rgb' ? [1, 1, 1] : [0, 0, 0, 1];
  const rgb = linearOf(light.colour);
  if (strip.colour === 'rgb') return rgb;
  const common = Math.min(...rgb);
  return [...rgb.map((value) => value - common), common];
};

/** Hue of one channel of a strip by itself, at luminance 1. */
export const channelHue = (name: ChannelName, strip: Pick<Strip, 'whitesK'>): LinearRgb => {
  switch (name) {
    case 'red':
      return atLuminance1([1, 0, 0]);
    case 'green':
      return atLuminance1([0, 1, 0]);
    case 'blue':
      return atLuminance1([0, 0, 1]);
    case 'white':
      return planckianRgb(strip.whitesK[0] ?? 4000);
  }
};

/** Light of a strip (lm/m, in linear red, green and blue) whose channels give these shares of their own. */
export const lightOfMix = (strip: StripLight, shares: readonly number[]): LinearRgb =>
  channelLights(strip).reduce<LinearRgb>(
    ([r, g, b], { name, lumensPerM }, channel) => {
      const own = lumensPerM * shares[channel]!;
      const hue = channelHue(name, strip);
      return [r + own * hue[0], g + own * hue[1], b + own * hue[2]];
    },
    [0, 0, 0],
  );

/** CIE 1976 u′, v′ of linear sRGB light; black has those of white (D65). */
export const uvOf = ([r, g, b]: LinearRgb): readonly [number, number] => {
  const X = 0.4124 * r + 0.3576 * g + 0.1805 * b;
  const Y = 0.2126 * r + 0.7152 * g + 0.0722 * b;
  const Z = 0.0193 * r + 0.1192 * g + 0.9505 * b;
  const sum = X + 15 * Y + 3 * Z;
  return sum > 0 ? [(4 * X) / sum, (9 * Y) / sum] : [0.1978, 0.4683];
};

/** Light of one hue through a tinted face: the hue that leaves, and how bright it is against a white face. */
export const throughTint = (
  hue: LinearRgb,
  tint: LinearRgb,
): { readonly hue: LinearRgb; readonly luminanceShare: number } => {
  const passed: LinearRgb = [hue[0] * tint[0], hue[1] * tint[1], hue[2] * tint[2]];
  return { hue: atLuminance1(passed), luminanceShare: luminanceOf(passed) };
};
