import { describe, expect, it } from '@jest/globals';
import { seededRandom, solveLinear } from './index.js';

type Matrix = readonly (readonly number[])[];
const times = (matrix: Matrix, x: Float64Array): Float64Array =>
  Float64Array.from(matrix, (row) => row.reduce((sum, value, at) => sum + value * x[at]!, 0));

describe('x = b + M x', () => {
  it('is solved as by hand where it is small', () => {
    // x = 1 + y/2, y = 2 + x/4: x = 16/7, y = 18/7.
    const matrix = [
      [0, 0.5],
      [0.25, 0],
    ];
    const x = solveLinear((each) => times(matrix, each), Float64Array.of(1, 2), 1e-12);
    expect(x[0]).toBeCloseTo(16 / 7, 10);
    expect(x[1]).toBeCloseTo(18 / 7, 10);
  });

  it('is the sum of all echoes of light that loses a share each time', () => {
    for (const kept of [0.1, 0.5, 0.9, 0.99]) {
      const x = solveLinear((each) => each.map((value) => kept * value), Float64Array.of(3, 0, 7), 1e-10);
      expect([...x].map((value) => Math.round(1e6 * value * (1 - kept)) / 1e6)).toEqual([3, 0, 7]);
    }
  });

  it('holds to its residual for a shuffled operator that throws most of it back', () => {
    const random = seededRandom(5);
    const size = 40;
    const raw = Array.from({ length: size }, () => Array.from({ length: size }, () => random()));
    // Columns that send 0.95 of what they get to all others.
    const sums = raw[0]!.map((_, column) => raw.reduce((sum, row) => sum + row[column]!, 0));
    const matrix = raw.map((row) => row.map((value, column) => (0.95 * value) / sums[column]!));
    const b = Float64Array.from({ length: size }, () => random());
    const x = solveLinear((each) => times(matrix, each), b, 1e-8);
    const image = times(matrix, x);
    const length = Math.hypot(...b);
    expect(Math.hypot(...x.map((value, at) => value - b[at]! - image[at]!)) / length).toBeLessThan(1e-7);
    // What is given in is a twentieth of what there is: energy.
    const total = (values: Float64Array): number => values.reduce((sum, value) => sum + value, 0);
    expect(total(b) / total(x)).toBeCloseTo(0.05, 6);
  });

  it('is nothing where nothing is given, and b where nothing comes back', () => {
    expect([...solveLinear((x) => x, new Float64Array(3), 1e-6)]).toEqual([0, 0, 0]);
    const b = Float64Array.of(1, -2, 3);
    expect([...solveLinear((x) => x.map(() => 0), b, 1e-6)].map((value) => Math.round(1e9 * value) / 1e9)).toEqual([
      1, -2, 3,
    ]);
  });

  it('stops after as many steps as it may take', () => {
    let asked = 0;
    solveLinear(
      (x) => {
        asked += 1;
        return x.map((_, at) => 0.999 * x[(at + 1) % x.length]!);
      },
      Float64Array.from({ length: 200 }, (_, at) => at % 7),
      1e-14,
      12,
    );
    expect(asked).toBeLessThanOrEqual(12);
  });
});
