import type { Corners, PicturePoint } from '../../light/photograph/index.js';

/** What a photograph of the wall is shown by. */
export type WallLight = 'day' | 'night';

/** Where a sign is to hang in a photograph of its wall. */
export interface WallSetup {
  /** Corners in the picture (px) of something on the wall that is a rectangle in truth. */
  readonly corners: Corners;
  /** How wide that is. */
  readonly widthMm: number;
  /** How high, where that was measured; worked out of the corners when left out. */
  readonly heightMm?: number | undefined;
  /** Where the middle of the sign is to be: mm right of and below the upper left corner of the rectangle. */
  readonly middleMm: PicturePoint;
  /** Whether it was taken by day or after dark. */
  readonly taken: WallLight;
}
