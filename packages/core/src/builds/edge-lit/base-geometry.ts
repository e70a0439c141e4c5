import { failure, success, type Problem, type Result } from '../../base/result.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import type { SheetSize } from '../../light/geometry/index.js';
import type { PanelMaterials } from './materials.js';
import type { BaseDesign, SheetDesign } from './schema.js';

const own = fieldsOf<{ readonly holder: BaseDesign }>();

/** Height of a printed base where the design leaves it out (mm). */
export const usualPrintedMm = 32;
/** Material left beside slot, cavity and holes of a base (mm): of wood, printed. */
export const leastWallMm = { wood: 5, printed: 2 } as const;
/** The cavity is so much wider than what lies in it, and a sheet rests on so much of the slot’s floor at each end (mm). */
const cavityRoomMm = 2;
export const shoulderMm = 6;
/** Room beside each end of the strip, for wires and solder (mm). */
export const stripEndRoomMm = 8;
/** How far the lid reaches past the cavity (mm). */
const lidLapMm = 8;
/** A printed lid is so thick (mm). */
const printedLidMm = 3;

/** A base that a sheet stands in. Lengths in mm. */
export interface BaseGeometry {
  readonly kind: 'base';
  readonly lengthMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
  /** As long as what of the sheet stands in it. */
  readonly slot: { readonly lengthMm: number; readonly widthMm: number; readonly deepMm: number };
  /** Open from below, up to the floor of the slot. */
  readonly cavity: { readonly lengthMm: number; readonly widthMm: number; readonly highMm: number };
  readonly closing: SheetSize;
  /** The batten that carries the strip on the lid. */
  readonly battenMm: number;
  /** The hole for lead or jack: how wide, and its middle above the underside; behind a jack, what it lies in. */
  readonly exit: { readonly diameterMm: number; readonly upMm: number; readonly bay: JackBay | null };
  /** From the left end of the cavity, over its front and its rear; none where it has no length. */
  readonly pocket: { readonly lengthMm: number; readonly widthMm: number };
  readonly wallMm: number;
}

/** Room for the body of a jack, open from below: how wide, and the wall that is left for its nut (mm). */
export interface JackBay {
  readonly widthMm: number;
  readonly wallMm: number;
}

/** Holes for a lead with its grommet, and for a jack that is screwed in (mm). */
const exitMm = { lead: 8, jack: 8.2 } as const;
/** A jack’s body is so thick and so deep, and its nut takes walls up to so thick (mm); typical. */
export const jackBodyMm = { thick: 12, deep: 18 } as const;
const jackPlayMm = 1;
const nutTakesMm = { wood: 4, printed: 3 } as const;

const one = (mm: number): number => Math.round(mm * 10) / 10;

/** Sizes of a base; fails where slot, cavity and lid do not fit into it. */
export const baseGeometry = (
  sheet: SheetDesign,
  design: BaseDesign,
  { board, closing, pane, strip }: PanelMaterials,
  bedMm: number,
): Result<BaseGeometry> => {
  const printed = design.make === 'printed';
  const heightMm = printed ? (design.heightMm ?? usualPrintedMm) : board.thicknessMm;
  const lidMm = printed ? printedLidMm : (closing?.thicknessMm ?? 0);
  const highMm = heightMm - design.slotMm - lidMm;
  const slotWidth = pane.thicknessMm + 2 * design.playMm;
  const cavityWidth = Math.max(strip.widthMm + cavityRoomMm, slotWidth);
  const wallMm = leastWallMm[design.make];
  const problems: Problem[] = [];
  if (highMm < bedMm)
    problems.push({
      path: pathOf(own.holder.slotMm),
      message: `leaves ${one(Math.max(0, highMm))} mm under the sheet in a base ${heightMm} mm high with a lid of ${lidMm} mm; the strip with its gap wants ${one(bedMm)} mm: make the slot ${one(Math.max(3, heightMm - lidMm - bedMm))} mm deep or less, or the base higher`,
    });
  if (cavityWidth + 2 * wallMm > design.depthMm)
    problems.push({
      path: pathOf(own.holder.depthMm),
      message: `is too little: slot and cavity want ${one(cavityWidth)} mm and ${wallMm} mm on both sides; make it ${Math.ceil(cavityWidth + 2 * wallMm)} mm or more`,
    });
  if (design.slotMm > sheet.heightMm - 10)
    problems.push({
      path: pathOf(own.holder.slotMm),
      message: `swallows a sheet of ${sheet.heightMm} mm; make it shallower`,
    });
  if (problems.length > 0) return failure(...problems);
  const lengthMm = sheet.widthMm + 2 * design.overhangMm;
  const cavityLength = Math.max(0, Math.min(lengthMm - 2 * wallMm, sheet.widthMm - 2 * shoulderMm));
  const jack = design.exit === 'jack';
  const pocketLength = Math.min(design.pocketMm ?? 0, cavityLength);
  // What lies beside the strip goes in from below: the lid reaches as far.
  const wide = jack || pocketLength > 0;
  const widest = { x: lengthMm - 2 * wallMm, y: design.depthMm - 2 * wallMm };
  return success({
    kind: 'base',
    lengthMm,
    depthMm: design.depthMm,
    heightMm,
    slot: { lengthMm: sheet.widthMm, widthMm: slotWidth, deepMm: design.slotMm },
    cavity: { lengthMm: cavityLength, widthMm: cavityWidth, highMm },
    closing: {
      widthMm: jack ? widest.x : Math.min(lengthMm, cavityLength + 2 * lidLapMm),
      heightMm: wide ? widest.y : Math.min(widest.y, cavityWidth + 2 * lidLapMm),
      thicknessMm: lidMm,
    },
    battenMm: highMm - bedMm,
    exit: {
      diameterMm: exitMm[design.exit ?? 'lead'],
      upMm: lidMm + highMm / 2,
      bay: jack ? { widthMm: jackBodyMm.thick + 2 * jackPlayMm, wallMm: nutTakesMm[design.make] } : null,
    },
    pocket: {
      lengthMm: pocketLength,
      // The lid is screwed down before and behind it.
      widthMm: pocketLength > 0 ? Math.max(cavityWidth, widest.y - 2 * lidLapMm) : 0,
    },
    wallMm,
  });
};

/** How long strip may be over a base: from end to end of its cavity, with room for wires (mm). */
export const stripRoomMm = ({ cavity }: BaseGeometry): number => cavity.lengthMm - 2 * stripEndRoomMm;

/** How wide a pocket may be in a base: what its walls and the laps of its lid leave (mm). */
export const widestPocketMm = ({ depthMm, wallMm }: BaseGeometry): number => depthMm - 2 * (wallMm + lidLapMm);
