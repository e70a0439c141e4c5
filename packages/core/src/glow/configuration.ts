import type { Box } from './form-factors.js';
import type { Grid } from './types.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { atan, hypot } = Math;

/**
 * Share of the view of a point on the face that a return takes, which stands at distance `c` from it, reaches `depth`
 * behind the face, and runs `along` mm from the foot of the perpendicular (Howell, B-4: element to a perpendicular
 * rectangle with its corner at the foot).
 */
const cornerShare = (c: number, depth: number, along: number): number => {
  const reach = hypot(depth, c);
  return (atan(along / c) - (c / reach) * atan(along / reach)) / (2 * Math.PI);
};

/** What each cell of the face sees of the case: shares of its view, one map a side; they sum to one. */
export interface FaceView {
  readonly left: Float32Array;
  readonly bottom: Float32Array;
}

/** The view of the left return and of the bottom return; right and top are their mirror images, the back is the rest. */
export const faceView = (grid: Grid, { widthMm, heightMm, depthMm }: Box): FaceView => {
  const { columns, rows, cellWidthMm, cellHeightMm } = grid;
  const left = new Float32Array(columns * rows);
  const bottom = new Float32Array(columns * rows);
  for (let row = 0; row * 2 < rows; row += 1) {
    const y = (row + 0.5) * cellHeightMm;
    for (let column = 0; column < columns; column += 1) {
      const x = (column + 0.5) * cellWidthMm;
      const mirror = (rows - 1 - row) * columns + column;
      const own = row * columns + column;
      left[own] = left[mirror] = cornerShare(x, depthMm, y) + cornerShare(x, depthMm, heightMm - y);
      bottom[own] = cornerShare(y, depthMm, x) + cornerShare(y, depthMm, widthMm - x);
      bottom[mirror] = cornerShare(heightMm - y, depthMm, x) + cornerShare(heightMm - y, depthMm, widthMm - x);
    }
  }
  return { left, bottom };
};
