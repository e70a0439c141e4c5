import { toByteArray } from 'base64-js';
import type { Lettering } from '../../artwork/lettering/index.js';
import { rectRing, type Point, type Rect } from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import type { PanelArtwork, PanelPhoto } from './schema.js';

/** A photograph over its place on the sheet: how much of each place is to be worked, 0 to 1, row by row from the upper left. */
export interface Photo {
  readonly columns: number;
  readonly rows: number;
  readonly shares: Float32Array;
  readonly area: Rect;
}

/** What an sRGB grey gives of the light of white (IEC 61966-2-1). */
const lightOfGrey = (grey: number): number => {
  const value = grey / 255;
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
};

const lightOf: Float32Array = Float32Array.from({ length: 256 }, (_, grey) => lightOfGrey(grey));

/** How wide and high a photograph is on the sheet (mm). */
export const photoSize = ({
  widthMm,
  columns,
  rows,
}: PanelPhoto): { readonly width: number; readonly height: number } => ({
  width: widthMm,
  height: (widthMm * rows) / columns,
});

/** From so many dots along its longer side on, a photograph can be made out; typical. */
export const dotsToRead = 100;

/** How wide a photograph must be on the sheet to be made out with dots so far apart (mm). */
export const photoWants = ({ columns, rows }: Pick<PanelPhoto, 'columns' | 'rows'>, spacingMm: number): number =>
  Math.ceil((dotsToRead * spacingMm * columns) / Math.max(columns, rows));

/** The tones of a photograph with its middle at a place; fails where they are not stored as they should be. */
export const photoAt = (photo: PanelPhoto, [x, y]: Point): Result<Photo> => {
  const { columns, rows } = photo;
  let bytes: Uint8Array;
  try {
    bytes = toByteArray(photo.tones);
  } catch {
    // Its only failure is text that is no base64.
    bytes = new Uint8Array();
  }
  if (bytes.length !== columns * rows)
    return failure({ path: 'artwork.photo', message: 'is not stored as it should be; load its file again' });
  const { width, height } = photoSize(photo);
  const dark = photo.worked === 'dark';
  return success({
    columns,
    rows,
    shares: Float32Array.from(bytes, (grey) => (dark ? 1 - lightOf[grey]! : lightOf[grey]!)),
    area: { x: x - width / 2, y: y - height / 2, width, height },
  });
};

/** How much of a place is to be worked: between the middles of tones in straight lines. */
export const toneAt = ({ columns, rows, shares, area }: Photo, x: number, y: number): number => {
  const hold = (value: number, most: number): number => Math.min(most, Math.max(0, value));
  const u = hold(((x - area.x) / area.width) * columns - 0.5, columns - 1);
  const v = hold(((area.y + area.height - y) / area.height) * rows - 0.5, rows - 1);
  const [c, r] = [Math.floor(u), Math.floor(v)];
  const [c1, r1] = [Math.min(columns - 1, c + 1), Math.min(rows - 1, r + 1)];
  const across = (row: number): number =>
    shares[row * columns + c]! * (1 - (u - c)) + shares[row * columns + c1]! * (u - c);
  return across(r) * (1 - (v - r)) + across(r1) * (v - r);
};

/** A photograph as shared stages see artwork: its rectangle, no letters. */
export const photoLettering = ({ area }: Photo): Lettering => ({
  outline: [rectRing(area)],
  bounds: area,
  areaMm2: area.width * area.height,
  letterCount: 0,
  missing: [],
});

/** The photograph of an area; null where it has none. */
export const photoIn = ({ photo }: PanelArtwork): PanelPhoto | null => photo ?? null;
