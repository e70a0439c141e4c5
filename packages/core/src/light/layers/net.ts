import { gridOver, type Grid } from '../../base/raster/index.js';
import { parallelExchange, perpendicularExchange } from '../radiosity/index.js';
import { levelsBetween, levelsOf, middlesOf, type Level } from './levels.js';
import { coarser, solidAt } from './open-share.js';
import type { LayeredScene } from './types.js';

/** Less of a patch than this is no surface. */
const leastSolid = 0.004;
/** Less of a patch’s light than this that goes to another is not followed. */
const leastShare = 2e-5;
/** Less than this is let by: shade. */
const shade = 1e-3;

/** Patches of one surface: where they begin, how large each is (mm²), what of it is solid. */
export interface Surface {
  readonly start: number;
  readonly count: number;
  readonly areaMm2: number;
  readonly solid: Float32Array | null;
  readonly reflects: number;
}

/** Exchange areas between the patches of two surfaces, less what stands between: `[other × one’s count + one]`. */
export interface Pair {
  readonly one: Surface;
  readonly other: Surface;
  readonly areas: Float32Array;
}

/** Every surface of a scene, and what each sees of each other. */
export interface Net {
  readonly grid: Grid;
  readonly count: number;
  /** By level: front sides of all but the opening, rear sides of all but the back. */
  readonly fronts: readonly (Surface | null)[];
  readonly rears: readonly (Surface | null)[];
  /** By side (left, right, bottom, top) and gap. */
  readonly rims: readonly (readonly Surface[])[];
  readonly pairs: readonly Pair[];
}

/** A net as it is laid. */
interface Laying {
  readonly scene: LayeredScene;
  readonly levels: readonly Level[];
  readonly middles: readonly number[];
  readonly net: Omit<Net, 'pairs'>;
}

const edgesOf = (length: number, count: number): Float64Array =>
  Float64Array.from({ length: count + 1 }, (_, at) => (length * at) / count);

/** The number of patches along each side of the inside for so many along the longer one. */
export const patchesAlong = ({ grid: { area } }: LayeredScene, longSide: number): readonly [number, number] => {
  const cell = Math.max(area.width, area.height) / longSide;
  return [Math.max(3, Math.round(area.width / cell)), Math.max(3, Math.round(area.height / cell))];
};

const isThere = ({ solid }: Surface, patch: number): boolean => solid === null || solid[patch]! > leastSolid;

/** How much of a straight way the levels `from` to `to` let by. */
const letBy = (
  { scene, middles }: Laying,
  from: number,
  to: number,
  x0: number,
  y0: number,
  z0: number,
  x1: number,
  y1: number,
  z1: number,
): number => {
  let open = 1;
  for (let level = from; level <= to; level += 1) {
    const t = (middles[level]! - z0) / (z1 - z0);
    open *= 1 - solidAt(scene.planes[level - 1]!.solid, scene.grid, x0 + t * (x1 - x0), y0 + t * (y1 - y0));
    if (open < shade) return 0;
  }
  return open;
};

const surfacesOf = (scene: LayeredScene, longSide: number): Laying => {
  const { area } = scene.grid;
  const [nx, ny] = patchesAlong(scene, longSide);
  const grid = gridOver(area, nx, ny);
  const levels = levelsOf(scene);
  const middles = middlesOf(levels);
  const last = levels.length - 1;
  const cellMm2 = grid.cellWidthMm * grid.cellHeightMm;
  let count = 0;
  const surface = (patches: number, areaMm2: number, solid: Float32Array | null, reflects: number): Surface => {
    const start = count;
    count += patches;
    return { start, count: patches, areaMm2, solid, reflects };
  };
  const solids = levels.map(({ solid }) => (solid === null ? null : coarser(solid, scene.grid, nx, ny)));
  const fronts = levels.map((_, at) =>
    at === last
      ? null
      : surface(nx * ny, cellMm2, solids[at]!, at === 0 ? scene.backReflects : scene.planes[at - 1]!.frontReflects),
  );
  const rears = levels.map((_, at) =>
    at === 0
      ? null
      : surface(
          nx * ny,
          cellMm2,
          solids[at]!,
          at === last ? scene.glazing.reflects : scene.planes[at - 1]!.rearReflects,
        ),
  );
  const rims = [ny, ny, nx, nx].map((along, side) =>
    Array.from({ length: last }, (_, gap) => {
      const length = side < 2 ? area.height : area.width;
      return surface(along, (length / along) * (middles[gap + 1]! - middles[gap]!), null, scene.rimReflects);
    }),
  );
  return { scene, levels, middles, net: { grid, count, fronts, rears, rims } };
};

