import type { Diffuser } from './diffuser.js';
import type { Emitters } from './emitters.js';
import type { Grid } from './types.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { abs, floor, min, pow, sqrt } = Math;

const tableSize = 2048;
const mm2PerM2 = 1e6;

/** `law` over [0, 1] as a table for straight-line look-up; the laws here are smooth, so the error is below 1e-6 of the peak. */
const tabulate = (law: (share: number) => number): Float64Array =>
  Float64Array.from({ length: tableSize + 2 }, (_, index) => law(min(1, index / tableSize)));

/**
 * The fast case, exact: LEDs facing a Lambertian face with m = 1, where I cos γ / d² = I₀ h² / (r² + h²)².
 * Mutates `map`.
 */
const addLambertian = (map: Float64Array, grid: Grid, x: number, y: number, h: number, peak: number): void => {
  const { columns, rows, cellWidthMm, cellHeightMm, area } = grid;
  const scale = sqrt(peak) * h;
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

/** Any exponent and diffuser, for LEDs facing the face: everything depends on cos² alone. Mutates `map`. */
const addFacing = (
  map: Float64Array,
  grid: Grid,
  x: number,
  y: number,
  h: number,
  peak: number,
  table: Float64Array,
): void => {
  const { columns, rows, cellWidthMm, cellHeightMm, area } = grid;
  const h2 = h * h;
  const scaled = tableSize * h2;
  const factor = peak / h2;
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

/** LEDs that face along the face (round the rim): I₀ (s/d)ᵐ · (h/d) / d², s the way ahead of the LED. Mutates `map`. */
const addAcross = (
  map: Float64Array,
  grid: Grid,
  place: { readonly x: number; readonly y: number; readonly h: number; readonly nx: number; readonly ny: number },
  peak: number,
  exponent: number,
  table: Float64Array,
): void => {
  const { columns, rows, cellWidthMm, cellHeightMm, area } = grid;
  const { x, y, h, nx, ny } = place;
  const h2 = h * h;
  for (let row = 0, at = 0; row < rows; row += 1) {
    const dy = area.y + (row + 0.5) * cellHeightMm - y;
    let dx = area.x + 0.5 * cellWidthMm - x;
    for (let column = 0; column < columns; column += 1, at += 1, dx += cellWidthMm) {
      const ahead = dx * nx + dy * ny;
      if (ahead <= 0) continue;
      const d2 = dx * dx + dy * dy + h2;
      const cosAhead = ahead / sqrt(d2);
      const law = exponent === 1 ? cosAhead : pow(cosAhead, exponent);
      map[at]! += (peak * law * h * table[((tableSize * h2) / d2) | 0]!) / (d2 * sqrt(d2));
    }
  }
};

/** The LED itself, seen through an unscattering share: its intensity spread over the cells around it. Mutates `map`. */
const addImage = (map: Float64Array, grid: Grid, x: number, y: number, candela: number): void => {
  const cellM2 = (grid.cellWidthMm * grid.cellHeightMm) / mm2PerM2;
  const u = (x - grid.area.x) / grid.cellWidthMm - 0.5;
  const v = (y - grid.area.y) / grid.cellHeightMm - 0.5;
  const [column, row] = [floor(u), floor(v)];
  for (const [dc, dr] of [
    [0, 0],
    [1, 0],
    [0, 1],
    [1, 1],
  ] as const) {
    const [c, r] = [column + dc, row + dr];
    if (c < 0 || r < 0 || c >= grid.columns || r >= grid.rows) continue;
    const weight = (1 - abs(u - c)) * (1 - abs(v - r));
    map[r * grid.columns + c]! += (candela * weight) / cellM2;
  }
};

/**
 * Luminance toward a viewer on the normal (cd/m²) from light that reaches the face straight from the LEDs:
 * L = Σ I(θ) cos γ / d² · f(γ), by an exact sum over every source and cell. `faceZMm` is the inner side of the face.
 */
export const directLuminance = (emitters: Emitters, grid: Grid, faceZMm: number, diffuser: Diffuser): Float64Array => {
  const map = new Float64Array(grid.columns * grid.rows);
  const { exponent } = emitters;
  const facing = tabulate((q) => pow(q, (exponent + 3) / 2) * diffuser.towardNormal(q));
  const scatter = tabulate(diffuser.towardNormal);
  for (let source = 0; source < emitters.count; source += 1) {
    const [x, y] = [emitters.x[source]!, emitters.y[source]!];
    const h = faceZMm - emitters.z[source]!;
    const candela = ((exponent + 1) * emitters.fluxLm[source]!) / (2 * Math.PI);
    const peak = candela * mm2PerM2;
    if (emitters.nz[source]! > 0.5) {
      if (exponent === 1 && diffuser.lambertian) addLambertian(map, grid, x, y, h, peak * diffuser.towardNormal(1));
      else addFacing(map, grid, x, y, h, peak, facing);
      if (diffuser.imageShare > 0) addImage(map, grid, x, y, candela * diffuser.imageShare);
    } else {
      const [nx, ny] = [emitters.nx[source]!, emitters.ny[source]!];
      addAcross(map, grid, { x, y, h, nx, ny }, peak, exponent, scatter);
    }
  }
  return map;
};
