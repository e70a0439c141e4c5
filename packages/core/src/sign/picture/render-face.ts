import type { Ambient } from '../../document/design/index.js';
import { driftAt } from '../../light/glow/index.js';
import { byteOf, exposureFor, gainOn, type Exposure, type Lit } from './exposure.js';
import { groundLightOf } from './ground-light.js';
import type { SceneLight } from './scene.js';
import { wallFade } from './wall-fade.js';

/** Straight sRGB bytes, four a pixel, row 0 at the top. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/** How a face is looked at, and what is seen round it. */
export interface SeenBy {
  readonly exposure: Exposure;
  /** What its light falls on besides, where it falls on what stands behind the assembly. */
  readonly behind: SceneLight | null;
}

/** The strongest of three channels, a value a cell. */
const strongest = (light: Float32Array): Float32Array =>
  new Float32Array(light.length / 3).map((_, cell) =>
    Math.max(light[3 * cell]!, light[3 * cell + 1]!, light[3 * cell + 2]!),
  );

/** The bare lit ground under the light of the place, red, green and blue (cd/m²) a cell. */
const groundSeen = (own: Lit, lit: boolean, ambientCdM2: number, behind: SceneLight | null): Float32Array => {
  const { glow, front } = own;
  const { grid, luminance, drift, unlitRgb, unlitShare, unlitTint } = glow;
  const { reflects } = front.cover;
  const drifted = new Float64Array(3).fill(1);
  const seen = new Float64Array(4);
  const light = new Float32Array(3 * luminance.length);
  const fade = wallFade(own);
  for (let row = 0; row < grid.rows; row += 1)
    for (let column = 0; column < grid.columns; column += 1) {
      const cell = row * grid.columns + column;
      const x = grid.area.x + (column + 0.5) * grid.cellWidthMm;
      const y = grid.area.y + (row + 0.5) * grid.cellHeightMm;
      const given = lit ? luminance[cell]! * fade(x, y) : 0;
      if (drift !== null) driftAt(drift, (column + 0.5) / grid.columns, (row + 0.5) / grid.rows, drifted);
      const share = unlitShare?.[cell] ?? 1;
      if (behind !== null) behind(x, y, seen);
      for (let channel = 0; channel < 3; channel += 1)
        light[3 * cell + channel] =
          given * front.seenHue[channel]! * drifted[channel]! +
          (behind === null
            ? ambientCdM2 *
              (unlitRgb[channel]! * (unlitTint?.[3 * cell + channel] ?? 1) * share + reflects[channel]! * (1 - share))
            : seen[channel]!);
    }
  return light;
};

/** What the lit part of a face counts as, as a whole: its mean under the light of the place, in its strongest channel (cd/m²). */
export const faceLight = ({ glow, front }: Lit, lit: boolean, ambientCdM2: number): number =>
  Math.max(
    ...front.seenHue.map(
      (share, channel) => (lit ? share * glow.evenness.meanCdM2 : 0) + ambientCdM2 * glow.unlitRgb[channel]!,
    ),
  );

/** The same for what covers part of it. */
export const coverLight = ({ glow, front }: Lit, lit: boolean, ambientCdM2: number): number =>
  Math.max(
    ...front.seenHue.map(
      (share, channel) =>
        (lit ? share * glow.evenness.meanCdM2 * front.cover.passes[channel]! : 0) +
        ambientCdM2 * front.cover.reflects[channel]!,
    ),
  );

/**
 * The lit ground of an assembly as it looks under one ambient light, a pixel a cell. With `letters` false the bare ground is
 * shown, for drawings that lay sharp letters over it.
 */
export const renderFace = (
  own: Lit,
  ambient: Ambient,
  lit: boolean,
  letters: boolean,
  { exposure, behind }: SeenBy = { exposure: exposureFor([own], ambient, lit), behind: null },
): Picture => {
  const { glow, front } = own;
  const { grid, letters: letterShare } = glow;
  const { cover, covered } = front;
  const ambientCdM2 = exposure.lux / Math.PI;
  const light = groundSeen(own, lit, ambientCdM2, behind);
  const keepsRipples = exposure.viewer === 'eye' && front.lights === 'ground';
  const ground = keepsRipples ? groundLightOf(own, strongest(light)) : null;
  const faceGain = gainOn(exposure, faceLight(own, lit, ambientCdM2));
  const filmGain = gainOn(exposure, coverLight(own, lit, ambientCdM2));
  const data = new Uint8ClampedArray(grid.columns * grid.rows * 4);
  for (let row = 0; row < grid.rows; row += 1)
    for (let column = 0; column < grid.columns; column += 1) {
      const cell = row * grid.columns + column;
      const pixel = ((grid.rows - 1 - row) * grid.columns + column) * 4;
      const share = letterShare[cell]!;
      const hidden = letters ? (covered === 'letters' ? share : 1 - share) : 0;
      const gain = ground === null ? faceGain : gainOn(exposure, ground[cell]!);
      for (let channel = 0; channel < 3; channel += 1) {
        const bare = light[3 * cell + channel]!;
        const through = lit ? glow.luminance[cell]! * front.seenHue[channel]! * cover.passes[channel]! : 0;
        const filmed = through + ambientCdM2 * cover.reflects[channel]!;
        data[pixel + channel] = byteOf(bare * gain * (1 - hidden) + filmed * filmGain * hidden);
      }
      data[pixel + 3] = 255;
    }
  return { width: grid.columns, height: grid.rows, data };
};
