import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { offset, rectRing, unite, type Point, type Ring } from '../outlines/index.js';
import { bulgeChords, ellipseRing, findArcs, flatnessMm, type BulgedPoint } from './index.js';

/** The ring again, from its corners and bulges. */
const drawn = (points: readonly BulgedPoint[]): Ring =>
  points.flatMap(({ at, bulge }, index) => bulgeChords(at, points[(index + 1) % points.length]!.at, bulge, 0.001));

const distanceToRing = ([x, y]: Point, ring: Ring): number => {
  let least = Infinity;
  let [px, py] = ring[ring.length - 1]!;
  for (const [qx, qy] of ring) {
    const [dx, dy] = [qx - px, qy - py];
    const length2 = dx * dx + dy * dy;
    const t = length2 > 0 ? Math.min(1, Math.max(0, ((x - px) * dx + (y - py) * dy) / length2)) : 0;
    least = Math.min(least, Math.hypot(x - px - t * dx, y - py - t * dy));
    [px, py] = [qx, qy];
  }
  return least;
};

const bulges = (ring: Ring): readonly number[] => {
  const found = findArcs(ring);
  return found.kind === 'line' ? found.points.map(({ bulge }) => bulge) : [];
};

describe('arcs found again', () => {
  it('in a circle are the circle', () => {
    const found = findArcs(unite([ellipseRing([12, -7], 30, 30, 0, flatnessMm)])[0]!);
    expect(found.kind).toBe('circle');
    if (found.kind !== 'circle') return;
    expect(found.radius).toBeCloseTo(30, 2);
    expect(found.centre[0]).toBeCloseTo(12, 2);
    expect(found.centre[1]).toBeCloseTo(-7, 2);
  });

  it('in a rounded rectangle are its four corners, quarter circles each', () => {
    const ring = offset([rectRing({ x: 0, y: 0, width: 60, height: 30 })], 5)[0]!;
    const round = bulges(ring).filter((bulge) => bulge !== 0);
    expect(round).toHaveLength(4);
    for (const bulge of round) expect(bulge).toBeCloseTo(Math.tan(Math.PI / 8), 3);
    expect(bulges(ring)).toHaveLength(8);
  });

  it('bend inwards where the outline does', () => {
    const ring: Ring = [...bulgeChords([0, 0], [40, 0], 0.3, flatnessMm), [40, 30], [0, 30], [0, 0]];
    expect(bulges(ring).some((bulge) => Math.abs(bulge - 0.3) < 0.01)).toBe(true);
    const inwards: Ring = [...bulgeChords([0, 0], [40, 0], -0.3, flatnessMm), [40, 30], [0, 30], [0, 0]];
    expect(bulges(inwards).some((bulge) => Math.abs(bulge + 0.3) < 0.01)).toBe(true);
  });

  it('are none in what was drawn with corners', () => {
    const octagon = Array.from({ length: 8 }, (_, at): Point => [
      20 * Math.cos((at * Math.PI) / 4),
      20 * Math.sin((at * Math.PI) / 4),
    ]);
    expect(bulges(octagon)).toEqual(Array.from({ length: 8 }, () => 0));
    expect(bulges(rectRing({ x: 0, y: 0, width: 9, height: 5 }))).toEqual([0, 0, 0, 0]);
  });

  it('keep every point of any outline of bows within 0.005 mm', () => {
    const bow = fc.tuple(
      fc.double({ min: 15, max: 60, noNaN: true }),
      fc.double({ min: -0.35, max: 0.9, noNaN: true }),
    );
    fc.assert(
      fc.property(fc.array(bow, { minLength: 3, maxLength: 8 }), (bows) => {
        const corners = bows.map(([radius], at): Point => {
          const angle = (2 * Math.PI * at) / bows.length;
          return [radius * Math.cos(angle), radius * Math.sin(angle)];
        });
        const ring = unite([
          corners.flatMap((from, at) =>
            bulgeChords(from, corners[(at + 1) % corners.length]!, bows[at]![1], flatnessMm),
          ),
        ])[0]!;
        const found = findArcs(ring);
        if (found.kind === 'circle') return;
        const again = drawn(found.points);
        for (const point of ring) expect(distanceToRing(point, again)).toBeLessThan(0.0065);
        expect(found.points.length).toBeLessThanOrEqual(ring.length);
      }),
      { seed: 12, numRuns: 60 },
    );
  });
});
