import type { Rect } from '../outlines/index.js';

/** A raster over an area; row 0 at the bottom. */
export interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly area: Rect;
  readonly cellWidthMm: number;
  readonly cellHeightMm: number;
}
