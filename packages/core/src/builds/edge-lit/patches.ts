import type { Point, Rect } from '../../base/outlines/index.js';
import { cellMiddle, type Grid } from '../../base/raster/index.js';
import type { SheetSide } from '../../light/sheet/index.js';

/** A part of the artwork with its mean luminance. */
export interface Patch {
  readonly cdM2: number;
  readonly at: Point;
}

/** The artwork patch by patch: how much less the dimmest gives than the brightest, and the last than the first. */
export interface Patches {
  readonly meanCdM2: number;
  readonly dimmest: Patch;
  readonly brightest: Patch;
  /** The dimmest by the brightest. */
  readonly evenShare: number;
  /** What lies farthest from every lit edge by what lies nearest to one; 1 where they are the same. */
  readonly lastToFirst: number;
  readonly farMm: number;
  readonly sideMm: number;
}

interface Asked {
  readonly luminance: Float32Array;
  /** Share of each cell that is worked. */
  readonly covered: Float32Array;
  readonly grid: Grid;
  readonly lit: readonly SheetSide[];
  readonly pitchMm: number;
  readonly sheet: Rect;
}

const nowhere: Patch = { cdM2: 0, at: [0, 0] };
/** The longer side of the artwork is looked at in about so many patches, none smaller than so many cells. */
const patchesAlong = 10;
const leastCells = 3;
/** A patch that is worked in less than this of what the fullest is says nothing. */
const leastWorked = 0.15;

/** How far a place is from the nearest lit edge (mm). */
export const toLitEdge = ([x, y]: Point, sheet: Rect, lit: readonly SheetSide[]): number =>
  Math.min(
    ...lit.map(
      (side) =>
        ({
          bottom: y - sheet.y,
          top: sheet.y + sheet.height - y,
          left: x - sheet.x,
          right: sheet.x + sheet.width - x,
        })[side],
    ),
  );

/** Side of a patch in cells, for a part of a map so large. */
export const patchCells = (columns: number, rows: number, cellMm: number, pitchMm: number): number =>
  Math.max(leastCells, Math.round(Math.max(columns, rows) / patchesAlong), Math.ceil((0.5 * pitchMm) / cellMm));

/** The artwork patch by patch. Single rays and the dots of a fill are evened out, slow changes stay. */
export const patchesOf = ({ luminance, covered, grid, lit, pitchMm, sheet }: Asked): Patches => {
  const { columns, rows, cellWidthMm: cellMm } = grid;
  let [left, right, low, high] = [columns, -1, rows, -1];
  let [total, weight] = [0, 0];
  for (let cell = 0; cell < covered.length; cell += 1) {
    const share = covered[cell]!;
    if (share < 0.02) continue;
    const [column, row] = [cell % columns, Math.floor(cell / columns)];
    [left, right, low, high] = [
      Math.min(left, column),
      Math.max(right, column),
      Math.min(low, row),
      Math.max(high, row),
    ];
    total += luminance[cell]! * share;
    weight += share;
  }
  const size = patchCells(right - left + 1, high - low + 1, cellMm, pitchMm);
  const none = {
    meanCdM2: 0,
    dimmest: nowhere,
    brightest: nowhere,
    evenShare: 1,
    lastToFirst: 1,
    farMm: 0,
    sideMm: size * cellMm,
  };
  if (weight === 0) return none;
  const across = Math.max(1, Math.ceil((right - left + 1) / size));
  const up = Math.max(1, Math.ceil((high - low + 1) / size));
  const sums = new Float64Array(4 * across * up);
  for (let row = low; row <= high; row += 1)
    for (let column = left; column <= right; column += 1) {
      const cell = row * columns + column;
      const share = covered[cell]!;
      if (share < 0.02) continue;
      const [x, y] = cellMiddle(grid, cell);
      const patch = 4 * (Math.floor((row - low) / size) * across + Math.floor((column - left) / size));
      sums[patch]! += luminance[cell]! * share;
      sums[patch + 1]! += share;
      sums[patch + 2]! += x * share;
      sums[patch + 3]! += y * share;
    }
  let fullest = 0;
  for (let patch = 0; patch < sums.length; patch += 4) fullest = Math.max(fullest, sums[patch + 1]!);
  const patches: Patch[] = [];
  for (let patch = 0; patch < sums.length; patch += 4) {
    const own = sums[patch + 1]!;
    if (own < leastWorked * fullest) continue;
    patches.push({ cdM2: sums[patch]! / own, at: [sums[patch + 2]! / own, sums[patch + 3]! / own] });
  }
  const away = ({ at }: Patch): number => toLitEdge(at, sheet, lit);
  const dimmest = patches.reduce((best, patch) => (patch.cdM2 < best.cdM2 ? patch : best));
  const brightest = patches.reduce((best, patch) => (patch.cdM2 > best.cdM2 ? patch : best));
  const [near, far] = [Math.min(...patches.map(away)), Math.max(...patches.map(away))];
  const meanOf = (these: readonly Patch[]): number => these.reduce((sum, { cdM2 }) => sum + cdM2, 0) / these.length;
  const reach = size * cellMm;
  const first = meanOf(patches.filter((patch) => away(patch) <= near + reach / 2));
  const last = meanOf(patches.filter((patch) => away(patch) >= far - reach / 2));
  return {
    meanCdM2: total / weight,
    dimmest,
    brightest,
    evenShare: brightest.cdM2 > 0 ? dimmest.cdM2 / brightest.cdM2 : 1,
    lastToFirst: first > 0 ? last / first : 1,
    farMm: far,
    sideMm: reach,
  };
};
