import { gridOver, type Grid } from '../../base/raster/index.js';
import { parallelExchange, perpendicularExchange } from '../radiosity/index.js';
import { levelsBetween, levelsOf, middlesOf, type Level } from './levels.js';
import { coarserMask, solidAt } from './open-share.js';
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

/**
 * Exchange areas between patches, less what stands between, each pair of patches once and those alone that see each other:
 * row by row, `patch[row]` with `others[at]` by `areas[at]` for `at` from `starts[row]` up to `starts[row + 1]`.
 */
export interface Exchange {
  readonly patch: Int32Array;
  readonly starts: Int32Array;
  readonly others: Int32Array;
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
  /** Between patches of which both are solid, if only in part: light goes back and forth between these. */
  readonly exchange: Exchange;
  /** Between solid patches and places that are open: what is told of light there, which nothing comes back from. */
  readonly besides: Exchange;
}

/** Exchange as it is found, row by row. */
interface Rows {
  readonly begin: (patch: number) => void;
  readonly add: (other: number, areaMm2: number) => void;
}

const exchangeRows = (): Rows & { readonly done: () => Exchange } => {
  const [patch, starts]: [number[], number[]] = [[], []];
  let others = new Int32Array(1 << 16);
  let areas = new Float32Array(1 << 16);
  let count = 0;
  return {
    begin: (own) => {
      if (starts.at(-1) === count && patch.length > 0) patch.pop();
      else starts.push(count);
      patch.push(own);
    },
    add: (other, areaMm2) => {
      if (count === others.length) {
        const [more, wider] = [new Int32Array(2 * count), new Float32Array(2 * count)];
        more.set(others);
        wider.set(areas);
        [others, areas] = [more, wider];
      }
      others[count] = other;
      areas[count] = areaMm2;
      count += 1;
    },
    done: () => ({
      patch: Int32Array.from(patch),
      starts: Int32Array.from([...starts, count]),
      others: others.slice(0, count),
      areas: areas.slice(0, count),
    }),
  };
};

/** The same parted by what is solid. */
const partedRows = (isSolid: Uint8Array): Pick<Laying, 'rows' | 'done'> => {
  const [both, one] = [exchangeRows(), exchangeRows()];
  let row = 0;
  return {
    rows: {
      begin: (patch) => {
        row = patch;
        both.begin(patch);
        one.begin(patch);
      },
      add: (other, areaMm2) => (isSolid[row] === 1 && isSolid[other] === 1 ? both : one).add(other, areaMm2),
    },
    done: () => ({ exchange: both.done(), besides: one.done() }),
  };
};

/** What stands in the way is looked at in so many cells a patch along a side: a patch sees no finer. */
const maskCells = 5;

/** A net as it is laid. */
interface Laying {
  readonly scene: LayeredScene;
  readonly levels: readonly Level[];
  readonly middles: readonly number[];
  /** What is solid of each sheet, as far as patches see it. */
  readonly masks: readonly Float32Array[];
  readonly maskGrid: Grid;
  readonly net: Omit<Net, 'exchange' | 'besides'>;
  readonly rows: Rows;
  readonly done: () => Pick<Net, 'exchange' | 'besides'>;
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
  { masks, maskGrid, middles }: Laying,
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
    open *= 1 - solidAt(masks[level - 1]!, maskGrid, x0 + t * (x1 - x0), y0 + t * (y1 - y0));
    if (open < shade) return 0;
  }
  return open;
};

/** The patches that have anything solid, however little: what they get comes back, so that no light is lost. */
const solidPatches = (count: number, surfaces: readonly (Surface | null)[]): Uint8Array => {
  const isSolid = new Uint8Array(count).fill(1);
  for (const own of surfaces)
    own?.solid?.forEach((share, patch) => {
      if (share === 0) isSolid[own.start + patch] = 0;
    });
  return isSolid;
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
  const solids = levels.map(({ solid }) => (solid === null ? null : coarserMask(solid, scene.grid, nx, ny)));
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
  const [wide, high] = [Math.min(maskCells * nx, scene.grid.columns), Math.min(maskCells * ny, scene.grid.rows)];
  return {
    scene,
    levels,
    middles,
    masks: scene.planes.map(({ solid }) => coarserMask(solid, scene.grid, wide, high)),
    maskGrid: gridOver(area, wide, high),
    net: { grid, count, fronts, rears, rims },
    ...partedRows(solidPatches(count, [...fronts, ...rears, ...rims.flat()])),
  };
};

