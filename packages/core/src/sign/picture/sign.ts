import type { Rect } from '../../base/outlines/index.js';
import { wallRgb } from '../../builds/index.js';
import type { Ambient } from '../../document/design/index.js';
import type { LinearRgb } from '../../light/colour/index.js';
import { byteOf, exposureFor, renderFace, resized, type Lit, type Picture } from './render-face.js';
import { sceneOfSign, type PlacedFront } from './scene.js';

/** Wall that is shown round a sign, as a share of its longer side. */
const surroundShare = 0.14;
/** How returns look from the front, whatever their board: thumbnails are too small to tell. */
const edgeRgb: LinearRgb = [0.3, 0.22, 0.14];

/** What a picture of a sign is made from. */
export interface PicturedSign {
  readonly assemblies: readonly (Lit & PlacedFront)[];
  readonly bounds: Rect;
}

/** One assembly with returns round its lit ground, on its wall. */
const renderRimmed = (own: Lit, ambient: Ambient, widthPx: number, lit: boolean): Picture => {
  const { outside, inside } = own.front.rim!;
  const margin = Math.max(outside.width, outside.height) * surroundShare;
  const [sceneWidth, sceneHeight] = [outside.width + 2 * margin, outside.height + 2 * margin];
  const height = Math.max(1, Math.round((widthPx * sceneHeight) / sceneWidth));
  const face = renderFace(own, ambient, lit, true);
  const exposure = exposureFor([own], ambient, lit);
  const flat = (share: LinearRgb): readonly number[] =>
    share.map((value) => byteOf((exposure.lux * value) / Math.PI / exposure.surroundWhiteCdM2));
  const [wall, edge] = [flat(wallRgb), flat(edgeRgb)];
  const data = new Uint8ClampedArray(widthPx * height * 4);
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < widthPx; column += 1) {
      const x = ((column + 0.5) / widthPx - 0.5) * sceneWidth;
      const y = (0.5 - (row + 0.5) / height) * sceneHeight;
      const at = (row * widthPx + column) * 4;
      const u = ((x / inside.width + 0.5) * face.width) | 0;
      const v = ((0.5 - y / inside.height) * face.height) | 0;
      const onFace = Math.abs(x) < inside.width / 2 && Math.abs(y) < inside.height / 2;
      const onCase = Math.abs(x) < outside.width / 2 && Math.abs(y) < outside.height / 2;
      if (onFace) data.set(face.data.subarray((v * face.width + u) * 4, (v * face.width + u) * 4 + 3), at);
      else data.set(onCase ? edge : wall, at);
      data[at + 3] = 255;
    }
  return { width: widthPx, height, data };
};

/** Several assemblies on their wall, each where it stands. */
const renderScene = (
  { assemblies, bounds }: PicturedSign,
  ambient: Ambient,
  widthPx: number,
  lit: boolean,
): Picture => {
  const exposure = exposureFor(assemblies, ambient, lit);
  const share = exposure.whiteCdM2 / exposure.surroundWhiteCdM2;
  const seenAt = sceneOfSign(assemblies, lit, exposure.lux, share);
  const margin = Math.max(bounds.width, bounds.height) * surroundShare;
  const width = bounds.width + 2 * margin;
  const height = Math.max(1, Math.round((widthPx * (bounds.height + 2 * margin)) / width));
  const perPx = width / widthPx;
  const data = new Uint8ClampedArray(widthPx * height * 4);
  const seen = new Float64Array(3);
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < widthPx; column += 1) {
      seenAt(bounds.x - margin + (column + 0.5) * perPx, bounds.y + bounds.height + margin - (row + 0.5) * perPx, seen);
      const at = (row * widthPx + column) * 4;
      for (let channel = 0; channel < 3; channel += 1) data[at + channel] = byteOf(seen[channel]! / exposure.whiteCdM2);
      data[at + 3] = 255;
    }
  return { width: widthPx, height, data };
};

/** The whole sign on its wall under one ambient light. For files and thumbnails. */
export const renderSign = (sign: PicturedSign, ambient: Ambient, widthPx: number, lit = true): Picture => {
  const [own] = sign.assemblies;
  if (own === undefined || sign.assemblies.length > 1) return renderScene(sign, ambient, widthPx, lit);
  return own.front.rim === null
    ? resized(renderFace(own, ambient, lit, true), widthPx)
    : renderRimmed(own, ambient, widthPx, lit);
};
