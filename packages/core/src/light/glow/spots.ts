import type { LightRuns } from '../runs/index.js';
import { cellMiddle, type Grid } from '../../base/raster/index.js';

/** A place that is much brighter or darker than the rest, and what makes it so. */
export interface Spot {
  readonly kind: 'hot' | 'dark';
  readonly at: readonly [number, number];
  readonly cdM2: number;
  readonly overMean: number;
  /** Numbers of the segments of strip nearest to it, and how far they are aside (mm). */
  readonly nearest: readonly { readonly segment: number; readonly asideMm: number }[];
  /** The return it lies closest to, and how far off (mm); null where there is no case. */
  readonly wall: { readonly side: 'left' | 'right' | 'top' | 'bottom'; readonly mm: number } | null;
  readonly why: string;
}

/** Farther from the mean than this is worth a mark. */
const hotOver = 1.25;
const darkUnder = 0.75;
const namedSegments = 2;

/** How far a place lies aside of a segment (mm). */
const asideOf = ([x, y]: readonly [number, number], { path }: LightRuns['segments'][number]): number => {
  let least = Infinity;
  for (let at = 1; at < path.length; at += 1) {
    const [px, py] = path[at - 1]!;
    const [dx, dy] = [path[at]![0] - px, path[at]![1] - py];
    const length2 = dx * dx + dy * dy;
    const share = length2 > 0 ? Math.min(1, Math.max(0, ((x - px) * dx + (y - py) * dy) / length2)) : 0;
    least = Math.min(least, Math.hypot(x - px - share * dx, y - py - share * dy));
  }
  return least;
};

const nearestWall = (
  [x, y]: readonly [number, number],
  { area }: Grid,
): readonly [NonNullable<Spot['wall']>['side'], number] => {
  const ways = [
    ['left', x - area.x],
    ['right', area.x + area.width - x],
    ['bottom', y - area.y],
    ['top', area.y + area.height - y],
  ] as const;
  return ways.reduce((best, way) => (way[1] < best[1] ? way : best));
};

const spotAt = (
  cell: number,
  map: ArrayLike<number>,
  grid: Grid,
  runs: LightRuns,
  mean: number,
  hasReturns: boolean,
): Spot => {
  const at = cellMiddle(grid, cell);
  const nearest = runs.segments
    .map((segment) => ({ segment: segment.number, asideMm: asideOf(at, segment) }))
    .sort((a, b) => a.asideMm - b.asideMm)
    .slice(0, namedSegments);
  const [side, wallMm] = nearestWall(at, grid);
  const [first] = nearest;
  const hot = map[cell]! > mean;
  const mm = (value: number): string => `${Math.round(value)} mm`;
  const numbers = nearest.map(({ segment }) => segment).join(' and ');
  const why =
    first === undefined
      ? 'there is no strip'
      : hot
        ? `right over segment ${first.segment} (${mm(first.asideMm)} aside), ${mm(runs.throwMm)} behind the face`
        : `${mm(first.asideMm)} aside of segment${nearest.length > 1 ? 's' : ''} ${numbers}, ${hasReturns ? `${mm(wallMm)} from the ${side} return` : 'where the strip turns or ends'}`;
  return {
    kind: hot ? 'hot' : 'dark',
    at,
    cdM2: map[cell]!,
    overMean: map[cell]! / mean,
    nearest,
    wall: hasReturns ? { side, mm: wallMm } : null,
    why,
  };
};

/**
 * The brightest and the darkest place of each quarter of the face, where they stand out from the mean; at most eight.
 * `counts` says which cells are lit; `hasReturns` whether returns stand along the edges of the raster.
 */
export const findSpots = (
  map: ArrayLike<number>,
  grid: Grid,
  runs: LightRuns,
  mean: number,
  counts: (cell: number) => boolean,
  hasReturns = true,
): readonly Spot[] => {
  const best = Array.from({ length: 8 }, () => -1);
  for (let row = 1; row < grid.rows - 1; row += 1)
    for (let column = 1; column < grid.columns - 1; column += 1) {
      const cell = row * grid.columns + column;
      if (!counts(cell)) continue;
      const quarter = (column * 2 < grid.columns ? 0 : 1) + (row * 2 < grid.rows ? 0 : 2);
      const value = map[cell]!;
      if (value > hotOver * mean && (best[quarter]! < 0 || value > map[best[quarter]!]!)) best[quarter] = cell;
      const low = quarter + 4;
      if (value < darkUnder * mean && (best[low]! < 0 || value < map[best[low]!]!)) best[low] = cell;
    }
  return best.filter((cell) => cell >= 0).map((cell) => spotAt(cell, map, grid, runs, mean, hasReturns));
};
