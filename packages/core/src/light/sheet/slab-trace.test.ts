import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { row, workedBack } from '../../testing/edge-lit-sheets.js';
import { traceSlab } from './slab-trace.js';
import { fullFollowing, sheetLight } from './transport.js';
import type { ClearSheet, SideFinish, WorkedFaces } from './types.js';

const photons = 120_000;
const small = (finish: SideFinish, more: Partial<ClearSheet> = {}): ClearSheet => ({
  widthMm: 40,
  heightMm: 60,
  thicknessMm: 4,
  index: 1.49,
  lossPerMm: 0.002,
  silver: null,
  sides: { top: finish, right: finish, bottom: 'polished', left: finish },
  ...more,
});
/** Light all over the edge, as the quick way takes it to be: where in its zigzag a ray enters is left to chance. */
const even = { emitterMm: 4, gapMm: 0, offsetMm: 0 };
const fit = { emitterMm: 2.8, gapMm: 0.8, offsetMm: 0.4 };
const leds = row('bottom', 40, 4, 3);

/** Shares by squares of 10 mm. */
const squares = (cells: Float64Array, { columns, rows, cellMm }: WorkedFaces): readonly number[] => {
  const wide = 40 / 10;
  const sums = new Array<number>(wide * 6).fill(0);
  for (let cell = 0; cell < columns * rows; cell += 1) {
    const [x, y] = [((cell % columns) + 0.5) * cellMm, (Math.floor(cell / columns) + 0.5) * cellMm];
    sums[Math.floor(y / 10) * wide + Math.floor(x / 10)]! += cells[cell]!;
  }
  return sums;
};

describe('the quick way against photons in three dimensions', () => {
  it.each<[string, ClearSheet, number]>([
    ['polished', small('polished'), 0.3],
    ['polished and hardly worked', small('polished'), 0.03],
    ['silvered', small('polished', { silver: 0.9 }), 0.3],
    ['taped white at its sides', small('white'), 0.3],
    ['sawn', small('sawn'), 0.2],
  ])('agrees in a sheet %s', (_, sheet, chance) => {
    const worked = workedBack(sheet, 2, (x, y) => (x > 10 && x < 36 && y > 10 && y < 52 ? chance : 0));
    // Few LEDs: as many rays as a whole row would send.
    const quick = sheetLight(sheet, even, leds, worked, { ...fullFollowing, azimuths: 1200 });
    const traced = traceSlab(sheet, even, leds, worked, photons, seededRandom(11));
    const share = (lumens: number): number => lumens / quick.emitted;
    // Four standard errors, and a hundredth and a half of it for what the quick way takes hits to be: each somewhere between two
    // others, where they are as far apart as the last.
    const near = (found: number, seen: number): void =>
      expect(Math.abs(found - seen)).toBeLessThan(0.015 * seen + 4 * Math.sqrt(Math.max(seen, 1e-4) / photons));
    near(share(quick.missed), traced.missed);
    near(share(quick.thrownBack), traced.thrownBack);
    near(share(quick.out), traced.out);
    near(share(quick.lost), traced.lost);
    const { top, right, bottom, left } = quick.edges;
    near(share(top + right + bottom + left), traced.edges + traced.faces);
    const [found, seen] = [squares(quick.backOut, worked), squares(traced.byCell, worked)];
    found.forEach((lumens, at) => near(share(lumens), seen[at]!));
  });

  it('agrees within three hundredths where the LEDs are lower than the sheet is thick, off its middle and off its edge', () => {
    const sheet = small('polished');
    const worked = workedBack(sheet, 2, (x, y) => (x > 10 && x < 36 && y > 10 && y < 52 ? 0.3 : 0));
    const quick = sheetLight(sheet, fit, leds, worked, { ...fullFollowing, azimuths: 1200 });
    const traced = traceSlab(sheet, fit, leds, worked, photons, seededRandom(11));
    expect(Math.abs(quick.missed / quick.emitted - traced.missed)).toBeLessThan(0.004);
    expect(Math.abs(quick.out / quick.emitted / traced.out - 1)).toBeLessThan(0.03);
  });

  it('lets no photon out by a polished face that is not worked', () => {
    const sheet = small('polished');
    const { faces } = traceSlab(
      sheet,
      fit,
      leds,
      workedBack(sheet, 4, () => 0),
      20_000,
      seededRandom(3),
    );
    expect(faces).toBe(0);
  });
});
