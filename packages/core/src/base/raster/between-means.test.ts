import { describe, expect, it } from '@jest/globals';
import { betweenMeans } from './index.js';

const edges = [0, 1, 3, 4.5, 9, 10];
const parabola = (x: number): number => 5 + 0.7 * x - 0.2 * x * x;
/** Integral of the parabola over the cell, over its width. */
const meanOf = (low: number, high: number): number => {
  const upTo = (x: number): number => 5 * x + 0.35 * x * x - (0.2 * x ** 3) / 3;
  return (upTo(high) - upTo(low)) / (high - low);
};
const means = edges.slice(1).map((high, cell) => meanOf(edges[cell]!, high));

describe('values between the means of cells that are not alike', () => {
  it('are exact on a parabola, both ways and at the ends', () => {
    const yEdges = [-2, -1, 1.5, 6];
    const slope = (y: number): number => 2 + 0.3 * y;
    const both = yEdges.slice(1).flatMap((high, row) => means.map((mean) => mean * slope((high + yEdges[row]!) / 2)));
    const [wantedX, wantedY] = [
      [0, 0.2, 3, 7, 10, 10.5],
      [-2, 0, 5.9],
    ];
    const found = betweenMeans(both, edges, yEdges, wantedX, wantedY);
    wantedY.forEach((y, row) =>
      wantedX.forEach((x, column) =>
        expect(found[row * wantedX.length + column]).toBeCloseTo(parabola(x) * slope(y), 10),
      ),
    );
  });

  it('keep every mean of any row, and their slope runs through every edge', () => {
    const steep = [9, 4, 3.5, 3.2, 8];
    const at = (xs: readonly number[]): Float64Array => betweenMeans(steep, edges, [0, 1], xs, [0.3]);
    steep.forEach((mean, cell) => {
      const [low, high] = [edges[cell]!, edges[cell + 1]!];
      // Simpson’s rule is exact on a parabola.
      const [a, b, c] = at([low, (low + high) / 2, high - 1e-12]);
      expect((a! + 4 * b! + c!) / 6).toBeCloseTo(mean, 8);
    });
    for (const edge of edges.slice(1, -1)) {
      const step = 1e-5;
      const [far, near, here, next, beyond] = at([edge - 2 * step, edge - step, edge, edge + step, edge + 2 * step]);
      expect((3 * here! - 4 * near! + far!) / (2 * step)).toBeCloseTo(
        (-3 * here! + 4 * next! - beyond!) / (2 * step),
        4,
      );
    }
  });

  it('are a straight line through two cells, and flat over one', () => {
    expect([...betweenMeans([1, 3], [0, 2, 4], [0, 1], [1, 2, 4], [0])]).toEqual(
      [1, 2, 4].map((x) => expect.closeTo(x, 12)),
    );
    expect([...betweenMeans([7], [0, 2], [0, 1], [0, 5], [0, 3])]).toEqual([7, 7, 7, 7]);
  });
});
