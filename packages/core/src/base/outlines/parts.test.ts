import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  inOutline,
  lengthInside,
  outlineArea,
  rectRing,
  ringArea,
  ringsNear,
  solidParts,
  subtract,
  unite,
  type Outline,
  type Point,
} from './index.js';

const rect = (x: number, y: number, width: number, height: number): Outline => [rectRing({ x, y, width, height })];
const hole = (x: number, y: number, width: number, height: number): Outline =>
  rect(x, y, width, height).map((ring) => [...ring].reverse());
const runs = { seed: 31, numRuns: 80 };
const size = fc.integer({ min: 20, max: 200 });
const shift = fc.integer({ min: -150, max: 150 });
const someOutline = fc.array(fc.tuple(shift, shift, size, size), { minLength: 2, maxLength: 6 }).map((parts) => {
  const [first, ...others] = parts.map(([x, y, width, height]) => rect(x, y, width, height));
  return subtract(unite([...first!, ...others.slice(1).flat()]), others[0]!);
});
const somePoint = fc.tuple(shift, shift).map(([x, y]): Point => [x + 0.37, y + 0.41]);

describe('the solid parts of an outline', () => {
  it('have the holes that lie in them and in nothing smaller', () => {
    // A plate with a hole, in that an island with a hole of its own; and a plate apart.
    const nested = [
      ...rect(0, 0, 200, 200),
      ...hole(20, 20, 160, 160),
      ...rect(50, 50, 100, 100),
      ...hole(80, 80, 30, 30),
      ...rect(300, 0, 50, 50),
    ];
    const parts = solidParts(nested);
    expect(parts.map((part) => part.length)).toEqual([2, 2, 1]);
    expect(parts.map((part) => outlineArea(part))).toEqual([200 ** 2 - 160 ** 2, 100 ** 2 - 30 ** 2, 50 ** 2]);
  });

  it('are all of it, however it is made', () => {
    fc.assert(
      fc.property(someOutline, (outline) => {
        const parts = solidParts(outline);
        const sum = parts.reduce((area, part) => area + outlineArea(part), 0);
        return (
          Math.abs(sum - outlineArea(outline)) < 1e-6 &&
          parts.every(([outer, ...holes]) => ringArea(outer!) > 0 && holes.every((ring) => ringArea(ring) < 0))
        );
      }),
      runs,
    );
    expect(solidParts([])).toEqual([]);
  });
});

describe('a straight way through an outline', () => {
  it('is as long inside as what is sampled along it', () => {
    fc.assert(
      fc.property(someOutline, somePoint, somePoint, (outline, from, to) => {
        const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
        const steps = 4000;
        let inside = 0;
        for (let step = 0; step < steps; step += 1) {
          const share = (step + 0.5) / steps;
          const at: Point = [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];
          if (inOutline(at, outline)) inside += length / steps;
        }
        // Each crossing is told to a step.
        return Math.abs(lengthInside(from, to, outline) - inside) <= (10 * length) / steps + 1e-6;
      }),
      runs,
    );
  });

  it('needs only the rings near it', () => {
    fc.assert(
      fc.property(someOutline, somePoint, somePoint, (outline, from, to) => {
        const near = ringsNear(outline)(from, to);
        return Math.abs(lengthInside(from, to, near) - lengthInside(from, to, outline)) < 1e-9;
      }),
      runs,
    );
    const two = [...rect(0, 0, 10, 10), ...rect(100, 0, 10, 10)];
    expect(ringsNear(two)([2, 2], [8, 8])).toEqual([two[0]]);
    expect(ringsNear(two)([50, 50], [60, 60])).toEqual([]);
  });

  it('of no length is no length', () => expect(lengthInside([5, 5], [5, 5], rect(0, 0, 10, 10))).toBe(0));
});
