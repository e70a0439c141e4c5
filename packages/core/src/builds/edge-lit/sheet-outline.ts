import {
  outlineBounds,
  pointsOf,
  ringArea,
  simplify,
  type Outline,
  type Point,
  type Rect,
  type Ring,
} from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import type { SheetSide } from '../../light/sheet/index.js';
import { litEdges } from './lit-edges.js';
import { roundedRing } from '../common/rounded-ring.js';
import type { EdgeLitAssembly, SheetDesign } from './schema.js';

const own = fieldsOf<EdgeLitAssembly>();

/** Outline of a sheet: its corners are round where they do not stand in a base. */
export const sheetRing = (sheet: Rect, cornerMm: number, standing: boolean): Ring =>
  roundedRing(sheet, cornerMm, standing ? 0 : cornerMm);

/** A point of a drawn outline within this of a side of its bounds lies on it (mm): what a saw and a drawing agree within. */
const onSideMm = 0.3;

/** The rectangle that a sheet is cut from, its lower left corner at the origin. */
const wholeOf = ({ widthMm, heightMm }: Pick<SheetDesign, 'widthMm' | 'heightMm'>): Rect => ({
  x: 0,
  y: 0,
  width: widthMm,
  height: heightMm,
});

/** Rings as a drawing keeps them, x, y, x, y …, as an outline. */
const outlineOf = (rings: NonNullable<SheetDesign['outline']>['rings']): Outline =>
  rings.map((numbers) => pointsOf(numbers));

/** Outlines of more points than this lose those that are nearer to the rest than anybody sees (mm); of more than that, they are refused. */
const finePoints = 150;
const notSeenMm = 0.05;
const mostPoints = 600;

/** A drawn outline stretched to the size of the sheet. */
const drawnRing = (
  { widthMm, heightMm }: SheetDesign,
  { rings }: NonNullable<SheetDesign['outline']>,
): Result<Ring> => {
  const path = pathOf(own.sheet.outline);
  const outline = outlineOf(rings);
  const bounds = outlineBounds(outline);
  if (bounds === null || bounds.width <= 0 || bounds.height <= 0)
    return failure({ path, message: 'has no outline; load a drawing with one closed line' });
  if (outline.length > 1)
    return failure({
      path,
      message: `has ${outline.length} closed lines; a sheet has one, without holes: leave the others out of the drawing`,
    });
  const [across, up] = [widthMm / bounds.width, heightMm / bounds.height];
  const drawn = outline[0]!.map(([x, y]): Point => [(x - bounds.x) * across, (y - bounds.y) * up]);
  const ring = drawn.length > finePoints ? (simplify([drawn], notSeenMm)[0] ?? drawn) : drawn;
  if (ring.length > mostPoints)
    return failure({
      path,
      message: `has ${ring.length} points, finer than any saw follows; ${mostPoints} is the most: smooth it, or draw it with fewer`,
    });
  return success(ringArea(ring) < 0 ? [...ring].reverse() : ring);
};

/** How wide and high a drawing is at its scale (mm). */
export const drawnSize = ({
  rings,
  scale,
}: NonNullable<SheetDesign['outline']>): Pick<SheetDesign, 'widthMm' | 'heightMm'> => {
  const bounds = outlineBounds(outlineOf(rings));
  return { widthMm: (bounds?.width ?? 0) * scale, heightMm: (bounds?.height ?? 0) * scale };
};

/** A straight part of an outline along a side of its bounds: from where to where along it (mm). */
export interface Straight {
  readonly fromMm: number;
  readonly toMm: number;
}

/** The longest straight part of an outline that lies on a side of the sheet; none has no length. */
const straightAt = (
  ring: Ring,
  { widthMm, heightMm }: Pick<SheetDesign, 'widthMm' | 'heightMm'>,
  side: SheetSide,
): Straight => {
  const upright = side === 'left' || side === 'right';
  const away = ([x, y]: Point): number => ({ left: x, right: widthMm - x, bottom: y, top: heightMm - y })[side];
  const along = ([x, y]: Point): number => (upright ? y : x);
  const on = (index: number): boolean => away(ring[index % ring.length]!) <= onSideMm;
  const begins = ring.findIndex((_, index) => !on(index));
  if (begins === -1) return { fromMm: 0, toMm: 0 };
  let best: Straight = { fromMm: 0, toMm: 0 };
  let run: number[] = [];
  for (let step = 1; step <= ring.length; step += 1) {
    const index = begins + step;
    if (on(index)) {
      run.push(along(ring[index % ring.length]!));
      continue;
    }
    if (run.length > 1) {
      const [fromMm, toMm] = [Math.min(...run), Math.max(...run)];
      if (toMm - fromMm > best.toMm - best.fromMm) best = { fromMm, toMm };
    }
    run = [];
  }
  return best;
};

