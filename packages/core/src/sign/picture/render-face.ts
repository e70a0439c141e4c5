import type { Ambient } from '../../document/design/index.js';
import { wallRgb, type Front, type Paint } from '../../builds/index.js';
import { ambientLux, driftAt, type Glow } from '../../light/glow/index.js';
import type { LinearRgb } from '../../light/colour/index.js';
import { clamp, millionth } from '../../base/maths/index.js';
import type { SceneLight } from './scene.js';

/** What a picture needs to know of an assembly: its map of light, and what is seen of it. */
export interface Lit {
  readonly glow: Glow;
  readonly front: Front;
}

/** How a scene of this luminance is shown on a screen. */
export interface Exposure {
  /** The luminance shown as full white (cd/m²). */
  readonly whiteCdM2: number;
  /** The same for what stands round the sign: the eye adapts to each part of what it sees, so this lies between. */
  readonly surroundWhiteCdM2: number;
  readonly lux: number;
}

/** Straight sRGB bytes, four a pixel, row 0 at the top. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

const brightestPaper = 0.85;
/** Below the light of a room the eye no longer makes up for all that is missing: dusk looks dusky (exponent typical). */
const roomLux = 500;
const darkAdaptation = 0.35;
/** Room above the brightest tenth, so that hot spots still show as hotter. */
const shoulder = 1.08;

/** Exposure for one ambient light: the eye settles on the brighter of a lit white paper and the brightest lit part. */
export const exposureFor = (parts: readonly Lit[], ambient: Ambient, lit = true): Exposure => {
  const lux = ambientLux[ambient];
  const paper = ((lux * brightestPaper) / Math.PI) * Math.pow(Math.max(1, roomLux / lux), darkAdaptation);
  const brightest = parts.map(({ glow, front }) => {
    const unlit = (lux * glow.faceReflectance) / Math.PI;
    return lit ? glow.evenness.highCdM2 * Math.max(...front.seenHue) + unlit : unlit;
  });
  const whiteCdM2 = Math.max(paper, Math.max(0, ...brightest) * shoulder, millionth);
  return { whiteCdM2, surroundWhiteCdM2: Math.sqrt(whiteCdM2 * Math.max(paper, millionth)), lux };
};

const encode = (linear: number): number => {
  const value = clamp(linear, 0, 1);
  return value <= 0.0031308 ? value * 12.92 : 1.055 * Math.pow(value, 1 / 2.4) - 0.055;
};

const gammaTable = Uint8ClampedArray.from({ length: 4097 }, (_, index) => Math.round(encode(index / 4096) * 255));

/** A linear share of white as an sRGB byte. */
export const byteOf = (linear: number): number => gammaTable[(clamp(linear, 0, 1) * 4096) | 0]!;

/** A surface beside the sign under the ambient light, as a CSS colour. */
export const surroundColour = (reflectance: LinearRgb, exposure: Exposure): string =>
  surfaceColour(reflectance, { ...exposure, whiteCdM2: exposure.surroundWhiteCdM2 });

/** A surface of this reflectance under the ambient light, plus light of its own, as a CSS colour. */
export const surfaceColour = (reflectance: LinearRgb, exposure: Exposure, ownCdM2: LinearRgb = [0, 0, 0]): string => {
  const bytes = reflectance.map((share, channel) =>
    byteOf(((exposure.lux * share) / Math.PI + (ownCdM2[channel] ?? 0)) / exposure.whiteCdM2),
  );
  return `rgb(${bytes.join(' ')})`;
};

/**
 * The lit ground of an assembly as it looks under one ambient light, a pixel a cell. With `letters` false the bare ground is
 * shown, for drawings that lay sharp letters over it. `behind` is what the light falls on besides, where it falls on what
 * stands behind the assembly. Another exposure shows it as an eye sees it that is used to another light.
 */
export const renderFace = (
  { glow, front }: Lit,
  ambient: Ambient,
  lit: boolean,
  letters: boolean,
  exposure = exposureFor([{ glow, front }], ambient, lit),
  behind: SceneLight | null = null,
): Picture => {
  const { grid, luminance, letters: letterShare, drift, unlitRgb } = glow;
  const { seenHue, cover, covered } = front;
  const data = new Uint8ClampedArray(grid.columns * grid.rows * 4);
  const scale = 1 / exposure.whiteCdM2;
  const ambientCdM2 = exposure.lux / Math.PI;
  const drifted = new Float64Array(3).fill(1);
  const seen = new Float64Array(3);
  for (let row = 0; row < grid.rows; row += 1)
    for (let column = 0; column < grid.columns; column += 1) {
      const cell = row * grid.columns + column;
      const pixel = ((grid.rows - 1 - row) * grid.columns + column) * 4;
      const share = letterShare[cell]!;
      const hidden = letters ? (covered === 'letters' ? share : 1 - share) : 0;
      const own = lit ? luminance[cell]! : 0;
      if (drift !== null) driftAt(drift, (column + 0.5) / grid.columns, (row + 0.5) / grid.rows, drifted);
      if (behind !== null)
        behind(grid.area.x + (column + 0.5) * grid.cellWidthMm, grid.area.y + (row + 0.5) * grid.cellHeightMm, seen);
      for (let channel = 0; channel < 3; channel += 1) {
        const light = own * seenHue[channel]! * drifted[channel]!;
        const bare = light + (behind === null ? ambientCdM2 * unlitRgb[channel]! : seen[channel]!);
        const filmed = light * cover.passes[channel]! + ambientCdM2 * cover.reflects[channel]!;
        data[pixel + channel] = byteOf((bare * (1 - hidden) + filmed * hidden) * scale);
      }
      data[pixel + 3] = 255;
    }
  return { width: grid.columns, height: grid.rows, data };
};

