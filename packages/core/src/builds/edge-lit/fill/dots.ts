import { insideByLine, type Outline, type Point, type Rect } from '../../../base/outlines/index.js';
import { mostDots } from './hatch.js';

/**
 * Dots on a square grid, `spacingMm` apart where the fill is densest; elsewhere some are left out by error diffusion
 * (R. W. Floyd & L. Steinberg, 1976), so that the share `densityAt` stays everywhere. Null where the grid has more places than can be drawn.
 */
export const dotsOf = (
  outline: Outline,
  spacingMm: number,
  bounds: Rect,
  densityAt: (x: number, y: number) => number,
): readonly Point[] | null => {
  const columns = Math.max(1, Math.floor(bounds.width / spacingMm));
  const rows = Math.max(1, Math.floor(bounds.height / spacingMm));
  if (columns * rows > mostDots) return null;
  const inside = insideByLine(outline);
  const dots: Point[] = [];
  let below = new Float64Array(columns + 2);
  for (let row = 0; row < rows; row += 1) {
    const own = below;
    below = new Float64Array(columns + 2);
    // Every second row runs back, so that no diagonal shows.
    const back = row % 2 === 1;
    const y = bounds.y + (row + 0.5) * spacingMm;
    let carried = 0;
    for (let step = 0; step < columns; step += 1) {
      const column = back ? columns - 1 - step : step;
      const x = bounds.x + (column + 0.5) * spacingMm;
      const wanted = Math.min(1, Math.max(0, densityAt(x, y)));
      const value = wanted + own[column + 1]! + carried;
      const drawn = wanted > 0 && value >= 0.5;
      const error = value - (drawn ? 1 : 0);
      const way = back ? -1 : 1;
      carried = (7 / 16) * error;
      below[column + 1 - way]! += (3 / 16) * error;
      below[column + 1]! += (5 / 16) * error;
      below[column + 1 + way]! += (1 / 16) * error;
      if (drawn && inside(x, y)) dots.push([x, y]);
    }
  }
  return dots;
};
