import { describe, expect, it } from '@jest/globals';
import { edgeEntry } from './entry.js';
import { thrownBackAt } from './fresnel.js';
import { plainLoop } from './plain-loop.js';
import { byRow, closeFit, plainSheet, row, workedBack } from '../../testing/edge-lit-sheets.js';
import { fullFollowing, previewFollowing, sheetLight } from './transport.js';
import type { ClearSheet, SheetLight } from './types.js';

const { widthMm: wide, heightMm: high, thicknessMm: thick, index } = plainSheet;
const accounted = ({ missed, thrownBack, out, edges, lost, left }: SheetLight): number =>
  missed + thrownBack + out + edges.top + edges.right + edges.bottom + edges.left + lost + left;

/**
 * Of light that enters by one edge, what is still in the sheet at a distance: by a sum over the disc of direction cosines,
 * `perHit` being what is left after each meeting with one given face.
 */
const remains = (distanceMm: number, perHit: number, lossPerMm = 0): number => {
  const steps = 400;
  let [kept, all] = [0, 0];
  for (let ring = 0; ring < steps; ring += 1)
    for (let sector = 0; sector < 40; sector += 1) {
      const radius = Math.sqrt((ring + 0.5) / steps);
      const angle = ((sector + 0.5) / 40) * (Math.PI / 2);
      const [along, across] = [(radius * Math.cos(angle)) / index, (radius * Math.sin(angle)) / index];
      const forward = Math.sqrt(1 - along * along - across * across);
      const flux = 1 - thrownBackAt(Math.sqrt(1 - radius * radius), 1 / index);
      const hits = ((across / forward) * distanceMm) / (2 * thick);
      all += flux;
      const whole = Math.floor(hits);
      // The last of them happens with the chance that is left of it.
      const met = perHit ** whole * (1 - (hits - whole) * (1 - perHit));
      kept += flux * met * Math.exp((-lossPerMm * distanceMm) / forward);
    }
  return kept / all;
};

