import type { Ring } from '../../base/outlines/index.js';

/** The four edges of a sheet, seen from the front. */
export const sheetSides = ['top', 'right', 'bottom', 'left'] as const;
export type SheetSide = (typeof sheetSides)[number];

/** How an edge is finished, or what is stuck on it. */
export type SideFinish = 'polished' | 'sawn' | 'sanded' | 'white' | 'black';

/** A clear sheet, rectangular or of a drawn outline, with air at both faces, or silvered on one. Lengths in mm. */
export interface ClearSheet {
  readonly widthMm: number;
  readonly heightMm: number;
  /** A drawn outline in a rectangle of that size, from its lower left corner; each stretch counts to the side that it looks to. */
  readonly outline?: Ring | null;
  readonly thicknessMm: number;
  /** Refractive index. */
  readonly index: number;
  /** Natural logarithm of what is lost along a millimetre of path. */
  readonly lossPerMm: number;
  /** What a silvered back reflects at each hit; null where there is air. */
  readonly silver: number | null;
  readonly sides: Readonly<Record<SheetSide, SideFinish>>;
}

/** An LED before an edge: how far along it (from the left or the bottom), how wide it is along it, what it gives (lm). */
export interface EdgeLed {
  readonly side: SheetSide;
  readonly alongMm: number;
  readonly widthMm: number;
  readonly lumens: number;
}

/** How LEDs stand before an edge. */
export interface EdgeFit {
  /** Height of the emitter across the sheet (mm). */
  readonly emitterMm: number;
  /** From the emitter to the edge (mm). */
  readonly gapMm: number;
  /** From the middle plane of the sheet to the middle of the emitter (mm). */
  readonly offsetMm: number;
}

/**
 * Where the faces of a sheet are worked, row by row from the lower left: the chance that a ray which meets the face there is
 * taken out of the sheet, 0 to 1.
 */
export interface WorkedFaces {
  readonly cellMm: number;
  readonly columns: number;
  readonly rows: number;
  readonly front: Float32Array | null;
  readonly back: Float32Array | null;
}

/** Where the light of the LEDs goes (lm). All but the maps and `emitted` add up to `emitted`. */
export interface SheetLight {
  readonly emitted: number;
  /** Passes the edge above or below it, or is thrown back by it. */
  readonly missed: number;
  readonly thrownBack: number;
  /** Taken out by the worked cells of either face. */
  readonly out: number;
  /** Leaves by each edge, or ends in what is stuck on it. */
  readonly edges: Readonly<Record<SheetSide, number>>;
  /** Lost in the sheet and in its silver. */
  readonly lost: number;
  /** What was followed no farther. */
  readonly left: number;
  /** By cell, of the front and of the back (lm). */
  readonly frontOut: Float64Array;
  readonly backOut: Float64Array;
  /** By cell, what leaves by stretches of the outline that lie in it (lm). */
  readonly edgeCells: Float64Array;
}
