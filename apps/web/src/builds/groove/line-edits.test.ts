import { measureLine, type LitLine } from '@vitrum/core';
import { describe, expect, it } from '@jest/globals';
import {
  placesOf,
  pointAfter,
  pointTo,
  toDrawOn,
  withNewLine,
  withoutLine,
  withoutPoint,
  type Drawn,
} from './line-edits';

const drawn: Drawn = {
  name: 'two',
  scale: 1,
  lines: [
    { points: [0, 0, 100, 0, 100, 40], closed: false },
    { points: [0, 50, 40, 50, 40, 90, 0, 90], closed: true },
  ],
};
const measure = { scale: 1, cutPitchMm: 25 };
const lengthOf = ({ lines }: Drawn, line: number): number =>
  measureLine(placesOf(lines[line]!), lines[line]!.closed).lengthMm;

describe('lines drawn by hand', () => {
  it('have a point put elsewhere, the others stay', () => {
    const next = pointTo(drawn, 0, 1, [90, 10], measure);
    expect(next.lines[0]!.points).toEqual([0, 0, 90, 10, 100, 40]);
    expect(next.lines[1]).toBe(drawn.lines[1]);
  });

  it('have an end that comes to whole cuts where it is near to them', () => {
    expect(lengthOf(pointTo(drawn, 0, 2, [100, 52], measure), 0)).toBeCloseTo(150, 0);
    // Too far from the next mark it stays where it is put.
    expect(lengthOf(pointTo(drawn, 0, 2, [100, 62], measure), 0)).toBeCloseTo(162, 6);
    expect(lengthOf(pointTo(drawn, 0, 0, [-11, 0], measure), 0)).toBeCloseTo(150, 0);
    // On the carrier twice as large, the cut is half as long in the drawing.
    expect(lengthOf(pointTo(drawn, 0, 2, [100, 51], { scale: 2, cutPitchMm: 25 }), 0)).toBeCloseTo(150, 0);
  });

  it('have points more and fewer, lines more and fewer', () => {
    expect(pointAfter(drawn, 0, 0, [50, 5]).lines[0]!.points).toEqual([0, 0, 50, 5, 100, 0, 100, 40]);
    expect(withoutPoint(drawn, 0, 1).lines[0]!.points).toEqual([0, 0, 100, 40]);
    expect(withoutLine(drawn, 0).lines).toEqual([drawn.lines[1]]);
    const one = withoutPoint(withoutPoint(drawn, 0, 1), 0, 1);
    expect(one.lines).toHaveLength(1);
    expect(lengthOf(withNewLine(drawn, 200), 2)).toBeCloseTo(200, 6);
  });

  it('are made of lines as they are lit, by few points', () => {
    const circle: LitLine = {
      firstPoint: 0,
      number: 1,
      closed: true,
      layer: '',
      lengthMm: 2 * Math.PI * 60,
      points: Array.from({ length: 200 }, (_, at) => [
        10 + 60 * Math.cos((at * Math.PI) / 100),
        60 * Math.sin((at * Math.PI) / 100),
      ]),
    };
    const made = toDrawOn([circle], [10, 0], 'ring');
    const [line] = made.lines;
    expect(line!.closed).toBe(true);
    expect(line!.points.length / 2).toBeLessThan(40);
    for (const [x, y] of placesOf(line!)) expect(Math.hypot(x, y)).toBeCloseTo(60, 0);
  });
});