describe('light in an edge-lit sheet', () => {
  it.each<[string, Partial<ClearSheet>]>([
    ['polished all round', { sides: { top: 'polished', right: 'polished', bottom: 'polished', left: 'polished' } }],
    ['taped white', { sides: { top: 'white', right: 'white', bottom: 'polished', left: 'white' } }],
    ['sawn, silvered and lossy', { silver: 0.93, lossPerMm: 0.005, sides: { ...plainSheet.sides, left: 'sawn' } }],
  ])('is all accounted for in a sheet %s', (_, change) => {
    const sheet = { ...plainSheet, ...change };
    const worked = workedBack(sheet, 4, (x, y) => (x > 20 && x < 90 && y > 60 ? 0.3 : 0));
    const light = sheetLight(sheet, { ...closeFit, gapMm: 1 }, row('bottom', wide, 12), worked);
    expect(Math.abs(accounted(light) / light.emitted - 1)).toBeLessThan(1e-9);
    expect(light.left / light.emitted).toBeLessThan(0.001);
  });

  it('falls off by little working as the sum over its slopes says, which is not an exponential', () => {
    const chance = 0.05;
    const worked = workedBack(plainSheet, 2, () => chance);
    const light = sheetLight(plainSheet, closeFit, row('bottom', wide, 24), worked);
    const { entered } = edgeEntry(plainSheet, closeFit);
    const rows = byRow(light.backOut, worked);
    for (const from of [0, 20, 60, 120, 180]) {
      const found = rows.slice(from / 2, from / 2 + 10).reduce((sum, each) => sum + each, 0) / (24 * entered);
      const wanted = remains(from, 1 - chance) - remains(from + 20, 1 - chance);
      expect(Math.abs(found / wanted - 1)).toBeLessThan(0.01);
    }
    // Steep rays go first: what is left meets the faces less often, so that the decay slows down.
    const rate = (from: number, to: number): number => Math.log(remains(from, 0.95) / remains(to, 0.95)) / (to - from);
    expect(rate(300, 400)).toBeLessThan(0.9 * rate(0, 100));
  });

  it('from two edges is the sum of both, even in the middle', () => {
    const worked = workedBack(plainSheet, 4, () => 0.1);
    const lit = (...sides: readonly ('top' | 'bottom')[]): readonly number[] => {
      const leds = sides.flatMap((side) => row(side, wide, 24));
      return byRow(sheetLight(plainSheet, closeFit, leds, worked).backOut, worked);
    };
    const [one, both] = [lit('bottom'), lit('top', 'bottom')];
    both.forEach((light, at) =>
      expect(Math.abs(light / (one[at]! + one[one.length - 1 - at]!) - 1)).toBeLessThan(0.01),
    );
    const middle = both[both.length / 2]!;
    expect(middle / both[0]!).toBeGreaterThan(one.at(-1)! / one[0]!);
  });

  it('is halved by a silvered back within 300 mm of 4 mm glass, and hardly by air', () => {
    const long = { ...plainSheet, heightMm: 300 };
    const nothing = workedBack(long, 4, () => 0);
    const through = (silver: number | null): number => {
      const { edges } = sheetLight({ ...long, silver }, closeFit, row('bottom', wide, 24), nothing);
      return edges.top / (24 * edgeEntry(long, closeFit).entered);
    };
    expect(through(0.93)).toBeCloseTo(remains(300, 0.93), 2);
    expect(through(0.93)).toBeGreaterThan(0.4);
    expect(through(0.93)).toBeLessThan(0.6);
    expect(through(null)).toBeCloseTo(1, 6);
  });

  it('is lost along its own path in the sheet, not along the sheet', () => {
    const lossPerMm = 0.005;
    const { edges, emitted } = sheetLight(
      { ...plainSheet, lossPerMm },
      closeFit,
      row('bottom', wide, 24),
      workedBack(plainSheet, 4, () => 0),
    );
    const { entered } = edgeEntry(plainSheet, closeFit);
    expect(edges.top / emitted / entered).toBeCloseTo(remains(high, 1, lossPerMm), 3);
    expect(edges.top / emitted / entered).toBeLessThan(Math.exp(-lossPerMm * high));
  });

  it('does not leave by polished sides beside the lit edge, and leaves by the one opposite', () => {
    const sheet = { ...plainSheet, sides: { ...plainSheet.sides, top: 'polished', bottom: 'polished' } as const };
    const { edges, emitted } = sheetLight(
      sheet,
      closeFit,
      row('bottom', wide, 24),
      workedBack(sheet, 4, () => 0),
    );
    expect(edges.left + edges.right).toBeLessThan(1e-6 * emitted);
    expect(edges.top).toBeGreaterThan(10 * edges.bottom);
  });

  it('goes where it is worked: an area near the strip takes from what lies behind it', () => {
    const far = (x: number, y: number): number => (x > 40 && x < 80 && y > 150 ? 0.3 : 0);
    const near = (x: number, y: number): number => (y > 20 && y < 60 && x > 0 ? 0.6 : 0);
    const behind = (chance: (x: number, y: number) => number): number => {
      const worked = workedBack(plainSheet, 4, chance);
      const rows = byRow(sheetLight(plainSheet, closeFit, row('bottom', wide, 24), worked).backOut, worked);
      return rows.slice(Math.ceil(150 / 4)).reduce((sum, each) => sum + each, 0);
    };
    expect(behind((x, y) => far(x, y) + near(x, y))).toBeLessThan(0.75 * behind(far));
  });

  it('agrees with the plain loop over LEDs and cells within one per cent, in all and over patches', () => {
    const sheet = {
      ...plainSheet,
      lossPerMm: 0.0003,
      sides: { ...plainSheet.sides, left: 'black', right: 'black' } as const,
    };
    const worked = workedBack(sheet, 3, (x, y) => (x > 18 && x < 102 && y > 42 && y < 162 ? 0.1 : 0));
    const leds = [...row('bottom', wide, 24, 3), ...row('top', wide, 24, 3)];
    const quick = sheetLight(sheet, closeFit, leds, worked);
    const plain = plainLoop(sheet, closeFit, leds, { ...worked, back: worked.back! }, 8);
    const total = plain.reduce((sum, each) => sum + each, 0);
    expect(Math.abs(quick.out / total - 1)).toBeLessThan(0.01);
    const [ours, theirs] = [byRow(quick.backOut, worked), byRow(plain, worked)];
    for (const from of [15, 25, 35, 45]) {
      const patch = (rows: readonly number[]): number =>
        rows.slice(from, from + 9).reduce((sum, each) => sum + each, 0);
      expect(Math.abs(patch(ours) / patch(theirs) - 1)).toBeLessThan(0.01);
    }
  });

  it('counts the same in the preview, over patches', () => {
    const worked = workedBack(plainSheet, 3, (x, y) => (x > 30 && x < 90 && y > 40 && y < 160 ? 0.3 : 0));
    const leds = row('bottom', wide, 12, 3);
    const full = sheetLight(plainSheet, closeFit, leds, worked, fullFollowing);
    const quick = sheetLight(plainSheet, closeFit, leds, worked, previewFollowing);
    expect(Math.abs(quick.out / full.out - 1)).toBeLessThan(0.01);
    const patches = (light: SheetLight): readonly number[] => {
      const rows = byRow(light.backOut, worked);
      return [42, 81, 120].map((from) => rows.slice(from / 3, from / 3 + 10).reduce((sum, each) => sum + each, 0));
    };
    patches(quick).forEach((each, at) => expect(Math.abs(each / patches(full)[at]! - 1)).toBeLessThan(0.03));
  });
});
