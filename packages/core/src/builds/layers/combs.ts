import {
  intersect,
  outlineArea,
  outlineBounds,
  rectRing,
  subtract,
  unite,
  type Outline,
  type Point,
  type Rect,
} from '../../base/outlines/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { LightRuns } from '../../light/runs/index.js';
import { usualFit, type Fit } from '../../making/fits/index.js';
import type { SheetStock } from '../common/sheet-stock.js';
import type { CombsDesign } from './schema.js';

/** A slot ends so far before the middle of the comb that sheet and comb both rest on the floor (mm, both together). */
const restMm = 0.4;
/** Comb before the foremost sheet that it holds (mm). */
const beforeMm = 5;
/** Left to a sheet that stands by itself in its way (mm). */
const clearMm = 0.5;
/** Round strip on the floor that goes through under a comb (mm). */
const passageMm = 1.5;
/** What a sheet needs over the slot, and beside it (mm). */
const soundMm = 4;
/** Looked at so far below the upper edge of a comb (mm). */
const shownMm = 1;
/** Lower than this a part begins at the floor (mm). */
const floorMm = 1;

/** A comb on the floor: sheets and it are slotted into each other, half and half. */
export interface Comb {
  /** Where its middle stands, from the middle of the box. */
  readonly xMm: number;
  readonly fromZMm: number;
  readonly toZMm: number;
  /** Seen from the side: from the back along x, from the floor along y. */
  readonly profile: Outline;
  /** The sheets that it holds, by their places from back to front. */
  readonly holds: readonly number[];
  /** Sheets that stand by themselves where it goes through. */
  readonly meets: readonly number[];
  /** How many pieces of strip on the floor go through under it. */
  readonly passages: number;
}

/** The combs of a scene: two alike, as far from both sides. */
export interface Combs {
  readonly stock: SheetStock;
  readonly highMm: number;
  /** Slots are narrower than what goes into them by so much (mm). */
  readonly overMm: number;
  readonly each: readonly Comb[];
  /** Where one shows past the sheets from the front or from aside; null where none does. */
  readonly seenAt: Point | null;
}

/** Places of a comb that may show: the upper edges of its teeth, and its front end. */
export const showsAt = (
  { xMm, fromZMm, toZMm, holds }: Comb,
  sheets: readonly { readonly rearZMm: number; readonly frontZMm: number }[],
  highMm: number,
  { inside }: CaseGeometry,
): readonly { readonly at: Point; readonly zMm: number }[] => {
  const edges = [fromZMm, ...holds.flatMap((at) => [sheets[at]!.rearZMm, sheets[at]!.frontZMm]), toZMm];
  const y = highMm - shownMm - inside.heightMm / 2;
  return Array.from({ length: edges.length >> 1 }, (_, tooth) => (edges[2 * tooth]! + edges[2 * tooth + 1]!) / 2)
    .concat(toZMm)
    .map((zMm) => ({ at: [xMm, y] as const, zMm }));
};

/** Where the middles of the two combs stand. */
export const combPlaces = ({ insetMm }: CombsDesign, { inside }: CaseGeometry): readonly number[] => {
  const x = Math.max(0, inside.widthMm / 2 - insetMm);
  return x === 0 ? [0] : [-x, x];
};

/** The fit of a slot in either stuff: what both bear. */
export const slotFit = (comb: SheetStock, sheet: SheetStock): Fit => {
  const [inSheet, inComb] = [usualFit(comb.stuff, sheet.stuff), usualFit(sheet.stuff, comb.stuff)];
  return {
    overMm: Math.min(inSheet.overMm, inComb.overMm),
    leastMm: Math.max(inSheet.leastMm, inComb.leastMm),
    mostMm: Math.min(inSheet.mostMm, inComb.mostMm),
  };
};

/** Whether a spacer would stand where a comb may run. */
export const atComb = (
  [x, y]: Point,
  footMm: number,
  places: readonly number[],
  { highMm, stock }: Pick<Combs, 'highMm' | 'stock'>,
  { inside }: CaseGeometry,
): boolean =>
  y - footMm / 2 < highMm + clearMm - inside.heightMm / 2 &&
  places.some((middle) => Math.abs(x - middle) < (stock.thicknessMm + footMm) / 2 + clearMm);

