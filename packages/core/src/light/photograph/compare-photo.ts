import { blurOver, type Grid } from '../../base/raster/index.js';
import { failure, success, type Problem, type Result } from '../../base/result.js';
import { isFaceOn, sidesOf, type Corners } from './quad.js';
import { straighten, type Photo } from './straighten.js';

/** What was computed of a face: its luminance, and where letters cover it, by cell. */
export interface PhotographedFace {
  readonly grid: Grid;
  readonly luminance: Float32Array;
  readonly letters: Float32Array;
}

/** A photograph beside what was computed, both over their own means and equally smooth. */
export interface ComparedPhoto {
  readonly grid: Grid;
  /** Over the mean of the bare face; 0 where letters, or the rim, lie. */
  readonly measured: Float32Array;
  readonly computed: Float32Array;
  /** Darkest to mean. */
  readonly measuredDarkest: number;
  readonly computedDarkest: number;
  /** Root of the mean square of what they differ by, as a share of the mean. */
  readonly differs: number;
  /** Where they differ most (mm, in the axes of the raster). */
  readonly worst: { readonly xMm: number; readonly yMm: number; readonly measured: number; readonly computed: number };
}

/** More of the face than that may not be white. */
const mostClipped = 0.002;
/** Below this a picture is mostly noise. */
const leastLuminance = 0.02;
/** Opposite sides may differ by this before pixels on the far side are too few and the face is seen at a slant. */
const mostTilt = 1.4;
const leastPx = 150;
/** No finer than that are the two compared: corners are set by hand (share of the diagonal). */
const smoothShare = 0.012;
/** The rim, where face and case meet, is left out (share of each side). */
const rimShare = 0.03;
const longestSide = 160;

const problem = (path: string, message: string): Problem => ({ path, message });

const cornerProblem = (photo: Photo, corners: Corners): Problem | null => {
  if (corners.some(([x, y]) => x < 0 || y < 0 || x > photo.width || y > photo.height))
    return problem('corners', 'must lie in the picture; take it again with the whole face in it');
  if (!isFaceOn(corners))
    return problem('corners', 'must go round the face: upper left, upper right, lower right, lower left');
  const [top, right, bottom, left] = sidesOf(corners);
  if (Math.min(top, right, bottom, left) < leastPx / 3 || Math.max(top, right, bottom, left) < leastPx)
    return problem('corners', `the face is ${Math.round(Math.max(top, left))} pixels large; come closer`);
  const tilt = Math.max(top / bottom, bottom / top, left / right, right / left);
  if (tilt > mostTilt)
    return problem(
      'corners',
      `one side shows ${tilt.toFixed(1)} times as long as the one across; stand in front of the middle, farther off, and zoom in`,
    );
  return null;
};

const exposureProblem = (clippedShare: number, mean: number): Problem | null => {
  if (clippedShare > mostClipped)
    return problem(
      'exposure',
      `${(100 * clippedShare).toFixed(1)} % of the face is as white as a picture can be, and may have been brighter; take it at half the exposure (−1 EV) or less`,
    );
  return mean < leastLuminance
    ? problem(
        'exposure',
        'the face is almost black in it; take it with more exposure (+2 EV), with the camera held still',
      )
    : null;
};

/** A raster over the same face with cells no finer than the comparison needs, and a map brought onto it. */
const coarser = ({ area, columns, rows }: Grid): Grid => {
  const scale = Math.min(1, longestSide / Math.max(columns, rows));
  const [across, up] = [Math.max(8, Math.round(columns * scale)), Math.max(8, Math.round(rows * scale))];
  return { area, columns: across, rows: up, cellWidthMm: area.width / across, cellHeightMm: area.height / up };
};

const onto = (map: Float32Array, from: Grid, to: Grid): Float32Array => {
  const sum = new Float32Array(to.columns * to.rows);
  const count = new Float32Array(sum.length);
  for (let row = 0; row < from.rows; row += 1)
    for (let column = 0; column < from.columns; column += 1) {
      const cell =
        Math.floor(((row + 0.5) * to.rows) / from.rows) * to.columns +
        Math.floor(((column + 0.5) * to.columns) / from.columns);
      sum[cell] = sum[cell]! + map[row * from.columns + column]!;
      count[cell] = count[cell]! + 1;
    }
  return sum.map((value, cell) => (count[cell]! > 0 ? value / count[cell]! : 0));
};

