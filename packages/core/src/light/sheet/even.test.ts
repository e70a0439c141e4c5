import { describe, expect, it } from '@jest/globals';
import { evenWorking } from './even.js';
import { byRow, closeFit, plainSheet, row, workedBack } from '../../testing/edge-lit-sheets.js';
import { sheetLight } from './transport.js';
import type { SheetSide } from './types.js';

const cellMm = 4;
const { widthMm: wide } = plainSheet;

/** A field of engraving in the middle of the sheet, lit from some edges. */
const evened = (sides: readonly SheetSide[], chance: number) => {
  const faces = workedBack(plainSheet, cellMm, (x, y) => (x > 20 && x < 100 && y > 30 && y < 170 ? 1 : 0));
  const mask = Uint8Array.from(faces.back!);
  const leds = sides.flatMap((side) => row(side, wide, 24));
  const lightOf = (share: Float32Array): Float64Array =>
    sheetLight(plainSheet, closeFit, leds, { ...faces, back: share.map((each) => each * chance) }).backOut;
  const asked = { ...faces, mask, patch: 5, least: 0.02, rounds: 10 };
  return { faces, mask, lightOf, found: evenWorking(lightOf, asked) };
};

describe('working that is graded to give even light', () => {
  it('from one edge is dense far from the strip and thin near it, and evens what fell to a third', () => {
    const { faces, mask, lightOf, found } = evened(['bottom'], 0.5);
    const before = byRow(lightOf(Float32Array.from(mask)), faces);
    const [first, last] = [before[8]!, before[41]!];
    expect(last / first).toBeLessThan(0.45);
    expect(found.evenness).toBeGreaterThan(0.9);
    const shares = byRow(Float64Array.from(found.share), faces);
    expect(shares[10]!).toBeLessThan(0.5 * shares[40]!);
    expect(found.dimmestTimes).toBeGreaterThan(1);
    expect(Math.max(...found.share)).toBeCloseTo(1, 6);
  });

  it('of one slope without loss would be 1 / (L + c − x): many slopes keep near it', () => {
    const { faces, found } = evened(['bottom'], 0.25);
    const shares = byRow(Float64Array.from(found.share), faces);
    // Rows 8 to 41 are worked; fit c from both ends, and look in between.
    const [near, far] = [shares[8]!, shares[41]!];
    const c = (33 * near) / (far - near);
    for (const at of [16, 24, 32]) {
      const wanted = (far * c) / (c + 41 - at);
      expect(Math.abs(shares[at]! / wanted - 1)).toBeLessThan(0.15);
    }
  });

  it('from two edges is thinnest at both and densest in the middle', () => {
    const { faces, found } = evened(['bottom', 'top'], 0.5);
    expect(found.evenness).toBeGreaterThan(0.9);
    const shares = byRow(Float64Array.from(found.share), faces);
    const middle = (shares[24]! + shares[25]!) / 2;
    expect(shares[9]!).toBeLessThan(0.9 * middle);
    expect(Math.abs(shares[9]! / shares[40]! - 1)).toBeLessThan(0.1);
  });

  it('of nothing is nothing, and even', () => {
    const asked = { columns: 3, rows: 2, mask: new Uint8Array(6), patch: 2, least: 0.1, rounds: 4 };
    expect(evenWorking(() => new Float64Array(6), asked)).toMatchObject({ evenness: 1, share: new Float32Array(6) });
  });
});