/** Between two levels: the front of the one behind, the rear of the one before. */
const sheetPairs = (laying: Laying): void => {
  const { levels, middles, net, rows } = laying;
  const { grid, fronts, rears } = net;
  const { columns: nx, rows: ny, area } = grid;
  const [xEdges, yEdges] = [edgesOf(area.width, nx), edgesOf(area.height, ny)];
  const xs = Float64Array.from({ length: nx }, (_, at) => area.x + (at + 0.5) * grid.cellWidthMm);
  const ys = Float64Array.from({ length: ny }, (_, at) => area.y + (at + 0.5) * grid.cellHeightMm);
  const least = leastShare * grid.cellWidthMm * grid.cellHeightMm;
  for (let low = 0; low < levels.length - 1; low += 1)
    for (let high = low + 1; high < levels.length; high += 1) {
      const [one, other] = [fronts[low]!, rears[high]!];
      const [z0, z1] = [levels[low]!.frontZMm, levels[high]!.rearZMm];
      const [from, to] = levelsBetween(middles, middles[low]!, middles[high]!);
      const exchange = parallelExchange(xEdges, yEdges, Math.max(0.05, z1 - z0));
      for (let rowOther = 0; rowOther < ny; rowOther += 1)
        for (let rowOne = 0; rowOne < ny; rowOne += 1) {
          const block = exchange.block(rowOne, rowOther);
          for (let j = 0; j < nx; j += 1) {
            const patchOther = rowOther * nx + j;
            const there = isThere(other, patchOther);
            rows.begin(other.start + patchOther);
            for (let i = 0; i < nx; i += 1) {
              const raw = block[j * nx + i]!;
              const patchOne = rowOne * nx + i;
              if (raw < least || !(there || isThere(one, patchOne))) continue;
              const open = to < from ? 1 : letBy(laying, from, to, xs[i]!, ys[rowOne]!, z0, xs[j]!, ys[rowOther]!, z1);
              if (open > 0) rows.add(one.start + patchOne, raw * open);
            }
          }
        }
    }
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
const rimPairs = (laying: Laying): void => {
  const { levels, middles, net, rows } = laying;
  const { grid, fronts, rears, rims } = net;
  const { columns: nx, rows: ny, area } = grid;
  const gaps = levels.length - 1;
  const [xEdges, yEdges] = [edgesOf(area.width, nx), edgesOf(area.height, ny)];
  for (let level = 0; level <= gaps; level += 1)
    for (const looks of ['front', 'rear'] as const) {
      const own = (looks === 'front' ? fronts : rears)[level]!;
      const [first, end] = looks === 'front' ? [level, gaps] : [0, level];
      if (own === null || first >= end) continue;
      const at = looks === 'front' ? levels[level]!.frontZMm : levels[level]!.rearZMm;
      const vEdges = Float64Array.from({ length: end - first + 1 }, (_, step) =>
        Math.max(0, looks === 'front' ? middles[first + step]! - at : at - middles[end - step]!),
      );
      // Sides that face each other see the same.
      const [across, along] = [
        perpendicularExchange(xEdges, vEdges, yEdges),
        perpendicularExchange(yEdges, vEdges, xEdges),
      ];
      for (const side of [0, 1, 2, 3]) {
        const upright = side < 2;
        const [uCount, wCount] = upright ? [nx, ny] : [ny, nx];
        const exchange = upright ? across : along;
        for (let step = 0; step < end - first; step += 1) {
          const gap = looks === 'front' ? first + step : end - 1 - step;
          const other = rims[side]![gap]!;
          for (let piece = 0; piece < wCount; piece += 1) {
            const [px, py, pz] = onRim(laying, side, gap, piece);
            const [from, to] = levelsBetween(middles, middles[level]!, pz);
            rows.begin(other.start + piece);
            for (let place = 0; place < wCount; place += 1) {
              const block = exchange.block(place, piece);
              for (let u = 0; u < uCount; u += 1) {
                const inward = side % 2 === 0 ? u : uCount - 1 - u;
                const [i, j] = upright ? [inward, place] : [place, inward];
                const patch = j * nx + i;
                const raw = block[step * uCount + u]!;
                if (!(raw > 0) || !isThere(own, patch)) continue;
                const [x, y] = [area.x + (i + 0.5) * grid.cellWidthMm, area.y + (j + 0.5) * grid.cellHeightMm];
                const open = to < from ? 1 : letBy(laying, from, to, x, y, at, px, py, pz);
                if (open > 0) rows.add(own.start + patch, raw * open);
              }
            }
          }
        }
      }
    }
};

/** A place along a side, counted from its low end or from its high one. */
const fromCorner = (at: number, count: number, low: boolean): number => (low ? at : count - 1 - at);

/** Between sides of the rim: those that face each other, and those that meet in a corner. */
const cornerPairs = (laying: Laying): void => {
  const { middles, net, rows } = laying;
  const { grid, rims } = net;
  const { columns: nx, rows: ny, area } = grid;
  const [xEdges, yEdges] = [edgesOf(area.width, nx), edgesOf(area.height, ny)];
  const heights = Float64Array.from(middles);
  const gaps = middles.length - 1;
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
          const corner = facing ? null : exchange.block(gapOne, gapOther);
          for (let j = 0; j < others; j += 1) {
            rows.begin(other.start + j);
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
              const open = high < low ? 1 : letBy(laying, low, high, from[0], from[1], from[2], to[0], to[1], to[2]);
              if (open > 0) rows.add(one.start + i, raw * open);
            }
          }
        }
    }
};

/**
 * Patches on both sides of every sheet, on back, opening and rim, with what each sees of each other: analytic exchange areas
 * (J. Howell, C-13 and C-15), times what the sheets between let by on the straight way from middle to middle.
 */
export const layNet = (scene: LayeredScene, longSide: number): Net => {
  const laying = surfacesOf(scene, longSide);
  sheetPairs(laying);
  rimPairs(laying);
  cornerPairs(laying);
  return { ...laying.net, ...laying.done() };
};
