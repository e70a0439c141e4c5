import { describe, expect, it } from '@jest/globals';
import { fromByteArray, toByteArray } from 'base64-js';
import { outlineArea, pointsOf, type Point } from '../../base/outlines/index.js';
import { cutAlong, mostLinePoints } from './cut-along.js';
import type { PictureDesign } from './picture-schema.js';

/** Each place is as red as its column and as green as its row. */
const picture: PictureDesign = {
  name: 'shore.jpg',
  columns: 40,
  rows: 20,
  rgb: fromByteArray(
    Uint8Array.from({ length: 3 * 40 * 20 }, (_, at) => {
      const place = Math.floor(at / 3);
      return [place % 40, Math.floor(place / 40), 0][at % 3]!;
    }),
  ),
};
const cut = (line: readonly Point[], widthMm = 400) => {
  const found = cutAlong(picture, line, widthMm);
  if (!found.ok) throw new Error(found.problems[0]!.message);
  return found.value;
};
const problem = (line: readonly Point[], widthMm = 400) => {
  const found = cutAlong(picture, line, widthMm);
  return found.ok ? null : found.problems[0]!.message;
};
const quarter: readonly Point[] = [
  [0.5, 0],
  [1, 0],
  [1, 0.5],
  [0.5, 0.5],
];

describe('a picture cut out along a line', () => {
  it('keeps its size: the right upper quarter of 400 × 200 mm is 200 × 100 mm, about its middle', () => {
    const { rings, widthMm, heightMm } = cut(quarter);
    expect([widthMm, heightMm]).toEqual([200, 100]);
    expect(rings).toEqual([[-100, 50, 100, 50, 100, -50, -100, -50]]);
  });

  it('keeps the part of the picture that it reaches over, as it was', () => {
    const { picture: part } = cut(quarter);
    expect([part.columns, part.rows, part.name]).toEqual([20, 10, 'shore.jpg']);
    const bytes = toByteArray(part.rgb);
    expect([...bytes.subarray(0, 3)]).toEqual([20, 0, 0]);
    expect([...bytes.subarray(bytes.length - 3)]).toEqual([39, 9, 0]);
  });

  it('has the area that was gone round, whatever its shape', () => {
    const { rings } = cut([
      [0.1, 0.9],
      [0.5, 0.1],
      [0.9, 0.9],
    ]);
    // A triangle: half of 320 × 160 mm.
    expect(Math.abs(outlineArea(rings.map((ring) => pointsOf(ring, 1))))).toBeCloseTo(25_600, 1);
  });

  it.each([5, 14, 120])('goes once round whatever is drawn by hand with %d points', (count) => {
    const { rings } = cut(
      Array.from({ length: count }, (_, at): Point => {
        const turn = (2 * Math.PI * at) / count;
        return [0.5 + 0.3641 * Math.cos(turn), 0.5217 + (0.31 + 0.03 * Math.sin(5 * turn)) * Math.sin(turn)];
      }),
      200,
    );
    expect(rings[0]).toHaveLength(2 * count);
  });

  it('holds points past the edge at the edge', () =>
    expect(
      cut([
        [-0.2, -1],
        [2, -0.1],
        [1.4, 3],
        [-1, 1.2],
      ]).widthMm,
    ).toBe(400));

  it('never keeps less than a picture must have, nor more places than there were', () => {
    const { picture: part } = cut([
      [0.5, 0.1],
      [0.52, 0.1],
      [0.52, 0.9],
      [0.5, 0.9],
    ]);
    expect(part.columns).toBe(2);
    expect(part.rgb).toHaveLength(4 * part.columns * part.rows);
  });

  it.each<readonly [string, readonly Point[], number, string]>([
    ['of two points', quarter.slice(0, 2), 400, 'fewer than three points'],
    [
      'of too many',
      Array.from({ length: mostLinePoints + 1 }, (_, at): Point => [at / 500, (at % 2) / 2]),
      400,
      'more than',
    ],
    ['that crosses itself', [quarter[0]!, quarter[2]!, quarter[1]!, quarter[3]!], 400, 'crosses itself'],
    [
      'that goes there and back',
      [
        [0.1, 0.1],
        [0.9, 0.1],
        [0.5, 0.1],
      ],
      400,
      'next to nothing',
    ],
    ['on a picture of no width', quarter, 0, '5 to 3000 mm'],
  ])('is refused for a line %s, in a sentence', (_, line, widthMm, words) =>
    expect(problem(line, widthMm)).toContain(words),
  );
});
