import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { ringArea, type Point } from '../outlines/index.js';
import {
  arcChords,
  arcStart,
  bulgeChords,
  cubicChords,
  ellipseRing,
  endpointArc,
  isSpline,
  quadraticChords,
  splineChords,
} from './index.js';

const flat = 0.005;
const coordinate = fc.double({ min: -200, max: 200, noNaN: true });
const place = fc.tuple(coordinate, coordinate) as fc.Arbitrary<Point>;
const distance = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

/** How far the middle of the widest chord stands off a curve, given the curve by its parameter. */
const worstOff = (chords: readonly Point[], curve: (t: number) => Point): number => {
  let worst = 0;
  const count = chords.length;
  chords.forEach((to, at) => {
    const from = at === 0 ? curve(0) : chords[at - 1]!;
    const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
    worst = Math.max(worst, distance(middle, curve((at + 0.5) / count)));
  });
  return worst;
};

describe('curves in chords', () => {
  it('of the second and third order end where they should and stand off by no more than asked', () => {
    fc.assert(
      fc.property(place, place, place, place, (a, b, c, d) => {
        const cubic = cubicChords(a, b, c, d, flat);
        expect(distance(cubic[cubic.length - 1]!, d)).toBeLessThan(1e-12);
        if (cubic.length < 700)
          expect(
            worstOff(cubic, (t) => {
              const w = [(1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t * t * (1 - t), t ** 3];
              return [0, 1].map(
                (axis) => w[0]! * a[axis]! + w[1]! * b[axis]! + w[2]! * c[axis]! + w[3]! * d[axis]!,
              ) as unknown as Point;
            }),
          ).toBeLessThan(flat * 1.0001);
        const quadratic = quadraticChords(a, b, c, flat);
        expect(distance(quadratic[quadratic.length - 1]!, c)).toBeLessThan(1e-12);
      }),
      { seed: 7, numRuns: 200 },
    );
  });

  it('of a circle lie on it, reach its four sides and enclose its area within the flatness', () => {
    for (const radius of [0.5, 5, 50, 500]) {
      const ring = ellipseRing([10, -5], radius, radius, 0, flat);
      for (const point of ring) expect(distance(point, [10, -5])).toBeCloseTo(radius, 9);
      const xs = ring.map(([x]) => x);
      const ys = ring.map(([, y]) => y);
      expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(2 * radius, 9);
      expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(2 * radius, 9);
      expect(Math.PI * radius ** 2 - ringArea(ring)).toBeLessThan(2 * Math.PI * radius * flat);
    }
  });

  it('of a bulge stand on the circle through both ends whose quarter angle has that tangent', () => {
    fc.assert(
      fc.property(place, place, fc.double({ min: -3, max: 3, noNaN: true }), (from, to, bulge) => {
        fc.pre(distance(from, to) > 1 && Math.abs(bulge) > 0.01);
        const chords = bulgeChords(from, to, bulge, flat);
        expect(distance(chords[chords.length - 1]!, to)).toBeLessThan(1e-12);
        // The sagitta of the arc is the bulge times half its chord.
        const off = Math.max(
          ...[from, ...chords].map(
            ([x, y]) =>
              Math.abs((to[0] - from[0]) * (y - from[1]) - (to[1] - from[1]) * (x - from[0])) / distance(from, to),
          ),
        );
        const sagitta = Math.abs(bulge) <= 1 ? (Math.abs(bulge) * distance(from, to)) / 2 : off;
        expect(Math.abs(off - sagitta)).toBeLessThan(0.02 + sagitta * 1e-3);
      }),
      { seed: 8, numRuns: 200 },
    );
    expect(bulgeChords([0, 0], [1, 0], 0, flat)).toEqual([[1, 0]]);
    expect(bulgeChords([1, 1], [1, 1], 0.5, flat)).toEqual([[1, 1]]);
  });

  it('of an arc told by its ends begin and end there, the short or the long way, to either side', () => {
    for (const large of [false, true])
      for (const sweep of [false, true]) {
        const arc = endpointArc({ from: [0, 0], to: [30, 10], radiusX: 40, radiusY: 25, turnRad: 0.4, large, sweep })!;
        expect(arcStart(arc)[0]).toBeCloseTo(0, 9);
        expect(arcStart(arc)[1]).toBeCloseTo(0, 9);
        const chords = arcChords(arc, flat);
        expect(chords[chords.length - 1]![0]).toBeCloseTo(30, 9);
        expect(chords[chords.length - 1]![1]).toBeCloseTo(10, 9);
        expect(Math.abs(arc.sweepRad) > Math.PI).toBe(large);
        expect(arc.sweepRad > 0).toBe(sweep);
      }
    expect(
      endpointArc({ from: [0, 0], to: [30, 0], radiusX: 0, radiusY: 5, turnRad: 0, large: false, sweep: true }),
    ).toBeNull();
  });

  it('of a spline of one piece are those of its Bézier curve', () => {
    const points: readonly Point[] = [
      [0, 0],
      [10, 40],
      [60, 50],
      [70, -10],
    ];
    const chords = splineChords({ degree: 3, knots: [0, 0, 0, 0, 1, 1, 1, 1], points }, flat);
    expect(chords[0]).toEqual([0, 0]);
    chords.forEach(([x, y], at) => {
      const t = at / (chords.length - 1);
      const w = [(1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t * t * (1 - t), t ** 3];
      expect(x).toBeCloseTo(
        w.reduce((sum, weight, index) => sum + weight * points[index]![0], 0),
        9,
      );
      expect(y).toBeCloseTo(
        w.reduce((sum, weight, index) => sum + weight * points[index]![1], 0),
        9,
      );
    });
  });

  it('of a rational spline that is a quarter circle lie on that circle', () => {
    const quarter = {
      degree: 2,
      knots: [0, 0, 0, 1, 1, 1],
      points: [
        [50, 0],
        [50, 50],
        [0, 50],
      ] as readonly Point[],
      weights: [1, Math.SQRT1_2, 1],
    };
    for (const [x, y] of splineChords(quarter, flat)) expect(Math.hypot(x, y)).toBeCloseTo(50, 9);
  });

  it.each([
    ['too few knots', { degree: 3, knots: [0, 0, 1], points: [[0, 0]] }],
    [
      'falling knots',
      {
        degree: 1,
        knots: [0, 1, 0, 1],
        points: [
          [0, 0],
          [1, 1],
        ],
      },
    ],
    ['no degree', { degree: 0, knots: [0, 1], points: [[0, 0]] }],
    [
      'a weight of nothing',
      {
        degree: 1,
        knots: [0, 0, 1, 1],
        points: [
          [0, 0],
          [1, 1],
        ],
        weights: [0, 1],
      },
    ],
    [
      'knots all alike',
      {
        degree: 1,
        knots: [1, 1, 1, 1],
        points: [
          [0, 0],
          [1, 1],
        ],
      },
    ],
  ])('know that %s make no spline', (_, spline) => expect(isSpline(spline as never)).toBe(false));
});
