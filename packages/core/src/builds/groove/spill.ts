import type { Rect } from '../../base/outlines/index.js';
import { gridOver } from '../../base/raster/index.js';
import type { AlongLines } from './along-lines.js';
import { cellsNear, strideOf } from './lines-on-map.js';

/** Light beside a proud line is followed so many times as far as it is high. */
const spillReach = 6;
/** Its raster has so many cells along the longer side at the most. */
const mostSpillCells = 400;
/**
 * Light that falls on the carrier beside lines that stand proud of it (lx): each place of a line as an upright band as high as it stands,
 * dE = L/2 · x (1/ρ² − 1/(ρ² + R²)) ds, x from the line and ρ from the place; over a long line π L (1 − cos β) / 2, tan β = R / x. On a
 * raster of its own, as coarse as that light is: nearer to a line than its edge it goes on as at the edge.
 */
export const spillOver = (area: Rect, along: AlongLines, luminance: Float64Array, litMm: number, proudMm: number) => {
  const radius = Math.min(proudMm, litMm / 2);
  if (radius <= 0.05) return null;
  const cell = Math.max(radius / 2, Math.max(area.width, area.height) / mostSpillCells);
  const grid = gridOver(area, Math.max(2, Math.ceil(area.width / cell)), Math.max(2, Math.ceil(area.height / cell)));
  const lux = new Float32Array(grid.columns * grid.rows);
  const reach = spillReach * radius + litMm / 2;
  const tangents = tangentsOf(along);
  const stride = strideOf(along, radius / 2);
  for (let at = 0; at < along.count; at += stride) {
    const [ux, uy] = [tangents.x[at]!, tangents.y[at]!];
    const half = (luminance[at]! * along.stepMm[at]! * stride) / 2;
    cellsNear(grid, along.x[at]!, along.y[at]!, reach, (cell, dx, dy) => {
      const aside = Math.max(litMm / 2, Math.abs(dx * uy - dy * ux));
      const forward = dx * ux + dy * uy;
      const away2 = forward * forward + aside * aside;
      lux[cell]! += half * aside * (1 / away2 - 1 / (away2 + radius * radius));
    });
  }
  return { grid, lux };
};

/** The way along the line at every place. */
const tangentsOf = ({ count, x, y, line }: AlongLines) => {
  const [tx, ty] = [new Float64Array(count), new Float64Array(count)];
  for (let at = 0; at < count; at += 1) {
    const from = at > 0 && line[at - 1] === line[at] ? at - 1 : at;
    const to = at < count - 1 && line[at + 1] === line[at] ? at + 1 : at;
    const length = Math.hypot(x[to]! - x[from]!, y[to]! - y[from]!) || 1;
    [tx[at], ty[at]] = [(x[to]! - x[from]!) / length, (y[to]! - y[from]!) / length];
  }
  return { x: tx, y: ty };
};