/** From the floor up to the end of the slot in a sheet (mm). */
const slotTopMm = (highMm: number): number => highMm / 2 + restMm / 2;

/** The slots of a part of a sheet that is to stand in combs; null where it cannot: not solid there, or no room to lower it. */
export const slotsOf = (
  part: Outline,
  places: readonly number[],
  { highMm, stock, overMm }: Pick<Combs, 'highMm' | 'stock' | 'overMm'>,
  { inside }: CaseGeometry,
): Outline | null => {
  const bounds = outlineBounds(part);
  const floor = -inside.heightMm / 2;
  const top = slotTopMm(highMm);
  if (bounds === null || places.length < 2) return null;
  // It is lowered onto the combs from above.
  if (bounds.y + bounds.height > inside.heightMm / 2 - top - floorMm) return null;
  const solid = places.every((x) => {
    const around: Rect = {
      x: x - stock.thicknessMm / 2 - soundMm,
      y: floor + floorMm,
      width: stock.thicknessMm + 2 * soundMm,
      height: top + soundMm - floorMm,
    };
    const inIt = Math.abs(outlineArea(intersect(part, [rectRing(around)])));
    return inIt > 0.999 * around.width * around.height;
  });
  if (!solid) return null;
  const wide = stock.thicknessMm - overMm;
  return places.map((x) => rectRing({ x: x - wide / 2, y: floor - floorMm, width: wide, height: top + floorMm }));
};

interface HeldSheet {
  readonly outline: Outline;
  readonly stock: SheetStock;
  readonly rearZMm: number;
  readonly frontZMm: number;
  readonly slots: Outline;
}

/** Combs under sheets that stand already, those without slots by themselves. */
export const combsFor = (
  sheets: readonly HeldSheet[],
  places: readonly number[],
  { highMm, stock, overMm }: Pick<Combs, 'highMm' | 'stock' | 'overMm'>,
  { inside }: CaseGeometry,
  { segments }: LightRuns,
  strip: { readonly widthMm: number; readonly heightMm: number },
): readonly Comb[] => {
  const holds = sheets.flatMap(({ slots }, at) => (slots.length > 0 ? [at] : []));
  if (holds.length === 0) return [];
  const floor = -inside.heightMm / 2;
  const [first, last] = [sheets[holds[0]!]!, sheets[holds.at(-1)!]!];
  return places.map((xMm): Comb => {
    const foot = rectRing({ x: xMm - stock.thicknessMm / 2, y: floor, width: stock.thicknessMm, height: highMm });
    const inTheWay = sheets.flatMap(({ outline, slots }, at) =>
      slots.length === 0 && Math.abs(outlineArea(intersect(outline, [foot]))) > 1 ? [at] : [],
    );
    const behind = inTheWay.filter((at) => sheets[at]!.frontZMm <= first.rearZMm);
    const before = inTheWay.filter((at) => sheets[at]!.rearZMm >= last.frontZMm);
    const fromZMm = Math.max(0, ...behind.map((at) => sheets[at]!.frontZMm + clearMm));
    const toZMm = Math.min(
      last.frontZMm + beforeMm,
      inside.depthMm - clearMm,
      ...before.map((at) => sheets[at]!.rearZMm - clearMm),
    );
    const slots = holds.map((at) => {
      const { rearZMm, stock: own } = sheets[at]!;
      const wide = own.thicknessMm - overMm;
      const low = highMm / 2 - restMm / 2;
      return rectRing({
        x: rearZMm + own.thicknessMm / 2 - wide / 2,
        y: low,
        width: wide,
        height: highMm - low + floorMm,
      });
    });
    const passages = segments
      .filter(({ on }) => on === 'bottom')
      .map(({ path }) =>
        rectRing({
          x: path[0]![2] - strip.widthMm / 2 - passageMm,
          y: -floorMm,
          width: strip.widthMm + 2 * passageMm,
          height: strip.heightMm + passageMm + floorMm,
        }),
      );
    return {
      xMm,
      fromZMm,
      toZMm,
      profile: subtract(
        [rectRing({ x: fromZMm, y: 0, width: toZMm - fromZMm, height: highMm })],
        unite([...slots, ...passages]),
      ),
      holds,
      meets: inTheWay.filter((at) => !behind.includes(at) && !before.includes(at)),
      passages: passages.length,
    };
  });
};
