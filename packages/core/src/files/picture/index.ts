import type { Ambient } from '../../document/design/index.js';
import type { BoxEvaluation, Evaluation } from '../../sign/evaluate/index.js';
import {
  ambientLux,
  colourOf,
  driftAt,
  linearOf,
  luminanceOf,
  throughTint,
  type LinearRgb,
} from '../../light/glow/index.js';
import { clamp } from '../../base/maths/index.js';

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

/** Reflectances of what stands round the face, linear. */
export const wallRgb: LinearRgb = [0.62, 0.59, 0.54];
const brightestPaper = 0.85;
/** Below the light of a room the eye no longer makes up for all that is missing: dusk looks dusky (exponent typical). */
const roomLux = 500;
const darkAdaptation = 0.35;
/** Room above the brightest tenth, so that hot spots still show as hotter. */
const shoulder = 1.08;

/** Exposure for one ambient light: the eye settles on the brighter of a lit white paper and the sign itself. */
export const exposureFor = (evaluation: Evaluation, ambient: Ambient, lit = true): Exposure => {
  const lux = ambientLux[ambient];
  const paper = ((lux * brightestPaper) / Math.PI) * Math.pow(Math.max(1, roomLux / lux), darkAdaptation);
  const unlit = (lux * evaluation.glow.faceReflectance) / Math.PI;
  const hueRoom = Math.max(...seenHue(evaluation));
  const sign = lit ? evaluation.glow.evenness.highCdM2 * hueRoom + unlit : unlit;
  const whiteCdM2 = Math.max(paper, sign * shoulder, 1e-6);
  return { whiteCdM2, surroundWhiteCdM2: Math.sqrt(whiteCdM2 * Math.max(paper, 1e-6)), lux };
};

const encode = (linear: number): number => {
  const value = clamp(linear, 0, 1);
  return value <= 0.0031308 ? value * 12.92 : 1.055 * Math.pow(value, 1 / 2.4) - 0.055;
};

const gammaTable = Uint8ClampedArray.from({ length: 4097 }, (_, index) => Math.round(encode(index / 4096) * 255));

const byteOf = (linear: number): number => gammaTable[(clamp(linear, 0, 1) * 4096) | 0]!;

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

/** What is seen where: the lit ground, and what covers part of it. */
interface Layers {
  readonly hue: LinearRgb;
  /** Of the unlit ground. */
  readonly groundRgb: LinearRgb;
  readonly cover: { readonly passes: LinearRgb; readonly reflects: LinearRgb };
  /** Share of a cell that is covered, by the share of it that letters take. */
  readonly coveredShare: (letterShare: number) => number;
}

/** How much of a white light's tint is still seen once the eye has adapted to it; typical. */
const tintSeen = 0.4;

/** A white’s hue after the eye has adapted to it, at luminance 1. */
const faded = (hue: LinearRgb): LinearRgb => {
  const paler = hue.map((channel) => Math.pow(channel, tintSeen)) as unknown as LinearRgb;
  const luminance = luminanceOf(paler);
  return [paler[0] / luminance, paler[1] / luminance, paler[2] / luminance];
};

/** The hue as seen: whites lose most of their tint to adaptation, colours of light, face or wall keep theirs. */
const seenHue = (evaluation: Evaluation): LinearRgb => {
  const { design, glow, materials } = evaluation;
  const white = design.brief.light.kind === 'white';
  if (evaluation.build === 'halo')
    return white
      ? throughTint(faded(colourOf(design.brief.light, materials.strip).hue), evaluation.materials.wall.reflectanceRgb)
          .hue
      : glow.hue;
  return white && evaluation.stack.tint.every((channel) => channel === 1) ? faded(glow.hue) : glow.hue;
};

const opaque: LinearRgb = [0, 0, 0];

const layersOf = (evaluation: Evaluation): Layers => {
  const shared = { hue: seenHue(evaluation), groundRgb: evaluation.glow.unlitRgb };
  if (evaluation.build === 'halo')
    return {
      ...shared,
      cover: { passes: opaque, reflects: linearOf(evaluation.assembly.letters.colour) },
      coveredShare: (share) => share,
    };
  if (evaluation.build === 'face-lit')
    // Round the letters there is the wall.
    return { ...shared, cover: { passes: opaque, reflects: wallRgb }, coveredShare: (share) => 1 - share };
  const { film } = evaluation.materials;
  const masked = evaluation.assembly.artwork.mode === 'lit-letters';
  return {
    ...shared,
    cover: { passes: film.transmittanceRgb, reflects: film.reflectanceRgb },
    coveredShare: masked ? (share) => 1 - share : (share) => share,
  };
};

