import { intensityAt, type Distribution } from '../photometry/index.js';
import type { Grid } from '../raster/index.js';
import { nearestWall, wallsOf, type Walls } from '../tracing/index.js';
import type { HaloScene, Post } from './types.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { acos, atan2, ceil, cos, floor, max, min, PI, sin, sqrt } = Math;

const mm2PerM2 = 1e6;
/** Beyond so many heights the light of an LED that faces the wall is less than a thousandth of what it is below it. */
const reachHeights = 12;
/** Directions in which the first return is looked for, an LED. */
const directions = 720;

/** Intensity of one lumen by the cosine of its angle; plain cosine light is asked for so often that it goes straight. */
const byCosine = (distribution: Distribution): ((ahead: number) => number) =>
  distribution.kind === 'cosine' && distribution.exponent === 1
    ? (ahead) => ahead / PI
    : (ahead) => intensityAt(distribution, acos(ahead));

/** Whether the way from (x, y) to (px, py) passes through a post. */
const meetsPost = (x: number, y: number, px: number, py: number, posts: readonly Post[]): boolean => {
  const [dx, dy] = [px - x, py - y];
  const length2 = dx * dx + dy * dy;
  for (const { at, diameterMm } of posts) {
    const [ox, oy] = [at[0] - x, at[1] - y];
    const share = length2 > 0 ? min(1, max(0, (ox * dx + oy * dy) / length2)) : 0;
    const [nx, ny] = [ox - share * dx, oy - share * dy];
    if (nx * nx + ny * ny < (diameterMm * diameterMm) / 4) return true;
  }
  return false;
};

/** How far it is from a place to the first return, direction by direction; `Infinity` where there is none. */
const horizonFrom = (walls: Walls, x: number, y: number): Float64Array => {
  const photon = new Float64Array(7);
  const times = new Float64Array(1);
  return Float64Array.from({ length: directions }, (_, index) => {
    const angle = ((index + 0.5) / directions) * 2 * PI - PI;
    photon.set([x, y, 0, cos(angle), sin(angle), 0]);
    times[0] = Infinity;
    nearestWall(walls, photon, times);
    return times[0];
  });
};

/**
 * Illuminance of the wall straight from the LEDs (lx), for each cell I cos γ / d² of every LED in reach, less what posts
 * and returns keep off: a return blocks what would cross it above its lower edge, the standoff.
 */
export const directOnWall = (scene: HaloScene, grid: Grid): Float64Array => {
  const { lights, posts, standoffMm, returnMm } = scene;
  const walls = returnMm > 0 ? wallsOf(scene.outline) : null;
  const lux = new Float64Array(grid.columns * grid.rows);
  const candelaAt = byCosine(lights.distribution);
  const column = (x: number): number => (x - grid.area.x) / grid.cellWidthMm - 0.5;
  const row = (y: number): number => (y - grid.area.y) / grid.cellHeightMm - 0.5;
  for (let led = 0; led < lights.count; led += 1) {
    const [x, y, z] = [lights.x[led]!, lights.y[led]!, lights.z[led]!];
    const [nx, ny, nz] = [lights.nx[led]!, lights.ny[led]!, lights.nz[led]!];
    const reach = reachHeights * z;
    const near = posts.filter(({ at }) => (at[0] - x) ** 2 + (at[1] - y) ** 2 < reach * reach);
    const horizon = walls === null ? null : horizonFrom(walls, x, y);
    const flux = lights.fluxLm[led]! * mm2PerM2;
    const [firstRow, lastRow] = [max(0, ceil(row(y - reach))), min(grid.rows - 1, floor(row(y + reach)))];
    const [firstColumn, lastColumn] = [
      max(0, ceil(column(x - reach))),
      min(grid.columns - 1, floor(column(x + reach))),
    ];
    for (let j = firstRow; j <= lastRow; j += 1) {
      const py = grid.area.y + (j + 0.5) * grid.cellHeightMm;
      for (let i = firstColumn; i <= lastColumn; i += 1) {
        const px = grid.area.x + (i + 0.5) * grid.cellWidthMm;
        const [dx, dy] = [px - x, py - y];
        const flat2 = dx * dx + dy * dy;
        if (flat2 > reach * reach) continue;
        if (horizon !== null) {
          const turn = min(directions - 1, floor(((atan2(dy, dx) + PI) / (2 * PI)) * directions));
          const way = sqrt(flat2);
          if (horizon[turn]! < way && z * (1 - horizon[turn]! / way) > standoffMm) continue;
        }
        if (near.length > 0 && meetsPost(x, y, px, py, near)) continue;
        const d2 = flat2 + z * z;
        const d = sqrt(d2);
        const ahead = (dx * nx + dy * ny - z * nz) / d;
        if (ahead <= 0) continue;
        lux[j * grid.columns + i]! += (flux * candelaAt(min(1, ahead)) * z) / (d2 * d);
      }
    }
  }
  return lux;
};
