import { describe, expect, it } from '@jest/globals';
import { seededRandom, sum } from '../../base/maths/index.js';
import type { Point, Ring } from '../../base/outlines/index.js';
import { row, workedBack } from '../../testing/edge-lit-sheets.js';
import { traceSlab } from './slab-trace.js';
import { fullFollowing, sheetLight } from './transport.js';
import type { ClearSheet, SheetLight } from './types.js';
import { hullOf, wallsOf } from './walls.js';

const square: ClearSheet = {
  widthMm: 60,
  heightMm: 60,
  thicknessMm: 4,
  index: 1.49,
  lossPerMm: 0.002,
  silver: null,
  sides: { top: 'polished', right: 'polished', bottom: 'polished', left: 'polished' },
};
const corners: Ring = [
  [0, 0],
  [60, 0],
  [60, 60],
  [0, 60],
];
/** Straight sides, a half circle on top. */
const arch: Ring = [
  [0, 0],
  [60, 0],
  ...Array.from({ length: 41 }, (_, at): Point => {
    const angle = (Math.PI * at) / 40;
    return [30 + 30 * Math.cos(angle), 30 + 30 * Math.sin(angle)];
  }),
];
const even = { emitterMm: 4, gapMm: 0, offsetMm: 0 };
const leds = row('bottom', 60, 6, 3);
const accounted = ({ missed, thrownBack, out, edges, lost, left }: SheetLight): number =>
  missed + thrownBack + out + sum(Object.values(edges)) + lost + left;

describe('the walls of an outline', () => {
  it('look inward, whichever way round it is drawn, and count to the side that they look from', () => {
    for (const ring of [corners, [...corners].reverse()]) {
      const walls = wallsOf(ring);
      expect(walls.map(({ side }) => side).sort()).toEqual(['bottom', 'left', 'right', 'top']);
      for (const { x0, y0, x1, y1, intoX, intoY } of walls) {
        const [middleX, middleY] = [(x0 + x1) / 2, (y0 + y1) / 2];
        expect((30 - middleX) * intoX + (30 - middleY) * intoY).toBeCloseTo(30, 9);
      }
    }
  });

  it('are met where a straight line meets them, the nearest first, and never the one just left', () => {
    const hull = hullOf({ ...square, outline: arch });
    expect(hull(30, 0, 0, 1)!.way).toBeCloseTo(60, 1);
    expect(hull(10, 10, 1, 0)).toMatchObject({ way: 50, wall: { side: 'right' } });
    // From the left wall at 45°: the arch bends toward it.
    const next = hull(0, 30, Math.SQRT1_2, Math.SQRT1_2)!;
    expect(next.way).toBeCloseTo(60 * Math.SQRT1_2, 0);
    expect(next.wall.side).toBe('top');
  });

  it('of a rectangle drawn by its corners are its sides: the same light to the last ray', () => {
    const worked = workedBack(square, 4, (x, y) => (x > 20 && y > 30 ? 0.3 : 0));
    const [plain, drawn] = [square, { ...square, outline: corners }].map((sheet) =>
      sheetLight(sheet, even, leds, worked),
    ) as [SheetLight, SheetLight];
    expect(drawn.out / plain.out).toBeCloseTo(1, 9);
    expect(drawn.edges.top / plain.edges.top).toBeCloseTo(1, 9);
    expect(drawn.edgeCells.every((lm, cell) => Math.abs(lm - plain.edgeCells[cell]!) < 1e-9)).toBe(true);
  });
});

describe('light in a sheet of a drawn outline', () => {
  const sheet: ClearSheet = { ...square, outline: arch };

  it('is all accounted for, and leaves by the outline where it lies', () => {
    const worked = workedBack(sheet, 3, (x, y) => (Math.hypot(x - 30, y - 30) < 15 ? 0.3 : 0));
    const light = sheetLight(sheet, { ...even, gapMm: 1 }, leds, worked);
    expect(Math.abs(accounted(light) / light.emitted - 1)).toBeLessThan(1e-9);
    expect(sum([...light.edgeCells])).toBeCloseTo(sum(Object.values(light.edges)), 9);
    // Nothing leaves in the corners of the rectangle that the arch leaves out.
    light.edgeCells.forEach((lm, cell) => {
      const [x, y] = [((cell % worked.columns) + 0.5) * 3, (Math.floor(cell / worked.columns) + 0.5) * 3];
      if (y > 30 && Math.hypot(x - 30, y - 30) > 33) expect(lm).toBe(0);
    });
  });

  it('is alike on both sides of a symmetrical one', () => {
    const worked = workedBack(sheet, 3, () => 0.1);
    const { backOut } = sheetLight(sheet, even, leds, worked, fullFollowing);
    let [left, right] = [0, 0];
    backOut.forEach((lm, cell) => (cell % worked.columns < worked.columns / 2 ? (left += lm) : (right += lm)));
    expect(Math.abs(left / right - 1)).toBeLessThan(0.01);
  });

  it('agrees with photons followed one by one in three dimensions', () => {
    const worked = workedBack(sheet, 3, (x, y) => (y > 12 && Math.hypot(x - 30, y - 30) < 24 ? 0.15 : 0));
    const quick = sheetLight(sheet, even, leds, worked, fullFollowing);
    const traced = traceSlab(sheet, even, leds, worked, 120_000, seededRandom(3));
    const error = Math.sqrt((1 - traced.out) / (traced.out * traced.photons));
    expect(Math.abs(traced.out / (quick.out / quick.emitted) - 1)).toBeLessThan(0.015 + 3 * error);
    expect(Math.abs(traced.edges + traced.faces - sum(Object.values(quick.edges)) / quick.emitted)).toBeLessThan(0.015);
    // The upper half alone, which only what the arch throws back reaches evenly.
    const upper = (cells: Float64Array): number =>
      cells.reduce((total, lm, cell) => (Math.floor(cell / worked.columns) * 3 >= 30 ? total + lm : total), 0);
    expect(Math.abs(upper(traced.byCell) / (upper(quick.backOut) / quick.emitted) - 1)).toBeLessThan(0.03);
  });
});
