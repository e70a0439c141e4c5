import { failure, success, type Problem, type Result } from '../../base/result.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import { frameMembers, insideOf, type Member, type Seat } from '../../joinery/members/index.js';
import type { SheetSize } from '../../light/geometry/index.js';
import type { PanelMaterials } from './materials.js';
import type { FrameDesign, SheetDesign, TopDesign } from './schema.js';

const own = fieldsOf<{ readonly holder: FrameDesign }>();

/** Wood left behind a seat or a groove, and on either side of what lies in it (mm). */
const leastBehindMm = 3;
/** Room of strip in the width of its groove, and of a bottom in its rabbet (mm). */
const stripRoomMm = 1;

/** Members round a sheet: a frame, or the case that it is the top of. Lengths in mm. */
export interface FramedGeometry {
  readonly kind: 'frame' | 'top';
  readonly outside: { readonly widthMm: number; readonly heightMm: number };
  readonly inside: { readonly widthMm: number; readonly heightMm: number };
  readonly members: readonly Member[];
  readonly stockMm: number;
  readonly depthMm: number;
  readonly lipMm: number;
  /** From the inner side of a member: the sheet’s seat, and the narrower groove for the strip. */
  readonly seatMm: number;
  readonly grooveMm: number;
  readonly grooveWideMm: number;
  readonly closing: SheetSize | null;
  /** Off the rear face of the sheet. */
  readonly frontZMm: number;
}

const one = (mm: number): number => Math.round(mm * 10) / 10;

/** Sizes of a frame or a case round a sheet; fails where its stock is too thin for what lies in it. */
export const framedGeometry = (
  sheet: SheetDesign,
  design: FrameDesign | TopDesign,
  { board, closing, pane, strip }: PanelMaterials,
  bedMm: number,
): Result<FramedGeometry> => {
  const stockMm = board.thicknessMm;
  const isTop = design.kind === 'top';
  const lipMm = isTop ? 0 : design.lipMm;
  const slotMm = pane.thicknessMm + 2 * design.playMm;
  const grooveWideMm = strip.widthMm + stripRoomMm;
  // The sheet’s edge stands its play off the floor of its seat.
  const grooveMm = design.seatMm - design.playMm + bedMm;
  const bottomMm = closing?.thicknessMm ?? 0;
  const problems: Problem[] = [];
  if (grooveMm > stockMm - leastBehindMm)
    problems.push({
      path: pathOf(own.holder.seatMm),
      message: `and the strip behind the edge want a groove ${one(grooveMm)} mm deep in stock of ${stockMm} mm; thicker stock, a smaller gap, or a seat of ${one(Math.max(0, stockMm - leastBehindMm - bedMm + design.playMm))} mm or less`,
    });
  if (design.playMm >= design.seatMm)
    problems.push({
      path: pathOf(own.holder.playMm),
      message: `lets the sheet fall out of a seat of ${design.seatMm} mm`,
    });
  const middle = lipMm + slotMm / 2;
  const wants = Math.max(lipMm + slotMm, middle + grooveWideMm / 2) + (isTop ? bottomMm : 0) + leastBehindMm;
  if (wants > design.depthMm)
    problems.push({
      path: pathOf(own.holder.depthMm),
      message: `is too little for sheet, strip and what holds them; make it ${Math.ceil(wants)} mm or more`,
    });
  if (!isTop && middle - grooveWideMm / 2 < leastBehindMm / 2)
    problems.push({
      path: pathOf(own.holder.lipMm),
      message: `leaves less than ${leastBehindMm / 2} mm before the strip’s groove; make it ${Math.ceil(leastBehindMm / 2 + grooveWideMm / 2 - slotMm / 2)} mm or more`,
    });
  const inside = {
    widthMm: insideOf(sheet.widthMm, design.seatMm, design.playMm),
    heightMm: insideOf(sheet.heightMm, design.seatMm, design.playMm),
  };
  if (Math.min(inside.widthMm, inside.heightMm) < 10)
    problems.push({ path: pathOf(own.holder.seatMm), message: 'hides the whole sheet; make it shallower' });
  if (problems.length > 0) return failure(...problems);
  const seats: readonly Omit<Seat, 'stopMm'>[] = [
    {
      kind: isTop ? 'rabbet' : 'groove',
      holds: 'sheet',
      fromFrontMm: lipMm,
      widthMm: slotMm,
      depthMm: design.seatMm,
      sheetMm: pane.thicknessMm,
    },
    {
      kind: 'groove',
      holds: 'strip',
      fromFrontMm: Math.max(0, middle - grooveWideMm / 2),
      widthMm: grooveWideMm,
      depthMm: grooveMm,
      sheetMm: strip.widthMm,
    },
    ...(isTop
      ? [
          {
            kind: 'rabbet' as const,
            holds: 'bottom',
            fromFrontMm: design.depthMm - bottomMm,
            widthMm: bottomMm,
            depthMm: Math.min(design.seatMm, stockMm / 2),
            sheetMm: bottomMm,
          },
        ]
      : []),
  ];
  const members = frameMembers({
    insideWidthMm: inside.widthMm,
    insideHeightMm: inside.heightMm,
    memberWidthMm: design.depthMm,
    thicknessMm: stockMm,
    joint: design.joint,
    seats,
  });
  const bottomSeat = Math.min(design.seatMm, stockMm / 2);
  return success({
    kind: design.kind,
    outside: { widthMm: inside.widthMm + 2 * stockMm, heightMm: inside.heightMm + 2 * stockMm },
    inside,
    members,
    stockMm,
    depthMm: design.depthMm,
    lipMm,
    seatMm: design.seatMm,
    grooveMm,
    grooveWideMm,
    closing: isTop
      ? {
          widthMm: inside.widthMm + 2 * bottomSeat - 1,
          heightMm: inside.heightMm + 2 * bottomSeat - 1,
          thicknessMm: bottomMm,
        }
      : null,
    frontZMm: pane.thicknessMm + design.playMm + lipMm,
  });
};
