import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { packSheets, cutReels } from './index.js';
import { overlapOf } from '../../testing/sheets.js';

describe('pieces on sheets', () => {
  it('never overlap, keep a kerf between them, and stay on the sheet (100 seeded lots)', () => {
    for (let seed = 1; seed <= 100; seed += 1) {
      const random = seededRandom(seed);
      const pieces = Array.from({ length: 1 + Math.floor(random() * 18) }, (_, index) => ({
        label: `p${index}`,
        widthMm: 20 + random() * 900,
        heightMm: 20 + random() * 500,
      }));
      const { placed, tooLarge, sheets } = packSheets(pieces, 1220, 610, 3.2);
      expect(placed.length + tooLarge.length).toBe(pieces.length);
      placed.forEach((piece, index) => {
        expect(piece.x + piece.widthMm).toBeLessThanOrEqual(1220 + 1e-9);
        expect(piece.y + piece.heightMm).toBeLessThanOrEqual(610 + 1e-9);
        expect(piece.sheet).toBeLessThan(sheets);
        for (const other of placed.slice(index + 1)) expect(overlapOf(piece, other, 3.2)).toBe(false);
      });
    }
  });

  it('uses no more than 1.7 times the sheets that area alone would need, plus one', () => {
    const random = seededRandom(77);
    const pieces = Array.from({ length: 60 }, (_, index) => ({
      label: `p${index}`,
      widthMm: 100 + random() * 300,
      heightMm: 50 + random() * 120,
    }));
    const area = pieces.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0);
    expect(packSheets(pieces, 1220, 610, 3.2).sheets).toBeLessThanOrEqual(Math.ceil((1.7 * area) / (1220 * 610)) + 1);
  });

  it('names what is larger than a sheet, whichever way it lies', () => {
    const { tooLarge, sheets } = packSheets(
      [
        { label: 'long', widthMm: 30, heightMm: 1300 },
        { label: 'fits', widthMm: 600, heightMm: 1200 },
      ],
      1220,
      610,
      3.2,
    );
    expect(tooLarge.map(({ label }) => label)).toEqual(['long']);
    expect(sheets).toBe(1);
  });

  it('needs no sheet for nothing', () => expect(packSheets([], 1220, 610, 3).sheets).toBe(0));
});

describe('pieces on reels', () => {
  it('takes each from a reel with enough left, and knows what stays', () => {
    const plan = cutReels(
      [850, 850, 850, 850, 850, 850].map((lengthMm, index) => ({ label: String(index), lengthMm })),
      5000,
      50,
    );
    expect(plan.reels.map(({ pieces }) => pieces.length)).toEqual([5, 1]);
    expect(plan.reels.map(({ leftMm }) => leftMm)).toEqual([750, 4150]);
  });

  it('gives what is longer than a reel, and cannot be cut apart, one to itself; others keep to theirs', () => {
    const plan = cutReels(
      [600, 40, 40].map((lengthMm, index) => ({ label: String(index), lengthMm })),
      50,
      70,
    );
    expect(plan.reels.map(({ pieces }) => pieces.map(({ lengthMm }) => lengthMm))).toEqual([[40], [40], [600]]);
    expect(plan.reels.map(({ leftMm }) => leftMm)).toEqual([10, 10, -550]);
  });

  it('fills gaps with short pieces', () => {
    const plan = cutReels(
      [
        { label: 'a', lengthMm: 4000 },
        { label: 'b', lengthMm: 1000 },
      ],
      5000,
      50,
    );
    expect(plan.reels).toHaveLength(1);
    expect(plan.reels[0]!.leftMm).toBe(0);
  });

  it('cuts what is longer than a reel in parts of whole cuts, so that every metre is bought', () => {
    const plan = cutReels([{ label: 'long', lengthMm: 11_200 }], 5000, 70);
    const parts = plan.reels.flatMap(({ pieces }) => pieces);
    expect(parts.map(({ lengthMm }) => lengthMm)).toEqual([4970, 4970, 1260]);
    expect(plan.joined.map(({ label }) => label)).toEqual(['long']);
    expect(plan.reels).toHaveLength(3);
  });
});
