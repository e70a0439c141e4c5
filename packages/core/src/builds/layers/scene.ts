import type { Lettering } from '../../artwork/lettering/index.js';
import { sum } from '../../base/maths/index.js';
import {
  distanceToLine,
  lookedInto,
  solidParts,
  subtract,
  type LookedInto,
  type Outline,
  type Point,
} from '../../base/outlines/index.js';
import { failure, success, type Problem, type Result } from '../../base/result.js';
import { readPicture, type Picture } from '../common/picture.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { LightRuns } from '../../light/runs/index.js';
import { atComb, combPlaces, combsFor, slotFit, showsAt, slotsOf, type Combs } from './combs.js';
import type { SheetStock } from '../common/sheet-stock.js';
import type { LayersMaterials } from './materials.js';
import { inlayOf, type Inlay } from '../common/inlays.js';
import { pocketsOf, sheetOutline } from './outlines.js';
import type { SceneDesign, SheetDesign } from './schema.js';
import { carry, seenFromAside, type Carried } from './spacers.js';

/** A sheet as it stands in the box, in the axes of the case: z from the inner side of the back. */
export interface StandingSheet {
  /** Its place in the design’s list. */
  readonly index: number;
  readonly sheet: SheetDesign;
  readonly stock: SheetStock;
  readonly outline: Outline;
  readonly parts: readonly Outline[];
  readonly rearZMm: number;
  readonly frontZMm: number;
  /** What the worst of its piles is off the height that was wanted. */
  readonly errorMm: number;
  readonly carried: readonly Carried[];
  /** What is printed on its front, over the bounds of its outline; null where it is painted. */
  readonly print: Picture | null;
  /** What is let into it. */
  readonly inlay: Inlay | null;
  /** What is cut: its outline, with the slots that combs hold it by. */
  readonly slotted: Outline;
}

/** What stands in the box, from back to front. */
export interface Scene {
  readonly sheets: readonly StandingSheet[];
  readonly viewDeg: number;
  /** What sheets are slotted into; null where all stand on spacers. */
  readonly combs: Combs | null;
  /** Share of the LEDs that are seen from somewhere within the viewing angle. */
  readonly stripSeen: number;
  /** Where the first of them is. */
  readonly seenAt: Point | null;
}

/** Strip and spacers are hidden from so far aside where a design does not say (°). */
export const usualViewDeg = 25;
/** So many LEDs are looked at. */
const mostLooked = 80;
/** How sheets are slotted into combs: as designed, or as suits all of them; null without combs. */
const slottingOf = (
  { combs, sheets }: SceneDesign,
  { combs: stock, sheets: stocks }: LayersMaterials,
): Omit<Combs, 'each' | 'seenAt'> | null => {
  if (!combs || stock === null) return null;
  const usual = stocks.filter((_, at) => sheets[at]!.held === 'combs').map((own) => slotFit(stock, own).overMm);
  return { stock, highMm: combs.highMm, overMm: combs.overMm ?? Math.min(...usual, slotFit(stock, stock).overMm) };
};

/** Left between strip and a spacer (mm). */
const clearMm = 2;

/** Where the piles under a sheet come to, from the back (mm). */
export const topsOf = (
  { carried }: Pick<StandingSheet, 'carried'>,
  sheets: readonly Pick<StandingSheet, 'frontZMm'>[],
): readonly number[] =>
  carried.flatMap(({ posts }) => posts).map(({ on, pile }) => (on === null ? 0 : sheets[on]!.frontZMm) + pile.heightMm);

/** Strip on the rim, on the back and behind a sheet, as it keeps spacers off. */
const keepOffStrip =
  ({ segments }: LightRuns, { strip }: LayersMaterials, { inside }: CaseGeometry) =>
  ([x, y]: Point, footMm: number, fromZMm: number, toZMm: number): boolean => {
    const room = footMm / 2 + clearMm;
    const toRim = Math.min(inside.widthMm / 2 - Math.abs(x), inside.heightMm / 2 - Math.abs(y));
    return segments.some(({ on, path }) => {
      const z = path[0]![2];
      if (on === 'back' || on === 'sheet') {
        const line = path.map(([px, py]): Point => [px, py]);
        const meets = on === 'back' || (fromZMm < z + strip.heightMm && toZMm > z - strip.heightMm);
        return meets && distanceToLine([x, y], line) < room + strip.widthMm / 2;
      }
      const level = fromZMm < z + strip.widthMm / 2 && toZMm > z - strip.widthMm / 2;
      return level && toRim < room + strip.heightMm;
    });
  };

/**
 * Stands the sheets of a design in the box, the rearmost first: each on spacers from the stock, as near to the height that
 * is wanted as they come. Fails with the sheet that has no outline.
 */
