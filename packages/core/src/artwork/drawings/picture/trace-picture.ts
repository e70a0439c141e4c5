import { blur2 } from 'd3-array';
import { contours } from 'd3-contour';
import { ringArea, simplify, unite, type Outline, type Point } from '../../../base/outlines/index.js';
import { failure, success, type Result } from '../../../base/result.js';
import type { Drawing } from '../types.js';

/** A picture in shades of grey, row by row from the top; 0 is black. */
export interface GreyPicture {
  readonly width: number;
  readonly height: number;
  readonly grey: Uint8Array;
}

/** How a picture is traced. */
export interface TraceOptions {
  /** What is darker than this is ink, 0 to 255. */
  readonly threshold: number;
  /** Light letters on dark ground. */
  readonly inverted: boolean;
  /** Blur before and simplification after, in pixels; 0 follows every pixel. */
  readonly smoothPx: number;
}

/** Pictures say nothing of their size: this many pixels are taken for an inch. */
const pxPerInch = 96;
const mostPixels = 6_000_000;
/** Ink of fewer pixels is dust. */
const dustPx = 6;

/**
 * Traces the ink of a picture: marching squares at the threshold, between the pixels where their greys say so, as d3-contour
 * does, then simplified. In mm at 96 pixels to the inch, `scale` times as large, y up.
 */
export const tracePicture = (picture: GreyPicture, options: TraceOptions, scale = 1): Result<Drawing> => {
  const { width, height, grey } = picture;
  if (width * height > mostPixels || width < 2 || height < 2 || grey.length !== width * height)
    return failure({
      path: '',
      message: `a picture of ${width} × ${height} pixels cannot be traced; it may have up to ${mostPixels / 1e6} million`,
    });
  // A rim of ground round the picture closes what runs off its edge.
  const [wide, high] = [width + 2, height + 2];
  const ink = new Float64Array(wide * high);
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      const dark = 255 - grey[row * width + column]!;
      ink[(row + 1) * wide + column + 1] = options.inverted ? 255 - dark : dark;
    }
  if (options.smoothPx > 0) blur2({ data: ink, width: wide, height: high }, options.smoothPx / 2);
  const level = Math.min(254.5, Math.max(0.5, options.inverted ? options.threshold : 255 - options.threshold));
  const found = contours()
    .size([wide, high])
    .smooth(true)
    .contour(ink as unknown as number[], level);
  const mm = (25.4 / pxPerInch) * scale;
  const rings: Outline = found.coordinates
    .flat()
    .map((ring) => ring.slice(0, -1).map(([x, y]): Point => [(x! - 1) * mm, (height - (y! - 1)) * mm]));
  const outline = simplify(unite(rings, 'evenodd'), Math.max(0.05, options.smoothPx * 0.4) * mm);
  const kept = outline.filter((ring) => Math.abs(ringArea(ring)) >= dustPx * mm * mm);
  if (kept.length === 0)
    return failure({ path: '', message: 'there is no ink in this picture at this threshold; move the threshold' });
  const dust = outline.length - kept.length;
  return success({
    kind: 'picture',
    shapes: [{ layer: '', fill: 'evenodd', clip: null, paths: kept.map((points) => ({ points, closed: true })) }],
    sizeStated: false,
    notes: dust > 0 ? [`${dust} speck${dust === 1 ? '' : 's'} of fewer than ${dustPx} pixels left out`] : [],
  });
};
