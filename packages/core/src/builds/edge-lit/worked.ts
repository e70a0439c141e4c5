import type { Engraving } from '../../document/catalogue/index.js';
import type { WorkedFaces } from '../../light/sheet/index.js';
import type { Rect } from '../../base/outlines/index.js';
import type { PanelArtwork } from './schema.js';

/** Lines and dots lie so far apart where a design does not say (mm). */
export const usualSpacingMm = 1;

/** How far apart lines or dots are where they are closest (mm). */
export const spacingOf = ({ spacingMm }: Pick<PanelArtwork, 'spacingMm'>): number => spacingMm ?? usualSpacingMm;

/** Share of a place filled at its densest that is worked: all of it, what the lines cover, what the dots cover. */
export const filledShare = ({ fill, spacingMm }: PanelArtwork, { lineMm }: Engraving): number => {
  if (fill === 'solid') return 1;
  const across = lineMm / spacingOf({ spacingMm });
  return Math.min(1, fill === 'hatch' ? across : (Math.PI / 4) * across ** 2);
};

/** Chance that a ray which meets a worked place is taken out: what the tool can, as deep as it goes there (1 − e^(−depth)). */
export const takenAt = ({ takes, fullMm }: Engraving, depthMm: number): number =>
  takes * (1 - Math.exp(-depthMm / fullMm));

/** How dense the fill is at a place of the sheet, as a share of the densest: between the middles of cells in straight lines. */
export const gradedAt = ({ graded }: Pick<PanelArtwork, 'graded'>, sheet: Rect, x: number, y: number): number => {
  if (graded === null || graded === undefined || graded.shares.length < graded.columns * graded.rows) return 1;
  const { columns, rows, shares } = graded;
  const hold = (value: number, most: number): number => Math.min(most, Math.max(0, value));
  const u = hold(((x - sheet.x) / sheet.width) * columns - 0.5, columns - 1);
  const v = hold(((y - sheet.y) / sheet.height) * rows - 0.5, rows - 1);
  const [c, r] = [Math.min(columns - 1, Math.floor(u)), Math.min(rows - 1, Math.floor(v))];
  const [c1, r1] = [Math.min(columns - 1, c + 1), Math.min(rows - 1, r + 1)];
  const at = (column: number, row: number): number => shares[row * columns + column]!;
  const across = (row: number): number => at(c, row) * (1 - (u - c)) + at(c1, row) * (u - c);
  return across(r) * (1 - (v - r)) + across(r1) * (v - r);
};

/** A raster over the sheet, square cells from its lower left corner; the last column and row may reach past it. */
export interface SheetRaster {
  readonly cellMm: number;
  readonly columns: number;
  readonly rows: number;
}

/** The raster of a sheet with about so many cells along its longer side. */
export const rasterOver = ({ width, height }: Rect, along: number): SheetRaster => {
  const cellMm = Math.max(width, height) / along;
  return { cellMm, columns: Math.max(1, Math.ceil(width / cellMm)), rows: Math.max(1, Math.ceil(height / cellMm)) };
};

/** The area that a raster covers, in the axes of the assembly. */
export const rasterArea = ({ x, y }: Rect, { cellMm, columns, rows }: SheetRaster): Rect => ({
  x,
  y,
  width: columns * cellMm,
  height: rows * cellMm,
});

/** The middle of a cell, in the axes of the assembly. */
export const middleOfCell = (
  { x, y }: Rect,
  { cellMm, columns }: SheetRaster,
  cell: number,
): readonly [number, number] => [
  x + ((cell % columns) + 0.5) * cellMm,
  y + (Math.floor(cell / columns) + 0.5) * cellMm,
];

/** How dense the fill is at each cell. */
export const gradedOver = (artwork: PanelArtwork, sheet: Rect, raster: SheetRaster): Float32Array =>
  Float32Array.from({ length: raster.columns * raster.rows }, (_, cell) =>
    gradedAt(artwork, sheet, ...middleOfCell(sheet, raster, cell)),
  );

/** Paint that lies on a face takes all that meets it. */
const paintTakes = 1;

/**
 * The chances of both faces, cell by cell: what of each cell the artwork covers, times its fill, its grading and what the tool takes;
 * paint on the back takes what the artwork leaves.
 */
export const workedFaces = (
  raster: SheetRaster,
  covered: Float32Array,
  graded: Float32Array,
  artwork: PanelArtwork,
  engraving: Engraving,
  painted: boolean,
): WorkedFaces => {
  const chance = filledShare(artwork, engraving) * takenAt(engraving, artwork.depthMm);
  const own = covered.map((share, cell) => share * graded[cell]! * chance);
  const onBack = artwork.mirrored === true;
  const paint = (cell: number): number => paintTakes * (1 - covered[cell]!);
  const back = painted ? covered.map((_, cell) => paint(cell) + (onBack ? own[cell]! : 0)) : onBack ? own : null;
  return { ...raster, front: onBack ? null : own, back };
};
