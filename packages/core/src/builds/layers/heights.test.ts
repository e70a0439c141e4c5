import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue, type Spacer } from '../../document/catalogue/index.js';
import { mostPieces, pileFor } from './heights.js';

const stock = shippedCatalogue.spacers;
const piece = (heightMm: number): Spacer => ({ ...stock[0]!, id: `s${heightMm}`, heightMm });

/** Every sum of up to so many pieces, with the fewest that make it: the plain way. */
const allSums = (heights: readonly number[], most: number): Map<number, number> => {
  let reached = new Map<number, number>([[0, 0]]);
  for (let count = 1; count <= most; count += 1) {
    const next = new Map(reached);
    for (const [sum, pieces] of reached)
      if (pieces === count - 1)
        for (const height of heights) {
          const higher = Math.round(10 * (sum + height)) / 10;
          if (!next.has(higher)) next.set(higher, count);
        }
    reached = next;
  }
  return reached;
};

describe('piles of spacers', () => {
  it('come as near to every height as any pile of the stock, with as few pieces', () => {
    const sums = allSums(
      stock.map(({ heightMm }) => heightMm),
      mostPieces,
    );
    for (let wanted = 0.5; wanted < 70; wanted += 0.7) {
      const pile = pileFor(wanted, stock);
      const nearest = Math.min(...[...sums.keys()].map((sum) => Math.abs(sum - wanted)));
      const fewest = Math.min(
        ...[...sums].filter(([sum]) => Math.abs(sum - wanted) < nearest + 0.05).map(([, pieces]) => pieces),
      );
      const pieces = pile.pieces.reduce((sum, { count }) => sum + count, 0);
      expect([wanted, Math.abs(pile.errorMm) < nearest + 0.05, pieces]).toEqual([wanted, true, fewest]);
      expect(pile.pieces.reduce((sum, { spacer, count }) => sum + count * spacer.heightMm, 0)).toBeCloseTo(
        pile.heightMm,
        6,
      );
    }
  });

  it('say how far they are off a height that nothing makes', () => {
    expect(pileFor(10, [piece(4)])).toMatchObject({ heightMm: 8, errorMm: -2 });
    expect(pileFor(0.02, stock).pieces).toEqual([]);
    expect(pileFor(5, [])).toMatchObject({ heightMm: 0, errorMm: -5 });
    // No pile of more pieces than stand.
    const short = pileFor(200, [piece(3)]);
    expect(short.heightMm).toBe(3 * mostPieces);
  });
});