/**
 * The lit face as it looks under one ambient light, a pixel a cell. With `letters` false the bare face is shown, for
 * drawings that lay sharp letters over it. Another exposure shows it as an eye sees it that is used to another light.
 */
export const renderFace = (
  evaluation: Evaluation,
  ambient: Ambient,
  lit: boolean,
  letters: boolean,
  exposure = exposureFor(evaluation, ambient, lit),
): Picture => {
  const { grid, luminance: ground, letters: cover, drift } = evaluation.glow;
  const { hue, cover: over, groundRgb, coveredShare } = layersOf(evaluation);
  const data = new Uint8ClampedArray(grid.columns * grid.rows * 4);
  const scale = 1 / exposure.whiteCdM2;
  const ambientCdM2 = exposure.lux / Math.PI;
  const drifted = new Float64Array(3).fill(1);
  for (let row = 0; row < grid.rows; row += 1)
    for (let column = 0; column < grid.columns; column += 1) {
      const cell = row * grid.columns + column;
      const pixel = ((grid.rows - 1 - row) * grid.columns + column) * 4;
      const covered = letters ? coveredShare(cover[cell]!) : 0;
      const own = lit ? ground[cell]! : 0;
      if (drift !== null) driftAt(drift, (column + 0.5) / grid.columns, (row + 0.5) / grid.rows, drifted);
      for (let channel = 0; channel < 3; channel += 1) {
        const light = own * hue[channel]! * drifted[channel]!;
        const bare = light + ambientCdM2 * groundRgb[channel]!;
        const filmed = light * over.passes[channel]! + ambientCdM2 * over.reflects[channel]!;
        data[pixel + channel] = byteOf((bare * (1 - covered) + filmed * covered) * scale);
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

/** Colour of film over the lit face at its mean, or of opaque letters, as CSS. */
export const filmColour = (evaluation: Evaluation, ambient: Ambient, lit: boolean): string => {
  const { hue, cover } = layersOf(evaluation);
  const own = lit ? evaluation.glow.evenness.meanCdM2 : 0;
  const passed = cover.passes.map((share, channel) => share * own * hue[channel]!) as unknown as LinearRgb;
  return surfaceColour(cover.reflects, exposureFor(evaluation, ambient, lit), passed);
};

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
export const renderFalseColour = ({ glow }: Evaluation, topCdM2: number): Picture => {
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
const resized = (picture: Picture, widthPx: number): Picture => {
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

const surroundShare = 0.14;

/** The whole piece on its wall under one ambient light: face, returns’ edges, wall. For files and thumbnails. */
export const renderPiece = (evaluation: Evaluation, ambient: Ambient, widthPx: number): Picture =>
  evaluation.build !== 'lightbox'
    ? resized(renderFace(evaluation, ambient, true, true), widthPx)
    : renderBox(evaluation, ambient, widthPx);

const renderBox = (evaluation: BoxEvaluation, ambient: Ambient, widthPx: number): Picture => {
  const { outside, inside } = evaluation.geometry;
  const margin = Math.max(outside.widthMm, outside.heightMm) * surroundShare;
  const [sceneWidth, sceneHeight] = [outside.widthMm + 2 * margin, outside.heightMm + 2 * margin];
  const height = Math.max(1, Math.round((widthPx * sceneHeight) / sceneWidth));
  const face = renderFace(evaluation, ambient, true, true);
  const exposure = exposureFor(evaluation, ambient);
  const flat = (share: LinearRgb): readonly number[] =>
    share.map((value) => byteOf((exposure.lux * value) / Math.PI / exposure.surroundWhiteCdM2));
  const [wall, edge] = [flat(wallRgb), flat([0.3, 0.22, 0.14])];
  const data = new Uint8ClampedArray(widthPx * height * 4);
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < widthPx; column += 1) {
      const x = ((column + 0.5) / widthPx - 0.5) * sceneWidth;
      const y = (0.5 - (row + 0.5) / height) * sceneHeight;
      const at = (row * widthPx + column) * 4;
      const u = ((x / inside.widthMm + 0.5) * face.width) | 0;
      const v = ((0.5 - y / inside.heightMm) * face.height) | 0;
      const onFace = Math.abs(x) < inside.widthMm / 2 && Math.abs(y) < inside.heightMm / 2;
      const onCase = Math.abs(x) < outside.widthMm / 2 && Math.abs(y) < outside.heightMm / 2;
      if (onFace) data.set(face.data.subarray((v * face.width + u) * 4, (v * face.width + u) * 4 + 3), at);
      else data.set(onCase ? edge : wall, at);
      data[at + 3] = 255;
    }
  return { width: widthPx, height, data };
};
