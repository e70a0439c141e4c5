import type { LightRuns } from '../light-runs/index.js';
import type { Grid } from './types.js';

/** How fine a map is wanted and what it may cost. */
export interface GridWish {
  /** Cells along the longer side. */
  readonly longSide: number;
  readonly maxCells: number;
  /** Cells times sources; what the exact sum costs. */
  readonly maxPairs: number;
}

export const previewGrid: GridWish = { longSide: 256, maxCells: 60_000, maxPairs: 4e7 };
export const fullGrid: GridWish = { longSide: 900, maxCells: 400_000, maxPairs: 1e9 };

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

/** A raster over the opening, fine enough for the ripples if the wish can pay for it. */
export const chooseGrid = (
  widthMm: number,
  heightMm: number,
  runs: LightRuns,
  lines: boolean,
  sources: number,
  wish: GridWish,
): Grid => {
  const wanted = Math.min(Math.max(widthMm, heightMm) / wish.longSide, coarsestCell(runs, lines));
  const cells = Math.min(wish.maxCells, wish.maxPairs / Math.max(1, sources));
  const affordable = Math.sqrt((widthMm * heightMm) / cells);
  const cell = Math.max(wanted, affordable);
  const columns = Math.max(4, Math.floor(widthMm / cell));
  const rows = Math.max(4, Math.floor(heightMm / cell));
  return {
    columns,
    rows,
    area: { x: -widthMm / 2, y: -heightMm / 2, width: widthMm, height: heightMm },
    cellWidthMm: widthMm / columns,
    cellHeightMm: heightMm / rows,
  };
};
