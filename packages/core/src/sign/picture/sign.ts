import type { Rect } from '../../base/outlines/index.js';
import type { Ambient } from '../../document/design/index.js';
import { byteOf, exposureFor, gainOn, type Exposure, type Lit } from './exposure.js';
import { glareOf, type Glare } from './glare.js';
import type { Picture } from './render-face.js';
import type { PlacedFront } from './layer.js';
import { pictureOf } from './picture-of.js';
import { sceneOfSign, wallBehind } from './scene.js';

/** Wall that is shown round a sign, as a share of its longer side. */
const wallShare = 0.14;
/** How a picture is made: the sign lit or not, and how many places are looked at in each pixel across and down. */
interface PictureOptions {
  readonly lit?: boolean;
  /** Two make edges smooth; one is quick. */
  readonly samples?: number;
}

/** What a picture of a sign is made from. */
export interface PicturedSign {
  readonly assemblies: readonly (Lit & PlacedFront)[];
  readonly bounds: Rect;
  readonly design: { readonly brief: { readonly readingDistanceMm: number } };
}

/** The whole sign on its wall under one ambient light. For files and thumbnails. */
export const renderSign = (
  { assemblies, bounds, design }: PicturedSign,
  ambient: Ambient,
  widthPx: number,
  { lit = true, samples = 2 }: PictureOptions = {},
): Picture => {
  const exposure = exposureFor(assemblies, ambient, lit);
  const glare = lit ? glareOf(assemblies, design.brief.readingDistanceMm, wallShare) : null;
  const seenAt = sceneOfSign(assemblies, { lit, lux: exposure.lux, glare });
  const margin = Math.max(bounds.width, bounds.height) * wallShare;
  const width = bounds.width + 2 * margin;
  const height = Math.max(1, Math.round((widthPx * (bounds.height + 2 * margin)) / width));
  const perPx = width / widthPx;
  const [left, top] = [bounds.x - margin, bounds.y + bounds.height + margin];
  const seen = new Float64Array(4);
  const data = pictureOf(widthPx, height, samples, (across, down, sums) => {
    seenAt(left + across * perPx, top - down * perPx, seen);
    const gain = gainOn(exposure, seen[3] === 0 ? Math.max(seen[0]!, seen[1]!, seen[2]!) : seen[3]!);
    for (let channel = 0; channel < 3; channel += 1) sums[channel]! += seen[channel]! * gain;
  });
  return { width: widthPx, height, data };
};

/** The wall round a sign with the veil over it, a pixel a place of the glare. */
export const renderWall = (assemblies: readonly PlacedFront[], glare: Glare, exposure: Exposure): Picture => {
  const { columns, rows, rgb } = glare;
  const wall = wallBehind(assemblies);
  const data = new Uint8ClampedArray(4 * columns * rows);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const from = 3 * (row * columns + column);
      const at = 4 * ((rows - 1 - row) * columns + column);
      const seen = wall.map((share, channel) => (exposure.lux * share) / Math.PI + rgb[from + channel]!);
      const gain = gainOn(exposure, Math.max(...seen));
      data.set([...seen.map((value) => byteOf(value * gain)), 255], at);
    }
  return { width: columns, height: rows, data };
};
