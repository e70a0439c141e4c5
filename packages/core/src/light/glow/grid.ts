import type { LightRuns } from '../runs/index.js';
import { gridOver, type Grid } from '../../base/raster/index.js';

/** How fine a map is wanted and what it may cost. */
export interface GridLimits {
  /** Cells along the longer side. */
  readonly longSide: number;
  readonly maxCells: number;
  /** Sources times cells that may be summed; in cases where that binds, dots cannot be judged anyway. */
  readonly maxPairs: number;
  /** Patches and rays for reflected light. */
  readonly patches: number;
  readonly rays: number;
}

export const previewGrid: GridLimits = { longSide: 256, maxCells: 60_000, maxPairs: 4e7, patches: 400, rays: 10_000 };
export const fullGrid: GridLimits = {
  longSide: 1200,
  maxCells: 1_000_000,
  maxPairs: 2e9,
  patches: 1400,
  rays: 400_000,
};

/** LEDs closer than this share of their throw blur into a line long before the face (contrast below 1e-5). */
export const blurredPitchShare = 0.3;

/** Cells needed over one pitch to read its contrast, and over one throw to catch its peak. */
const cellsPerPitch = 8;
const cellsPerLedPitch = 4;
const cellsPerThrow = 2.5;

/** Whether the LEDs of a row have blurred into a line when their light meets the face; never so where the face shows images. */
export const rowsAreLines = (runs: LightRuns, faceShowsImages: boolean): boolean =>
  !faceShowsImages && runs.ledPitchMm < blurredPitchShare * runs.throwMm;

/** Whether rows stand so close that they too blur into one another, far below what is seen. */
export const rowsAreSheet = (runs: LightRuns): boolean =>
  runs.rowPitchMm !== null && runs.rowPitchMm < blurredPitchShare * runs.throwMm;

/** The largest cell at which the ripples of these runs can still be read (mm). */
export const coarsestCell = (runs: LightRuns, lines: boolean): number => {
  const rows = runs.rowPitchMm === null || rowsAreSheet(runs) ? Infinity : runs.rowPitchMm / cellsPerPitch;
  const dots = lines ? Infinity : runs.ledPitchMm / cellsPerLedPitch;
  return Math.min(rows, dots, Math.max(runs.throwMm, 1) / cellsPerThrow);
};

/**
 * Light from a height h has no detail finer than h: its spectrum falls as kh K₁(kh), below 2e-5 at the finest ripple that
 * cells of h/4 can carry. A lobe of the face makes it finer: a Gaussian of width hσ, sampled 1.5 times a width.
 */
const cellsPerHeight = 4;
const cellsPerWidth = 1.5;
/** A raster over the opening, fine enough for the ripples if the limits can pay for it. */
export const chooseGrid = (
  widthMm: number,
  heightMm: number,
  runs: LightRuns,
  lines: boolean,
  sources: number,
  limits: GridLimits,
): Grid => {
  const wanted = Math.min(Math.max(widthMm, heightMm) / limits.longSide, coarsestCell(runs, lines));
  const area = widthMm * heightMm;
  const summed = Math.min(limits.maxCells, (cellsPerHeight ** 2 * area) / Math.max(1, runs.throwMm) ** 2);
  const cells = sources * summed > limits.maxPairs ? limits.maxPairs / sources : limits.maxCells;
  const affordable = Math.sqrt(area / cells);
  const cell = Math.max(wanted, affordable);
  const columns = Math.max(4, Math.floor(widthMm / cell));
  const rows = Math.max(4, Math.floor(heightMm / cell));
  return gridOver({ x: -widthMm / 2, y: -heightMm / 2, width: widthMm, height: heightMm }, columns, rows);
};

/** Cells beyond the opening, so that the edges are no ends for the spline. */
const margin = 4;

/** The coarse raster on which direct light is summed before it is filled in by splines; null when it would save nothing. */
export const sampleGrid = (grid: Grid, leastHeightMm: number, narrowestRad: number): Grid | null => {
  const cell = Math.min(leastHeightMm / cellsPerHeight, (leastHeightMm * narrowestRad) / cellsPerWidth);
  const { area } = grid;
  const columns = Math.ceil(area.width / cell);
  const rows = Math.ceil(area.height / cell);
  if ((columns + 2 * margin) * (rows + 2 * margin) > 0.7 * grid.columns * grid.rows) return null;
  const [width, height] = [area.width / columns, area.height / rows];
  return gridOver(
    {
      x: area.x - margin * width,
      y: area.y - margin * height,
      width: area.width + 2 * margin * width,
      height: area.height + 2 * margin * height,
    },
    columns + 2 * margin,
    rows + 2 * margin,
  );
};
