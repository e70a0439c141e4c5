import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import type { Outline, Point, Ring } from '../../base/outlines/index.js';
import { hidingIn } from './hidden.js';
import type { StackRoom } from './types.js';

/** A star with many short stretches, and a round hole in it. */
const star: Ring = Array.from({ length: 230 }, (_, corner): Point => {
  const turn = (corner * 2 * Math.PI) / 230;
  const radius = 100 + 35 * Math.cos(5 * turn);
  return [radius * Math.cos(turn), radius * Math.sin(turn)];
});
const hole: Ring = Array.from({ length: 37 }, (_, corner): Point => {
  const turn = (-corner * 2 * Math.PI) / 37;
  return [10 + 18 * Math.cos(turn), 18 * Math.sin(turn)];
});

/** Shares of the way from one place to another at which it crosses rings, stretch by stretch (Cramer’s rule). */
const crossings = (rings: Outline, [x0, y0]: Point, [x1, y1]: Point): readonly number[] =>
  rings.flatMap((ring) =>
    ring.flatMap(([ax, ay], at): readonly number[] => {
      const [bx, by] = ring[(at + 1) % ring.length]!;
      const [dx, dy, ex, ey] = [x1 - x0, y1 - y0, bx - ax, by - ay];
      const cross = dx * ey - dy * ex;
      const along = ((ax - x0) * ey - (ay - y0) * ex) / cross;
      const within = ((ax - x0) * dy - (ay - y0) * dx) / cross;
      return within >= 0 && within < 1 ? [along] : [];
    }),
  );

const between = (low: number, high: number, values: readonly number[]): readonly number[] =>
  values.filter((value) => value > low && value < high);

const room = (outline: Outline, ledge: StackRoom['ledge'] = null): StackRoom =>
  ({ outline, ledge }) as unknown as StackRoom;

describe('what hides places of a room from each other', () => {
  const random = seededRandom(7);
  const place = (): Point => [random() * 220 - 110, random() * 220 - 110];
  const ways = Array.from({ length: 3000 }, () => [place(), place()] as const);

  it('is each wall that the way between them crosses, and nothing else', () => {
    const outline = [star, hole];
    const hides = hidingIn(room(outline))!;
    let hidden = 0;
    for (const [one, other] of ways) {
      const end = 0.6 / Math.max(1.5, Math.hypot(other[0] - one[0], other[1] - one[1]));
      const expected = between(end, 1 - end, crossings(outline, one, other)).length > 0;
      hidden += Number(expected);
      expect(hides(...one, 5, ...other, 5)).toBe(expected);
    }
    // Both are many, or this would hold of a function that always says the same.
    expect([hidden > 1000, hidden < 2900]).toEqual([true, true]);
  });

  it('is a ledge as far as the way passes it below its height', () => {
    const round: Ring = Array.from({ length: 60 }, (_, corner): Point => {
      const turn = (corner * 2 * Math.PI) / 60;
      return [150 * Math.cos(turn), 150 * Math.sin(turn)];
    });
    const hides = hidingIn(room([round], { line: star, heightMm: 20 } as unknown as StackRoom['ledge']))!;
    for (const [one, other] of ways.slice(0, 800)) {
      const [low, high] = [random() * 40, random() * 40];
      const end = 0.6 / Math.max(1.5, Math.hypot(other[0] - one[0], other[1] - one[1]));
      const shares = between(end, 1 - end, crossings([star], one, other));
      const expected = shares.some((share) => low + share * (high - low) < 20) && Math.min(low, high) < 20;
      expect(hides(...one, low, ...other, high)).toBe(expected);
    }
  });

  it('is nothing in a room that bulges out everywhere and has no ledge', () => {
    expect(
      hidingIn(
        room([
          [
            [0, 0],
            [10, 0],
            [10, 10],
            [0, 10],
          ],
        ]),
      ),
    ).toBeNull();
  });
});