/** How wide an outline is below a height, from where to where. */
const widthBelow = (ring: Ring, heightMm: number): Straight => {
  let [fromMm, toMm] = [Infinity, -Infinity];
  const take = (x: number): void => {
    fromMm = Math.min(fromMm, x);
    toMm = Math.max(toMm, x);
  };
  ring.forEach(([x0, y0], index) => {
    const [x1, y1] = ring[(index + 1) % ring.length]!;
    if (y0 <= heightMm) take(x0);
    if (y0 <= heightMm !== y1 <= heightMm) take(x0 + ((x1 - x0) * (heightMm - y0)) / (y1 - y0));
  });
  return { fromMm, toMm };
};

/** Strip wants straight edges so long, and a slot takes a sheet that is so much wider than its root (mm). */
const leastStraightMm = 20;
const mostWiderMm = 1;

/** A sheet’s outline, its lower left corner at the origin, with where strip can lie and what stands in a slot. */
export interface OutlinedSheet {
  readonly ring: Ring;
  /** The straight part of each lit edge. */
  readonly straight: Readonly<Partial<Record<SheetSide, Straight>>>;
  /** What stands in the slot of a base, from where to where. */
  readonly root: Straight;
}

type OutlinedDesign = Pick<EdgeLitAssembly, 'sheet' | 'holder' | 'light'>;

const straightOf = (light: OutlinedDesign['light'], at: (side: SheetSide) => Straight): OutlinedSheet['straight'] =>
  Object.fromEntries(litEdges(light).map((side) => [side, at(side)]));

/** A rectangle whose corners are round where they stand free. */
const rectangle = ({ sheet, holder, light }: OutlinedDesign): OutlinedSheet => {
  const corner = sheet.cornerMm ?? 0;
  const whole = (side: SheetSide): Straight => ({
    fromMm: 0,
    toMm: side === 'left' || side === 'right' ? sheet.heightMm : sheet.widthMm,
  });
  return {
    ring: roundedRing(wholeOf(sheet), corner, holder.kind === 'base' ? 0 : corner),
    straight: straightOf(light, whole),
    root: whole('bottom'),
  };
};

/** What does not go with a drawn outline, in words that follow “Outline”; null where all does. */
const amiss = ({ sheet, holder, light }: OutlinedDesign, { ring, straight, root }: OutlinedSheet): string | null => {
  if (holder.kind !== 'base')
    return 'is drawn; frames and cases have straight sides: stand the sheet in a base, or leave its outline a rectangle';
  for (const side of litEdges(light)) {
    const { fromMm, toMm } = straight[side]!;
    if (toMm - fromMm < leastStraightMm)
      return `is straight over ${Math.round(toMm - fromMm)} mm of the ${side} edge; strip lies before straight edges of ${leastStraightMm} mm and more: draw one, or light another edge`;
  }
  const stands = straightAt(ring, sheet, 'bottom');
  if (stands.toMm - stands.fromMm < leastStraightMm)
    return `is not straight where it stands: ${Math.round(stands.toMm - stands.fromMm)} mm where ${leastStraightMm} mm is the least`;
  const wider = Math.max(stands.fromMm - root.fromMm, root.toMm - stands.toMm);
  return wider > mostWiderMm
    ? `grows ${Math.round(wider)} mm wider than where it stands, within the ${holder.slotMm} mm that stand in the slot; draw it straight up so far, or make the slot shallower`
    : null;
};

/** The outline of a sheet; fails where a drawn one does not go with its holder or its lit edges, with the remedy. */
export const outlinedSheet = (design: OutlinedDesign): Result<OutlinedSheet> => {
  const { sheet, holder, light } = design;
  if (sheet.outline === null || sheet.outline === undefined) return success(rectangle(design));
  const drawn = drawnRing(sheet, sheet.outline);
  if (!drawn.ok) return drawn;
  const ring = drawn.value;
  const found: OutlinedSheet = {
    ring,
    straight: straightOf(light, (side) => straightAt(ring, sheet, side)),
    root: widthBelow(ring, holder.kind === 'base' ? holder.slotMm : 0),
  };
  const problem = amiss(design, found);
  return problem === null ? success(found) : failure({ path: pathOf(own.sheet.outline), message: problem });
};