/** Between two levels: the front of the one behind, the rear of the one before. */
const sheetPairs = (laying: Laying): readonly Pair[] => {
  const { levels, middles, net } = laying;
  const { grid, fronts, rears } = net;
  const { columns: nx, rows: ny, area } = grid;
  const cells = nx * ny;
  const [xEdges, yEdges] = [edgesOf(area.width, nx), edgesOf(area.height, ny)];
  const xs = Float64Array.from({ length: nx }, (_, at) => area.x + (at + 0.5) * grid.cellWidthMm);
  const ys = Float64Array.from({ length: ny }, (_, at) => area.y + (at + 0.5) * grid.cellHeightMm);
  const least = leastShare * grid.cellWidthMm * grid.cellHeightMm;
  const pairs: Pair[] = [];
  for (let low = 0; low < levels.length - 1; low += 1)
    for (let high = low + 1; high < levels.length; high += 1) {
      const [one, other] = [fronts[low]!, rears[high]!];
      const [z0, z1] = [levels[low]!.frontZMm, levels[high]!.rearZMm];
      const [from, to] = levelsBetween(middles, middles[low]!, middles[high]!);
      const exchange = parallelExchange(xEdges, yEdges, Math.max(0.05, z1 - z0));
      const areas = new Float32Array(cells * cells);
      for (let rowOther = 0; rowOther < ny; rowOther += 1)
        for (let rowOne = 0; rowOne < ny; rowOne += 1) {
          const block = exchange.block(rowOne, rowOther);
          for (let j = 0; j < nx; j += 1) {
            const patchOther = rowOther * nx + j;
            const there = isThere(other, patchOther);
            for (let i = 0; i < nx; i += 1) {
              const raw = block[j * nx + i]!;
              const patchOne = rowOne * nx + i;
              if (raw < least || !(there || isThere(one, patchOne))) continue;
              areas[patchOther * cells + patchOne] =
                to < from ? raw : raw * letBy(laying, from, to, xs[i]!, ys[rowOne]!, z0, xs[j]!, ys[rowOther]!, z1);
            }
          }
        }
      pairs.push({ one, other, areas });
    }
  return pairs;
};

/** Where a patch of the rim has its middle. */
const onRim = (
  { levels, net }: Laying,
  side: number,
  gap: number,
  piece: number,
): readonly [number, number, number] => {
  const { grid } = net;
  const z = (levels[gap]!.frontZMm + levels[gap + 1]!.rearZMm) / 2;
  const half = (side % 2 === 0 ? -0.5 : 0.5) * (side < 2 ? grid.area.width : grid.area.height);
  return side < 2
    ? [half, grid.area.y + (piece + 0.5) * grid.cellHeightMm, z]
    : [grid.area.x + (piece + 0.5) * grid.cellWidthMm, half, z];
};

