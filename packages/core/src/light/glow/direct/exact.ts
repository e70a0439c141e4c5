import { clamp, millionth } from '../../../base/maths/index.js';
import type { StackView } from '../../optics/index.js';
import { intensityAt, type PointSources } from '../../photometry/index.js';
import type { Block } from '../../radiosity/index.js';
import type { Grid } from '../../../base/raster/index.js';
import { mm2PerM2, tableSize, type FacingLaw } from './law.js';

/** Cosine light on a face that scatters every way, where the law is peak · (h²/(r²+h²))². Mutates `map`. */
const addSquare = (map: Float64Array, grid: Grid, x: number, y: number, h: number, peak: number): void => {
  const { columns, rows, cellWidthMm, cellHeightMm, area } = grid;
  const scale = Math.sqrt(peak) * h;
  for (let row = 0, at = 0; row < rows; row += 1) {
    const dy = area.y + (row + 0.5) * cellHeightMm - y;
    const base = dy * dy + h * h;
    let dx = area.x + 0.5 * cellWidthMm - x;
    for (let column = 0; column < columns; column += 1, at += 1, dx += cellWidthMm) {
      const share = scale / (dx * dx + base);
      map[at]! += share * share;
    }
  }
};

const addTabulated = (
  map: Float64Array,
  grid: Grid,
  x: number,
  y: number,
  h: number,
  flux: number,
  table: Float64Array,
): void => {
  const { columns, rows, cellWidthMm, cellHeightMm, area } = grid;
  const h2 = h * h;
  const scaled = tableSize * h2;
  const factor = (flux * mm2PerM2) / h2;
  for (let row = 0, at = 0; row < rows; row += 1) {
    const dy = area.y + (row + 0.5) * cellHeightMm - y;
    const base = dy * dy + h2;
    let dx = area.x + 0.5 * cellWidthMm - x;
    for (let column = 0; column < columns; column += 1, at += 1, dx += cellWidthMm) {
      const place = scaled / (dx * dx + base);
      const index = place | 0;
      const low = table[index]!;
      map[at]! += factor * (low + (table[index + 1]! - low) * (place - index));
    }
  }
};

/** Adds one source that looks straight at the plane, `h` behind it: every cell. Mutates `map`. */
export const addFacing = (
  map: Float64Array,
  grid: Grid,
  x: number,
  y: number,
  h: number,
  flux: number,
  law: FacingLaw,
): void => {
  if (law.squarePeak === null) addTabulated(map, grid, x, y, h, flux, law.table);
  else addSquare(map, grid, x, y, h, flux * law.squarePeak * mm2PerM2);
};

/** Whether the way from a source to a cell of the plane passes through the block. */
export const hidden = (
  { x0, x1, y0, y1, heightMm }: Block,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
): boolean => {
  if (z >= heightMm) return false;
  let [enter, leave] = [millionth, Math.min(1, (heightMm - z) / dz)];
  for (const [o, d, low, high] of [
    [x, dx, x0, x1],
    [y, dy, y0, y1],
  ] as const) {
    if (d === 0) {
      if (o <= low || o >= high) return false;
      continue;
    }
    const [a, b] = [(low - o) / d, (high - o) / d];
    enter = Math.max(enter, Math.min(a, b));
    leave = Math.min(leave, Math.max(a, b));
  }
  return enter < leave;
};

/**
 * Adds one source that looks any way, with any distribution, behind a block or not: L = I(θ) cos γ / d² · f(γ), every
 * cell. Mutates `map`.
 */
export const addAny = (
  map: Float64Array,
  grid: Grid,
  emitters: PointSources,
  source: number,
  planeZ: number,
  view: StackView,
  block: Block | null,
): void => {
  const { columns, rows, cellWidthMm, cellHeightMm, area } = grid;
  const [x, y, z] = [emitters.x[source]!, emitters.y[source]!, emitters.z[source]!];
  const [nx, ny, nz] = [emitters.nx[source]!, emitters.ny[source]!, emitters.nz[source]!];
  const [ux, uy, uz] = [emitters.ux[source]!, emitters.uy[source]!, emitters.uz[source]!];
  const [vx, vy, vz] = [ny * uz - nz * uy, nz * ux - nx * uz, nx * uy - ny * ux];
  const { distribution } = emitters;
  const cosine = distribution.kind === 'cosine' ? distribution.exponent : null;
  const h = planeZ - z;
  const flux = emitters.fluxLm[source]! * mm2PerM2;
  const peak = cosine === null ? flux : (flux * (cosine + 1)) / (2 * Math.PI);
  const even = view.lambertian ? view.towardNormal(1) : 0;
  for (let row = 0, at = 0; row < rows; row += 1) {
    const dy = area.y + (row + 0.5) * cellHeightMm - y;
    for (let column = 0; column < columns; column += 1, at += 1) {
      const dx = area.x + (column + 0.5) * cellWidthMm - x;
      const d2 = dx * dx + dy * dy + h * h;
      const d = Math.sqrt(d2);
      const ahead = (dx * nx + dy * ny + h * nz) / d;
      let intensity: number;
      if (cosine !== null) {
        if (ahead <= 0) continue;
        intensity = peak * (cosine === 1 ? ahead : Math.pow(ahead, cosine));
      } else {
        const azimuth = Math.atan2(dx * vx + dy * vy + h * vz, dx * ux + dy * uy + h * uz);
        intensity = peak * intensityAt(distribution, Math.acos(clamp(ahead, -1, 1)), azimuth);
        if (intensity === 0) continue;
      }
      if (block !== null && hidden(block, x, y, z, dx, dy, h)) continue;
      map[at]! += ((intensity * h) / (d2 * d)) * (view.lambertian ? even : view.towardNormal((h * h) / d2));
    }
  }
};
