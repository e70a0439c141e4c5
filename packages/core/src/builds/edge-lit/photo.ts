import { toByteArray } from 'base64-js';
import type { Lettering } from '../../artwork/lettering/index.js';
import { rectRing, type Point } from '../../base/outlines/index.js';
import { gridOver, mapValue, type Grid } from '../../base/raster/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { toLinear } from '../../light/colour/index.js';
import type { PanelArtwork, PanelPhoto } from './schema.js';

/** A photograph over its place on the sheet: how much of each place is to be worked, 0 to 1, row 0 at the bottom. */
export interface Photo {
  readonly grid: Grid;
  readonly shares: Float32Array;
}

/** What each sRGB grey gives of the light of white. */
const lightOf: Float32Array = Float32Array.from({ length: 256 }, (_, grey) => toLinear(grey / 255));

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
    grid: gridOver({ x: x - width / 2, y: y - height / 2, width, height }, columns, rows),
    // Pictures begin at the top.
    shares: Float32Array.from(bytes, (_, cell) => {
      const light = lightOf[bytes[(rows - 1 - Math.floor(cell / columns)) * columns + (cell % columns)]!]!;
      return dark ? 1 - light : light;
    }),
  });
};

/** How much of a place is to be worked: between the middles of tones in straight lines. */
export const toneAt = ({ grid, shares }: Photo, x: number, y: number): number => mapValue(shares, grid, [x, y]);

/** A photograph as shared stages see artwork: its rectangle, no letters. */
export const photoLettering = ({ grid: { area } }: Photo): Lettering => ({
  outline: [rectRing(area)],
  bounds: area,
  areaMm2: area.width * area.height,
  letterCount: 0,
  missing: [],
});

/** The photograph of an area; null where it has none. */
export const photoIn = ({ photo }: PanelArtwork): PanelPhoto | null => photo ?? null;