export const standScene = (
  design: SceneDesign,
  geometry: CaseGeometry,
  runs: LightRuns,
  materials: LayersMaterials,
  letters: Lettering,
): Result<Scene> => {
  const shaped = design.sheets.map((sheet) => sheetOutline(sheet, geometry, letters));
  const problems: Problem[] = shaped.flatMap((each, at): readonly Problem[] =>
    each.ok ? [] : each.problems.map(({ path, message }) => ({ path: `scene.sheets.${at}.${path}`, message })),
  );
  const prints = design.sheets.map(({ picture }, at) =>
    picture ? readPicture(picture, `scene.sheets.${at}.picture`) : success(null),
  );
  problems.push(...prints.flatMap((each): readonly Problem[] => (each.ok ? [] : each.problems)));
  const { depthMm } = geometry.inside;
  design.sheets.forEach(({ heightMm }, at) => {
    const { thicknessMm } = materials.sheets[at]!;
    if (heightMm + thicknessMm > depthMm - 0.5)
      problems.push({
        path: `scene.sheets.${at}.heightMm`,
        message: `puts its front at ${Math.round(heightMm + thicknessMm)} mm, past the clear front at ${Math.round(depthMm)} mm; make it ${Math.max(0, Math.floor(depthMm - thicknessMm - 0.5))} mm or less, or the case deeper`,
      });
  });
  design.sheets.forEach(({ held }, at) => {
    if (held === 'combs' && !design.combs)
      problems.push({
        path: `scene.sheets.${at}.held`,
        message: 'is to stand in combs, and the box has none; add combs, or put it on spacers',
      });
  });
  if (problems.length > 0) return failure(...problems);
  const viewDeg = design.viewDeg ?? usualViewDeg;
  const keepOff = keepOffStrip(runs, materials, geometry);
  const slotting = slottingOf(design, materials);
  const places = design.combs ? combPlaces(design.combs, geometry) : [];
  const inCombs = design.sheets.some(({ held }) => held === 'combs');
  const bounds = {
    widthMm: geometry.inside.widthMm,
    heightMm: geometry.inside.heightMm,
    frontZMm: depthMm,
  };
  const order = design.sheets
    .map((sheet, index) => ({ sheet, index }))
    .sort((a, b) => a.sheet.heightMm - b.sheet.heightMm || a.index - b.index);
  const wanted = order.map(({ sheet, index }) => {
    const shape = shaped[index]!;
    const outline = shape.ok ? shape.value : [];
    return { rearZMm: sheet.heightMm, outline, within: lookedInto(outline) };
  });
  const standing: (StandingSheet & { readonly within: LookedInto })[] = [];
  order.forEach(({ sheet, index }, at) => {
    const stock = materials.sheets[index]!;
    const { outline, within } = wanted[at]!;
    const print = prints[index]!;
    const before = wanted.slice(at);
    const parts = solidParts(outline);
    const inlay = inlayOf(
      sheet.inlay?.overMm,
      stock,
      materials.inlays[index] ?? null,
      pocketsOf(sheet, geometry, letters),
      parts,
    );
    // Counters are held by what they are set into.
    const held = inlay === null ? outline : parts.filter((part) => !inlay.counters.includes(part)).flat();
    const carried = carry(held, sheet.heightMm, {
      sheets: standing,
      stock: materials.spacers,
      keepOff: (place, footMm, fromZMm, toZMm) =>
        keepOff(place, footMm, fromZMm, toZMm) ||
        (inCombs && slotting !== null && atComb(place, footMm, places, slotting, geometry)),
      slotted: (part) =>
        sheet.held === 'combs' && slotting !== null ? slotsOf(part, places, slotting, geometry) : null,
      seen: (place, footMm, fromZMm) =>
        [-0.5, 0.5].some((side) =>
          seenFromAside([place[0] + side * footMm, place[1]], (fromZMm + sheet.heightMm) / 2, before, viewDeg, bounds),
        ),
    });
    // Where its piles come to; they may be off by unlike amounts where they stand on unlike things.
    const tops = topsOf({ carried }, standing);
    const slots = carried.flatMap((each) => each.slots);
    // In combs it stands where the slot is cut.
    const rearZMm = tops.length === 0 || slots.length > 0 ? sheet.heightMm : sum(tops) / tops.length;
    const farthest = tops.reduce(
      (worst, top) => (Math.abs(top - sheet.heightMm) > Math.abs(worst - sheet.heightMm) ? top : worst),
      rearZMm,
    );
    standing.push({
      index,
      sheet,
      stock,
      outline,
      within,
      parts,
      rearZMm,
      frontZMm: rearZMm + stock.thicknessMm,
      errorMm: farthest - sheet.heightMm,
      carried,
      print: print.ok ? print.value : null,
      inlay,
      slotted: slots.length === 0 ? outline : subtract(outline, slots),
    });
  });
  const each =
    slotting === null
      ? []
      : combsFor(
          standing.map((one) => ({ ...one, slots: one.carried.flatMap(({ slots }) => slots) })),
          places,
          slotting,
          geometry,
          runs,
          materials.strip,
        );
  return success({
    sheets: standing.map(({ within: _within, ...sheet }) => sheet),
    viewDeg,
    combs:
      slotting === null || each.length === 0
        ? null
        : {
            ...slotting,
            each,
            seenAt:
              each
                .flatMap((comb) => showsAt(comb, standing, slotting.highMm, geometry))
                .find(({ at, zMm }) => seenFromAside(at, zMm, standing, viewDeg, bounds))?.at ?? null,
          },
    ...stripInSight(runs, standing, viewDeg, bounds),
  });
};

/** LEDs that are seen past the sheets from the front or from aside. */
const stripInSight = (
  { leds }: LightRuns,
  sheets: Parameters<typeof seenFromAside>[2],
  viewDeg: number,
  bounds: Parameters<typeof seenFromAside>[4],
): Pick<Scene, 'stripSeen' | 'seenAt'> => {
  const step = Math.max(1, Math.floor(leds.count / mostLooked));
  let [looked, seen] = [0, 0];
  let seenAt: Point | null = null;
  for (let led = 0; led < leds.count; led += step) {
    looked += 1;
    const at: Point = [leds.x[led]!, leds.y[led]!];
    if (!seenFromAside(at, leds.z[led]!, sheets, viewDeg, bounds)) continue;
    seen += 1;
    seenAt ??= at;
  }
  return { stripSeen: looked > 0 ? seen / looked : 0, seenAt };
};
