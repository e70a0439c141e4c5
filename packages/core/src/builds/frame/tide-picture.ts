import { fromByteArray } from 'base64-js';
import type { PictureDesign } from '../common/picture-schema.js';

// The picture of a demo, rendered by the program itself: two days of tides as water against a pale sky.
const [columns, rows] = [120, 85];
const sky = [236, 242, 246] as const;
const [shallow, deep] = [
  [120, 190, 205],
  [24, 84, 120],
] as const;
/** Springs and neaps: the water’s height as a share of the picture, four tides wide. */
const waterAt = (u: number): number => 0.34 + (0.2 - 0.05 * u) * Math.sin(8 * Math.PI * u - 0.6);

const pixelOf = (u: number, up: number): readonly number[] => {
  const water = waterAt(u);
  if (up > water) return sky;
  const down = Math.min(1, (water - up) / 0.45);
  return shallow.map((part, at) => Math.round(part + (deep[at]! - part) * down));
};

/** A printed picture of the tides. */
export const tidePicture: PictureDesign = {
  name: 'tides, rendered',
  columns,
  rows,
  rgb: fromByteArray(
    Uint8Array.from(
      Array.from({ length: columns * rows }, (_, pixel) =>
        pixelOf(((pixel % columns) + 0.5) / columns, 1 - (Math.floor(pixel / columns) + 0.5) / rows),
      ).flat(),
    ),
  ),
};
