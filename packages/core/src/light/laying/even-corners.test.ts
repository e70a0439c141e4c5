import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { shiftPoints, type Point, type Ring } from '../../base/outlines/index.js';
import { evenCorners, type CornerMoves, type CorneredLine } from './index.js';

const apart = ([ax, ay]: Point, [bx, by]: Point): number => Math.hypot(ax - bx, ay - by);

const movedBy = ({ points, closed, corners }: CorneredLine, { by }: CornerMoves): Ring =>
  shiftPoints(
    points,
    closed,
    corners.map((point, at) => ({ point, by: by[at]! })),
  );

/** Lengths of straight stretches between the points of a ring or of a line. */
const sidesOf = (points: Ring, closed: boolean): readonly number[] =>
  points.flatMap((point, at) => {
    const next = points[at + 1] ?? (closed ? points[0] : undefined);
    return next === undefined ? [] : [apart(point, next)];
  });

const exactly = (roomMm: number, mm: number) => ({ roomMm, leastMm: mm - 0.1, mostMm: mm + 0.1 });

describe('corners moved for whole cuts', () => {
  it('of a rectangle move by half of what each side lacks, each way', () => {
    const points: Ring = [
      [0, 0],
      [230, 0],
      [230, 120],
      [0, 120],
    ];
    const line: CorneredLine = {
      points,
      closed: true,
      corners: [0, 1, 2, 3],
      stretches: [exactly(230, 225), exactly(120, 125), exactly(230, 225), exactly(120, 125)],
      freeStart: false,
      freeEnd: false,
    };
    const found = evenCorners(line)!;
    for (const [x, y] of found.by) {
      expect(Math.abs(x)).toBeCloseTo(2.45, 1);
      expect(Math.abs(y)).toBeCloseTo(2.45, 1);
    }
    expect(found.movedMm).toBeCloseTo(Math.hypot(2.45, 2.45), 1);
    sidesOf(movedBy(line, found), true).forEach((side, at) => {
      expect(Math.abs(side - (at % 2 === 0 ? 225 : 125))).toBeLessThan(0.12);
    });
  });

  it('stay where every stretch is as it should be', () => {
    const points: Ring = [
      [0, 0],
      [100, 0],
      [100, 50],
    ];
    const stretches = [exactly(100, 100), null];
    const found = evenCorners({ points, closed: false, corners: [1], stretches, freeStart: true, freeEnd: false });
    expect(found).toEqual({ by: [[0, 0]], longerMm: [0, 0], startMm: 0, endMm: 0, movedMm: 0 });
  });

  it('of an open line share with its free ends; an end that is not free leaves all to the corner', () => {
    const points: Ring = [
      [0, 0],
      [100, 0],
      [100, 60],
    ];
    const line = { points, closed: false, corners: [1], stretches: [exactly(100, 110), null] };
    const shared = evenCorners({ ...line, freeStart: true, freeEnd: false })!;
    expect(shared.startMm).toBeCloseTo(4.95, 1);
    expect(shared.by[0]![0]).toBeCloseTo(4.95, 1);
    const held = evenCorners({ ...line, freeStart: false, freeEnd: false })!;
    expect(held.startMm).toBe(0);
    expect(held.by[0]![0]).toBeCloseTo(9.9, 1);
  });

  it('come to what is wanted for zigzags by chance, or to nothing at all', () => {
    const random = seededRandom(29);
    let made = 0;
    for (let turn = 0; turn < 60; turn += 1) {
      const count = 4 + Math.floor(5 * random());
      const points = Array.from({ length: count }, (_, at): Point => [
        at * 90 + 20 * random(),
        (at % 2) * 110 + 25 * random(),
      ]);
      const sides = sidesOf(points, false);
      const wanted = sides.map((side) => exactly(side, Math.round(side / 25) * 25));
      const line: CorneredLine = {
        points,
        closed: false,
        corners: Array.from({ length: count - 2 }, (_, at) => at + 1),
        stretches: wanted,
        freeStart: true,
        freeEnd: true,
      };
      const found = evenCorners(line);
      if (found === null) continue;
      made += 1;
      sidesOf(movedBy(line, found), false).forEach((side, at) => {
        const out = (at === 0 ? found.startMm : 0) + (at === sides.length - 1 ? found.endMm : 0);
        expect(Math.abs(side + out - Math.round(sides[at]! / 25) * 25)).toBeLessThan(0.12);
      });
      // No corner needs to go farther than the stretches at it lack, and a little.
      expect(found.movedMm).toBeLessThan(25);
    }
    expect(made).toBeGreaterThan(55);
  });

  it('cannot make a triangle whose sides do not meet', () => {
    const points: Ring = [
      [0, 0],
      [100, 0],
      [50, 80],
    ];
    const stretches = [exactly(100, 300), exactly(94, 94), exactly(94, 94)];
    expect(
      evenCorners({ points, closed: true, corners: [0, 1, 2], stretches, freeStart: false, freeEnd: false }),
    ).toBeNull();
  });
});
