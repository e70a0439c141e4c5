import type { Engraving, Pane } from '../../document/catalogue/index.js';
import type { SheetLight, WorkedFaces } from '../../light/sheet/index.js';
import { coverage, type Rect } from '../../base/outlines/index.js';
import { fillOf, type WorkedArea } from './areas.js';
import { toneAt } from './photo.js';
import type { PanelArtwork } from './schema.js';

/** Lines and dots lie so far apart where a design does not say (mm). */
export const usualSpacingMm = 1;

/** How far apart lines or dots are where they are closest (mm). */
export const spacingOf = ({ spacingMm }: Pick<PanelArtwork, 'spacingMm'>): number => spacingMm ?? usualSpacingMm;

/** Share of a place filled at its densest that is worked: all of it, what the lines cover, what the dots cover. */
export const filledShare = (artwork: PanelArtwork, { lineMm }: Engraving): number => {
  const [fill, { spacingMm }] = [fillOf(artwork), artwork];
  if (fill === 'solid') return 1;
  const across = lineMm / spacingOf({ spacingMm });
  return Math.min(1, fill === 'hatch' ? across : (Math.PI / 4) * across ** 2);
};

/** Hatch and dots as dense as they go: from there on a fill can only be graded down. */
const densestTimes = { hatch: 1, dots: 0.886 } as const;

/** Lines or dots so close that nothing is left between them. */
export const densestMm = ({ lineMm }: Pick<Engraving, 'lineMm'>, fill: 'hatch' | 'dots'): number =>
  Math.max(0.1, Math.round(100 * lineMm * densestTimes[fill]) / 100);

/** Chance that a ray which meets a worked place is taken out: what the tool can, as deep as it goes there (1 − e^(−depth)). */
export const takenAt = ({ takes, fullMm }: Engraving, depthMm: number): number =>
  takes * (1 - Math.exp(-depthMm / fullMm));

/** Deeper than this share of the sheet weakens it; typical. */
export const deepestShare = 1 / 3;

/** As deep as takes most of what a tool can, and no deeper than the sheet bears (mm). */
export const usualDepth = ({ fullMm }: Pick<Engraving, 'fullMm'>, { thicknessMm }: Pick<Pane, 'thicknessMm'>): number =>
  Math.max(0.005, Math.round(100 * Math.min(thicknessMm * deepestShare, 2 * fullMm)) / 100);

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

/** An area over a raster: what of each cell it covers, how much of that its picture wants worked, and the chance that worked places take a ray out. */
export interface AreaLayer {
  readonly onBack: boolean;
  readonly engraving: Engraving;
  readonly covered: Float32Array;
  /** Of a photograph, its tones; all of it else. */
  readonly wanted: Float32Array;
  readonly chance: number;
}

/** Areas over the raster of a sheet. */
export const layersOver = (areas: readonly WorkedArea[], sheet: Rect, raster: SheetRaster): readonly AreaLayer[] =>
  areas.map(({ artwork, lettering, photo, engraving, onBack }): AreaLayer => {
    const covered = coverage(lettering.outline, rasterArea(sheet, raster), raster.columns, raster.rows);
    return {
      onBack,
      engraving,
      covered,
      wanted:
        photo === null
          ? covered
          : covered.map((share, cell) =>
              share === 0 ? 0 : share * toneAt(photo, ...middleOfCell(sheet, raster, cell)),
            ),
      chance: filledShare(artwork, engraving) * takenAt(engraving, artwork.depthMm),
    };
  });

/** What all layers cover of each cell, or want worked of it. */
export const sumOver = (layers: readonly AreaLayer[], of: 'covered' | 'wanted'): Float32Array =>
  layers.length === 1
    ? layers[0]![of]
    : Float32Array.from(layers[0]?.[of] ?? [], (_, cell) =>
        Math.min(
          1,
          layers.reduce((sum, layer) => sum + layer[of][cell]!, 0),
        ),
      );

/** How dense the fill is at each cell. */
export const gradedOver = (artwork: Pick<PanelArtwork, 'graded'>, sheet: Rect, raster: SheetRaster): Float32Array =>
  Float32Array.from({ length: raster.columns * raster.rows }, (_, cell) =>
    gradedAt(artwork, sheet, ...middleOfCell(sheet, raster, cell)),
  );

/** Paint that lies on a face takes all that meets it. */
const paintTakes = 1;

/** The chance of one layer at a cell. */
const chanceAt = (layer: AreaLayer, graded: Float32Array, cell: number): number =>
  layer.wanted[cell]! * graded[cell]! * layer.chance;

/** The chances of both faces, and what those of all that takes light there add up to, where that is more than 1 too. */
export interface SharedFaces {
  readonly faces: WorkedFaces;
  readonly frontSum: Float32Array | null;
  readonly backSum: Float32Array | null;
}

/**
 * The chances of both faces, cell by cell: what of each cell an area wants worked, times its fill, its grading and what its tool takes;
 * paint on the back takes what the artwork leaves.
 */
export const workedFaces = (
  raster: SheetRaster,
  layers: readonly AreaLayer[],
  graded: readonly Float32Array[],
  painted: boolean,
): SharedFaces => {
  const cells = raster.columns * raster.rows;
  const sumOf = (back: boolean): Float32Array | null => {
    const sum = new Float32Array(cells);
    if (!(back && painted) && !layers.some(({ onBack }) => onBack === back)) return null;
    layers.forEach((layer, at) => {
      if (layer.onBack !== back) return;
      for (let cell = 0; cell < cells; cell += 1) sum[cell]! += chanceAt(layer, graded[at]!, cell);
    });
    return sum;
  };
  const [frontSum, backSum] = [sumOf(false), sumOf(true)];
  if (painted && backSum !== null) {
    const covered = sumOver(layers, 'covered');
    for (let cell = 0; cell < cells; cell += 1) backSum[cell]! += paintTakes * (1 - (covered[cell] ?? 0));
  }
  const chances = (sum: Float32Array | null): Float32Array | null => sum?.map((chance) => Math.min(1, chance)) ?? null;
  return { faces: { ...raster, front: chances(frontSum), back: chances(backSum) }, frontSum, backSum };
};

/** What a face gives off, shared among all that takes light in a cell by their chances (lm). */
export const givenBy = (
  layer: AreaLayer,
  graded: Float32Array,
  { frontSum, backSum }: SharedFaces,
  { frontOut, backOut }: Pick<SheetLight, 'frontOut' | 'backOut'>,
): Float64Array => {
  const [out, sum] = layer.onBack ? [backOut, backSum] : [frontOut, frontSum];
  return Float64Array.from(layer.wanted, (share, cell) =>
    share === 0 || out[cell] === 0 ? 0 : (out[cell]! * chanceAt(layer, graded, cell)) / sum![cell]!,
  );
};
