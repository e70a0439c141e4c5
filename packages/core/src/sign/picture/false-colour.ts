import { clamp } from '../../base/maths/index.js';
import type { LinearRgb } from '../../light/colour/index.js';
import type { Lit } from './exposure.js';
import type { Picture } from './render-face.js';

/** Dark-to-bright ramp for false colour: even steps in lightness, readable without colour vision (anchor colours our own). */
const ramp: readonly LinearRgb[] = [
  [18, 12, 40],
  [62, 24, 98],
  [128, 40, 106],
  [196, 68, 74],
  [238, 130, 44],
  [250, 200, 80],
  [255, 250, 210],
];

/** False colour for a share in [0, 1]. */
export const falseColour = (share: number): LinearRgb => {
  const place = clamp(share, 0, 1) * (ramp.length - 1);
  const low = Math.min(ramp.length - 2, Math.floor(place));
  const mix = place - low;
  const [a, b] = [ramp[low]!, ramp[low + 1]!];
  return [0, 1, 2].map((channel) =>
    Math.round(a[channel]! + (b[channel]! - a[channel]!) * mix),
  ) as unknown as LinearRgb;
};

/** The luminance map in false colour from 0 to `topCdM2`. */
export const renderFalseColour = ({ glow }: Pick<Lit, 'glow'>, topCdM2: number): Picture => {
  const { grid, luminance: ground } = glow;
  const data = new Uint8ClampedArray(grid.columns * grid.rows * 4);
  for (let row = 0; row < grid.rows; row += 1)
    for (let column = 0; column < grid.columns; column += 1) {
      const pixel = ((grid.rows - 1 - row) * grid.columns + column) * 4;
      const [r, g, b] = falseColour(ground[row * grid.columns + column]! / topCdM2);
      data.set([r, g, b, 255], pixel);
    }
  return { width: grid.columns, height: grid.rows, data };
};