/** Cells of the bare face, away from letters and rim. Where letters are what is lit, theirs. */
const bareCells = (letters: Float32Array, { columns, rows }: Grid): Uint8Array => {
  const [marginX, marginY] = [Math.ceil(columns * rimShare), Math.ceil(rows * rimShare)];
  const inside = letters.map((_, cell) => {
    const [row, column] = [Math.floor(cell / columns), cell % columns];
    return row >= marginY && row < rows - marginY && column >= marginX && column < columns - marginX ? 1 : 0;
  });
  const near = (cell: number): boolean => {
    for (const step of [0, 1, -1, columns, -columns]) if ((letters[cell + step] ?? 0) > 0.01) return true;
    return false;
  };
  return Uint8Array.from(inside, (is, cell) => (is === 1 && !near(cell) ? 1 : 0));
};

/**
 * A photograph of a lit face beside what was computed for it: straightened by its corners, made linear, both as smooth
 * and over their own means. Fails, with what to do, where the picture is clipped, too dark, too small or taken from the
 * side. Lens fall-off is not taken out: phones do that themselves.
 */
export const comparePhoto = (photo: Photo, corners: Corners, computed: PhotographedFace): Result<ComparedPhoto> => {
  const wrong = cornerProblem(photo, corners);
  if (wrong !== null) return failure(wrong);
  const grid = coarser(computed.grid);
  const { luminance, clippedShare } = straighten(photo, corners, grid);
  const bare = bareCells(onto(computed.letters, computed.grid, grid), grid);
  const cells = Array.from(bare.keys()).filter((cell) => bare[cell] === 1);
  if (cells.length < bare.length / 50)
    return failure(problem('letters', 'letters cover all of this face; there is no bare face to look at'));
  const meanOf = (map: ArrayLike<number>): number => cells.reduce((sum, cell) => sum + map[cell]!, 0) / cells.length;
  const unlit = exposureProblem(clippedShare, meanOf(luminance));
  if (unlit !== null) return failure(unlit);
  const sigmaMm = smoothShare * Math.hypot(grid.area.width, grid.area.height);
  const blur = blurOver(grid, (frequency) => Math.exp(-2 * (Math.PI * sigmaMm * frequency) ** 2), 4 * sigmaMm);
  const weight = blur(bare);
  /** Of the bare face alone: letters take nothing from what lies beside them. */
  const smooth = (map: Float32Array): Float32Array => {
    const over = blur(map.map((value, cell) => value * bare[cell]!));
    const smoothed = map.map((_, cell) => (bare[cell] === 1 ? over[cell]! / weight[cell]! : 0));
    const mean = meanOf(smoothed);
    return smoothed.map((value) => value / mean);
  };
  const measured = smooth(luminance);
  const expected = smooth(onto(computed.luminance, computed.grid, grid));
  const darkest = (map: Float32Array): number => cells.reduce((low, cell) => Math.min(low, map[cell]!), Infinity);
  const off = (cell: number): number => Math.abs(measured[cell]! - expected[cell]!);
  const worst = cells.reduce((most, cell) => (off(cell) > off(most) ? cell : most), cells[0]!);
  return success({
    grid,
    measured,
    computed: expected,
    measuredDarkest: darkest(measured),
    computedDarkest: darkest(expected),
    differs: Math.sqrt(cells.reduce((sum, cell) => sum + off(cell) ** 2, 0) / cells.length),
    worst: {
      xMm: grid.area.x + ((worst % grid.columns) + 0.5) * grid.cellWidthMm,
      yMm: grid.area.y + (Math.floor(worst / grid.columns) + 0.5) * grid.cellHeightMm,
      measured: measured[worst]!,
      computed: expected[worst]!,
    },
  });
};
