import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { factorInto, patternOf, roomFor, solveInPlace, type UpperTriangle } from './ldl.js';

/** A sparse positive definite matrix by its full rows: a graph’s conductances with a little to ground at each node. */
const someMatrix = (seed: number): number[][] => {
  const random = seededRandom(seed);
  const size = 5 + Math.floor(random() * 25);
  const rows = Array.from({ length: size }, () => new Array<number>(size).fill(0));
  for (let branch = 0; branch < 2 * size; branch += 1) {
    const [a, b] = [Math.floor(random() * size), Math.floor(random() * size)];
    if (a === b) continue;
    const siemens = 0.01 + random() * 10;
    rows[a]![a]! += siemens;
    rows[b]![b]! += siemens;
    rows[a]![b]! -= siemens;
    rows[b]![a]! -= siemens;
  }
  rows.forEach((row, at) => (row[at]! += 0.001 + random()));
  return rows;
};

/** Its upper triangle by columns, with the numbers beside. */
const upperOf = (rows: readonly (readonly number[])[]): { triangle: UpperTriangle; values: Float64Array } => {
  const [starts, places, values]: [number[], number[], number[]] = [[0], [], []];
  rows.forEach((_, column) => {
    for (let row = 0; row <= column; row += 1)
      if (rows[row]![column] !== 0) {
        places.push(row);
        values.push(rows[row]![column]!);
      }
    starts.push(places.length);
  });
  return {
    triangle: { size: rows.length, starts: Int32Array.from(starts), rows: Int32Array.from(places) },
    values: Float64Array.from(values),
  };
};

describe('a sparse factor', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('solves what it was made from (seed %d)', (seed) => {
    const rows = someMatrix(seed);
    const { triangle, values } = upperOf(rows);
    const pattern = patternOf(triangle);
    const factor = roomFor(pattern);
    expect(factorInto(factor, triangle, values, pattern)).toBe(true);
    const random = seededRandom(seed + 100);
    const wanted = rows.map(() => random() - 0.5);
    const right = Float64Array.from(rows, (row) => row.reduce((sum, value, at) => sum + value * wanted[at]!, 0));
    solveInPlace(right, factor, pattern);
    right.forEach((value, at) => expect(value).toBeCloseTo(wanted[at]!, 9));
  });

  it('holds L D Lᵀ to be the matrix, entry by entry', () => {
    const rows = someMatrix(21);
    const { triangle, values } = upperOf(rows);
    const pattern = patternOf(triangle);
    const factor = roomFor(pattern);
    factorInto(factor, triangle, values, pattern);
    const size = rows.length;
    const lower = rows.map((_, at) => rows.map((__, column): number => (at === column ? 1 : 0)));
    for (let column = 0; column < size; column += 1)
      for (let place = pattern.columnStarts[column]!; place < pattern.columnStarts[column + 1]!; place += 1)
        lower[factor.lowerRows[place]!]![column] = factor.lower[place]!;
    for (let row = 0; row < size; row += 1)
      for (let column = 0; column <= row; column += 1) {
        let sum = 0;
        for (let inner = 0; inner <= column; inner += 1)
          sum += lower[row]![inner]! * factor.diagonal[inner]! * lower[column]![inner]!;
        expect(sum).toBeCloseTo(rows[row]![column]!, 9);
      }
  });

  it('is used again for other numbers in the same places', () => {
    const rows = someMatrix(5);
    const { triangle, values } = upperOf(rows);
    const pattern = patternOf(triangle);
    const factor = roomFor(pattern);
    factorInto(factor, triangle, values, pattern);
    factorInto(
      factor,
      triangle,
      values.map((value) => 3 * value),
      pattern,
    );
    const right = Float64Array.from(rows, (row) => row.reduce((sum, value) => sum + value, 0));
    solveInPlace(right, factor, pattern);
    right.forEach((value) => expect(value).toBeCloseTo(1 / 3, 9));
  });

  it('counts what is given twice in one place together', () => {
    const triangle: UpperTriangle = { size: 2, starts: Int32Array.of(0, 1, 4), rows: Int32Array.of(0, 1, 0, 0) };
    const pattern = patternOf(triangle);
    const factor = roomFor(pattern);
    // [[2, -1], [-1, 3]], its -1 in two halves.
    expect(factorInto(factor, triangle, Float64Array.of(2, 3, -0.4, -0.6), pattern)).toBe(true);
    const right = Float64Array.of(1, 2);
    solveInPlace(right, factor, pattern);
    expect(right[0]).toBeCloseTo(1, 12);
    expect(right[1]).toBeCloseTo(1, 12);
  });

  it('says when a matrix is not positive definite', () => {
    const { triangle, values } = upperOf([
      [1, 2],
      [2, 1],
    ]);
    const pattern = patternOf(triangle);
    expect(factorInto(roomFor(pattern), triangle, values, pattern)).toBe(false);
  });

  it('fills in nothing along a line, from either end', () => {
    const size = 50;
    const line = Array.from({ length: size }, (_, row) =>
      Array.from({ length: size }, (__, column) => (row === column ? 2.1 : Math.abs(row - column) === 1 ? -1 : 0)),
    );
    const { triangle } = upperOf(line);
    expect(patternOf(triangle).columnStarts[size]).toBe(size - 1);
  });
});