/** A picture made smaller, each pixel the mean of those it stands for; one that is small enough stays. */
export const shrink = (picture: Picture, widthPx: number): Picture => {
  if (picture.width <= widthPx) return picture;
  const height = Math.max(1, Math.round((picture.height * widthPx) / picture.width));
  const data = new Uint8ClampedArray(widthPx * height * 4);
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < widthPx; column += 1) {
      const [fromX, toX] = [column, column + 1].map((at) => Math.floor((at * picture.width) / widthPx)) as [
        number,
        number,
      ];
      const [fromY, toY] = [row, row + 1].map((at) => Math.floor((at * picture.height) / height)) as [number, number];
      const sums = [0, 0, 0];
      let count = 0;
      for (let y = fromY; y < Math.max(fromY + 1, toY); y += 1)
        for (let x = fromX; x < Math.max(fromX + 1, toX); x += 1, count += 1)
          for (let channel = 0; channel < 3; channel += 1)
            sums[channel]! += picture.data[(y * picture.width + x) * 4 + channel]!;
      const at = (row * widthPx + column) * 4;
      data.set([...sums.map((sum) => sum / count), 255], at);
    }
  return { width: widthPx, height, data };
};

/** Colour of a shape of the front over its lit ground at its mean, as CSS. */
export const shapeColour = (
  { glow, front }: Lit,
  { paint, beside }: { readonly paint: Paint; readonly beside: boolean },
  exposure: Exposure,
  lit: boolean,
): string => {
  if (beside) return surroundColour(paint.reflects, exposure);
  const { passes } = paint;
  const own = lit ? glow.evenness.meanCdM2 : 0;
  return surfaceColour(
    paint.reflects,
    exposure,
    passes === undefined
      ? [0, 0, 0]
      : (passes.map((share, channel) => share * own * front.seenHue[channel]!) as unknown as LinearRgb),
  );
};

/** Colour of what stands round an assembly: the wall that it lights, or a plain one. */
export const groundColour = ({ glow, front }: Lit, exposure: Exposure): string =>
  front.lights === 'ground' ? surfaceColour(glow.unlitRgb, exposure) : surroundColour(wallRgb, exposure);

/** Dark-to-bright ramp for false colour: even steps in lightness, readable without colour vision (anchor colours our own). */
const ramp: readonly LinearRgb[] = [
  [18, 12, 40],
  [62, 24, 98],
  [128, 40, 106],
  [196, 68, 74],
  [238, 130, 44],
  [250, 200, 80],
  [255, 250, 210],
];

/** False colour for a share in [0, 1]. */
export const falseColour = (share: number): LinearRgb => {
  const place = clamp(share, 0, 1) * (ramp.length - 1);
  const low = Math.min(ramp.length - 2, Math.floor(place));
  const mix = place - low;
  const [a, b] = [ramp[low]!, ramp[low + 1]!];
  return [0, 1, 2].map((channel) =>
    Math.round(a[channel]! + (b[channel]! - a[channel]!) * mix),
  ) as unknown as LinearRgb;
};

/** The luminance map in false colour from 0 to `topCdM2`. */
export const renderFalseColour = ({ glow }: Pick<Lit, 'glow'>, topCdM2: number): Picture => {
  const { grid, luminance: ground } = glow;
  const data = new Uint8ClampedArray(grid.columns * grid.rows * 4);
  for (let row = 0; row < grid.rows; row += 1)
    for (let column = 0; column < grid.columns; column += 1) {
      const pixel = ((grid.rows - 1 - row) * grid.columns + column) * 4;
      const [r, g, b] = falseColour(ground[row * grid.columns + column]! / topCdM2);
      data.set([r, g, b, 255], pixel);
    }
  return { width: grid.columns, height: grid.rows, data };
};

/** A picture made as wide as asked, smooth between its pixels. */
export const resized = (picture: Picture, widthPx: number): Picture => {
  if (picture.width >= widthPx) return shrink(picture, widthPx);
  const height = Math.max(1, Math.round((picture.height * widthPx) / picture.width));
  const data = new Uint8ClampedArray(widthPx * height * 4);
  const held = (value: number, count: number): number => Math.min(count - 1, Math.max(0, value));
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < widthPx; column += 1) {
      const u = held(((column + 0.5) * picture.width) / widthPx - 0.5, picture.width);
      const v = held(((row + 0.5) * picture.height) / height - 0.5, picture.height);
      const [i, j] = [Math.min(picture.width - 2, Math.floor(u)), Math.min(picture.height - 2, Math.floor(v))];
      const [s, t] = [u - i, v - j];
      const at = (x: number, y: number, channel: number): number =>
        picture.data[(y * picture.width + x) * 4 + channel]!;
      for (let channel = 0; channel < 4; channel += 1)
        data[(row * widthPx + column) * 4 + channel] = Math.round(
          (1 - t) * ((1 - s) * at(i, j, channel) + s * at(i + 1, j, channel)) +
            t * ((1 - s) * at(i, j + 1, channel) + s * at(i + 1, j + 1, channel)),
        );
    }
  return { width: widthPx, height, data };
};