/** Between each side of each level and the rim that it looks along. */
const rimPairs = (laying: Laying): readonly Pair[] => {
  const { levels, middles, net } = laying;
  const { grid, fronts, rears, rims } = net;
  const { columns: nx, rows: ny, area } = grid;
  const gaps = levels.length - 1;
  const [xEdges, yEdges] = [edgesOf(area.width, nx), edgesOf(area.height, ny)];
  const pairs: Pair[] = [];
  for (let level = 0; level <= gaps; level += 1)
    for (const looks of ['front', 'rear'] as const) {
      const own = (looks === 'front' ? fronts : rears)[level]!;
      const [first, end] = looks === 'front' ? [level, gaps] : [0, level];
      if (own === null || first >= end) continue;
      const at = looks === 'front' ? levels[level]!.frontZMm : levels[level]!.rearZMm;
      const vEdges = Float64Array.from({ length: end - first + 1 }, (_, step) =>
        Math.max(0, looks === 'front' ? middles[first + step]! - at : at - middles[end - step]!),
      );
      for (const side of [0, 1, 2, 3]) {
        const upright = side < 2;
        const [uCount, wCount] = upright ? [nx, ny] : [ny, nx];
        const exchange = upright
          ? perpendicularExchange(xEdges, vEdges, yEdges)
          : perpendicularExchange(yEdges, vEdges, xEdges);
        for (let step = 0; step < end - first; step += 1) {
          const gap = looks === 'front' ? first + step : end - 1 - step;
          const other = rims[side]![gap]!;
          const areas = new Float32Array(other.count * own.count);
          for (let piece = 0; piece < wCount; piece += 1) {
            const [px, py, pz] = onRim(laying, side, gap, piece);
            const [from, to] = levelsBetween(middles, middles[level]!, pz);
            for (let along = 0; along < wCount; along += 1) {
              const block = exchange.block(along, piece);
              for (let u = 0; u < uCount; u += 1) {
                const inward = side % 2 === 0 ? u : uCount - 1 - u;
                const [i, j] = upright ? [inward, along] : [along, inward];
                const patch = j * nx + i;
                const raw = block[step * uCount + u]!;
                if (!(raw > 0) || !isThere(own, patch)) continue;
                areas[piece * own.count + patch] =
                  to < from
                    ? raw
                    : raw *
                      letBy(
                        laying,
                        from,
                        to,
                        area.x + (i + 0.5) * grid.cellWidthMm,
                        area.y + (j + 0.5) * grid.cellHeightMm,
                        at,
                        px,
                        py,
                        pz,
                      );
              }
            }
          }
          pairs.push({ one: own, other, areas });
        }
      }
    }
  return pairs;
};

/** A place along a side, counted from its low end or from its high one. */
const fromCorner = (at: number, count: number, low: boolean): number => (low ? at : count - 1 - at);

/** Between sides of the rim: those that face each other, and those that meet in a corner. */
const cornerPairs = (laying: Laying): readonly Pair[] => {
  const { middles, net } = laying;
  const { grid, rims } = net;
  const { columns: nx, rows: ny, area } = grid;
  const [xEdges, yEdges] = [edgesOf(area.width, nx), edgesOf(area.height, ny)];
  const heights = Float64Array.from(middles);
  const gaps = middles.length - 1;
  const pairs: Pair[] = [];
  for (const side of [0, 1, 2, 3])
    for (let across = side + 1; across < 4; across += 1) {
      const facing = side >> 1 === across >> 1;
      const [alongEdges, acrossEdges] = [side < 2 ? yEdges : xEdges, across < 2 ? yEdges : xEdges];
      const [ones, others] = [alongEdges.length - 1, acrossEdges.length - 1];
      const exchange = facing
        ? parallelExchange(heights, alongEdges, side < 2 ? area.width : area.height)
        : perpendicularExchange(acrossEdges, alongEdges, heights);
      for (let gapOne = 0; gapOne < gaps; gapOne += 1)
        for (let gapOther = 0; gapOther < gaps; gapOther += 1) {
          const [one, other] = [rims[side]![gapOne]!, rims[across]![gapOther]!];
          const areas = new Float32Array(ones * others);
          const corner = facing ? null : exchange.block(gapOne, gapOther);
          for (let j = 0; j < others; j += 1)
            for (let i = 0; i < ones; i += 1) {
              // At right angles both count from the corner in which they meet.
              const raw =
                corner === null
                  ? exchange.block(i, j)[gapOther * gaps + gapOne]!
                  : corner[fromCorner(i, ones, across % 2 === 0) * others + fromCorner(j, others, side % 2 === 0)]!;
              if (!(raw > 0)) continue;
              const from = onRim(laying, side, gapOne, i);
              const to = onRim(laying, across, gapOther, j);
              const [low, high] = levelsBetween(middles, from[2], to[2]);
              areas[j * ones + i] =
                high < low ? raw : raw * letBy(laying, low, high, from[0], from[1], from[2], to[0], to[1], to[2]);
            }
          pairs.push({ one, other, areas });
        }
    }
  return pairs;
};

/**
 * Patches on both sides of every sheet, on back, opening and rim, with what each sees of each other: analytic exchange areas
 * (J. Howell, C-13 and C-15), times what the sheets between let by on the straight way from middle to middle.
 */
export const layNet = (scene: LayeredScene, longSide: number): Net => {
  const laying = surfacesOf(scene, longSide);
  return { ...laying.net, pairs: [...sheetPairs(laying), ...rimPairs(laying), ...cornerPairs(laying)] };
};
