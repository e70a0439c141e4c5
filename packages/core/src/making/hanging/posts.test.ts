import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  inOutline,
  offset,
  outlineCentroid,
  rectRing,
  subtract,
  unite,
  type Outline,
} from '../../base/outlines/index.js';
import type { Post } from '../../light/wall/index.js';
import { placePosts, type PostOptions, type StripBand } from './index.js';

const options: PostOptions = {
  diameterMm: 6,
  roundMm: 20,
  strip: null,
  perPostKg: 0.5,
  kgPerM2: 5,
  playMm: 0.25,
};
const rect = (x: number, y: number, width: number, height: number): Outline => [rectRing({ x, y, width, height })];
const heavy = { ...options, kgPerM2: 30 };

describe('posts of letters', () => {
  it('stand on one level line, as far apart as the strip lets them', () => {
    const [part] = placePosts(rect(0, 0, 200, 100), options);
    expect(part!.needed).toBe(2);
    const [left, right] = part!.posts as readonly Post[] as readonly [Post, Post];
    expect(left.at[1]).toBe(right.at[1]);
    expect(left.at[0]).toBeCloseTo(23, 2);
    expect(right.at[0]).toBeCloseTo(177, 2);
    // Of all level lines the highest: the letter hangs from its posts.
    expect(left.at[1]).toBeCloseTo(77, 1);
  });

  it('are as many as the weight asks for, one of them low', () => {
    const [part] = placePosts(rect(0, 0, 400, 150), heavy);
    expect(part!.kg).toBeCloseTo(0.06 * 30, 9);
    expect(part!.needed).toBe(4);
    expect(part!.posts).toHaveLength(4);
    const ys = part!.posts.map(({ at }) => at[1]);
    expect(new Set(ys.slice(0, 3)).size).toBe(1);
    expect(ys[3]!).toBeLessThan(ys[0]! - 50);
  });

  it('go one above the other on a stem', () => {
    const [part] = placePosts(rect(0, 0, 50, 300), options);
    expect(part!.posts).toHaveLength(2);
    const [upper, lower] = part!.posts as readonly Post[] as readonly [Post, Post];
    expect(upper.at[1] - lower.at[1]).toBeGreaterThan(200);
    expect(Math.abs(upper.at[0] - 25)).toBeLessThan(3);
  });

  it('are none where nothing is inside the strip, and the part says how many it wants', () => {
    const [part] = placePosts(rect(0, 0, 30, 200), options);
    expect(part!.posts).toEqual([]);
    expect(part!.needed).toBe(2);
    expect(placePosts([], options)).toEqual([]);
  });

  it('keep out of counters, and each part has its own', () => {
    const ring = subtract(rect(0, 0, 200, 200), rect(70, 70, 60, 60));
    const both = unite([...ring, ...rect(300, 0, 100, 200)]);
    const parts = placePosts(both, options);
    expect(parts).toHaveLength(2);
    for (const { posts } of parts) expect(posts.length).toBeGreaterThanOrEqual(2);
    for (const { posts } of parts) for (const { stands } of posts) expect(stands).toBe('well');
  });

  it('of a C stand over its centre of gravity and on both sides of it, though its stem is wider than its arms are long', () => {
    const letter = subtract(rect(0, 0, 220, 300), rect(90, 60, 200, 180));
    const [part] = placePosts(letter, options);
    const [x, y] = outlineCentroid(letter)!;
    const xs = part!.posts.map(({ at }) => at[0]);
    expect(Math.min(...xs)).toBeLessThan(x);
    expect(Math.max(...xs)).toBeGreaterThan(x);
    for (const { at } of part!.posts) expect(at[1]).toBeGreaterThan(y);
  });

  it('of an L, which has nothing over its weight on the right, are two on its foot and one on its stem', () => {
    const letter = unite([...rect(0, 0, 60, 300), ...rect(0, 0, 200, 60)]);
    const [part] = placePosts(letter, options);
    const [x, y] = outlineCentroid(letter)!;
    const xs = part!.posts.map(({ at }) => at[0]);
    expect(part!.posts).toHaveLength(3);
    expect(Math.min(...xs)).toBeLessThan(x);
    expect(Math.max(...xs)).toBeGreaterThan(x);
    expect(Math.max(...part!.posts.map(({ at }) => at[1]))).toBeGreaterThan(y);
  });

  it('are never amiss, whatever the letter', () => {
    const size = fc.integer({ min: 50, max: 300 });
    const part = fc.tuple(size, size, size, size).map(([x, y, width, height]) => rectRing({ x, y, width, height }));
    fc.assert(
      fc.property(
        fc.array(part, { minLength: 1, maxLength: 4 }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        (parts, kgPerM2) => {
          const outline = unite(parts);
          const inside = offset(outline, -options.roundMm + 0.01);
          for (const { posts } of placePosts(outline, { ...options, kgPerM2 }))
            for (const { at } of posts) expect(inOutline(at, inside)).toBe(true);
        },
      ),
      { seed: 41, numRuns: 80 },
    );
  });
});

describe('posts beside strip', () => {
  const letter = rect(0, 0, 200, 100);
  /** Strip 8 mm wide, 10 mm in from the edge, along the left and the top only. */
  const strip: StripBand = {
    lines: [
      [
        [14, 14],
        [14, 86],
        [186, 86],
      ],
    ],
    halfMm: 4,
    clearMm: 3,
    deepMm: 14,
  };
  const beside = { ...options, roundMm: 3, strip };

  it('keep off it and out of its light, and use the room where none lies', () => {
    const [part] = placePosts(letter, beside);
    const [left, right] = [...part!.posts].sort((a, b) => a.at[0] - b.at[0]) as readonly Post[] as readonly [
      Post,
      Post,
    ];
    // 14 mm to the middle of the strip, 4 to its side, 3 clear, 3 the post’s own half.
    expect(left.at[0]).toBeCloseTo(24, 1);
    expect(left.at[1]).toBeLessThanOrEqual(76.1);
    // Nothing runs down the right side: only material must stand round it.
    expect(right.at[0]).toBeCloseTo(194, 1);
  });

  it('are told by how they stand: in no material, in the light, or well', () => {
    const pinned = [
      [-5, 50],
      [6, 50],
      [190, 30],
      [60, 50],
    ] as const;
    const [part] = placePosts(letter, { ...beside, pinned });
    const standsAt = new Map(part!.posts.map(({ at, stands }) => [at.join(), stands]));
    expect(pinned.map((at) => standsAt.get(at.join()))).toEqual(['loose', 'in-the-light', 'well', 'well']);
  });

  it('carry by statics, and are one more where one would carry too much', () => {
    const wide = rect(0, 0, 300, 60);
    // All the room is on the left: the right half of an L-shaped room is taken by strip.
    const [even] = placePosts(wide, { ...options, roundMm: 3, kgPerM2: 50, perPostKg: 0.5 });
    expect(even!.kg).toBeCloseTo(0.9, 9);
    expect(even!.posts.map(({ load }) => load.downKg)).toEqual([expect.closeTo(0.45, 3), expect.closeTo(0.45, 3)]);
    const ell = unite([...rect(0, 0, 40, 200), ...rect(0, 0, 200, 40)]);
    const [part] = placePosts(ell, { ...options, roundMm: 3, kgPerM2: 100, perPostKg: 0.8 });
    expect(part!.needed).toBe(2);
    const loads = part!.posts.map(({ load }) => load);
    expect(loads.reduce((sum, { downKg }) => sum + downKg, 0)).toBeCloseTo(part!.kg, 9);
    expect(Math.max(...loads.map(({ kg }) => kg))).toBeLessThanOrEqual(0.8);
  });

  it('let a letter lean that has both on one side of its weight', () => {
    const pinned = [
      [10, 50],
      [40, 50],
    ] as const;
    const [part] = placePosts(letter, { ...options, roundMm: 3, pinned });
    expect(part!.posts).toHaveLength(2);
    expect(Math.min(...part!.posts.map(({ load }) => load.downKg))).toBeLessThan(0);
    // Half a millimetre of play over 30 mm, on 200 mm of letter.
    expect(part!.leanMm).toBeCloseTo((0.5 * 200) / 30, 9);
    expect(placePosts(letter, { ...options, roundMm: 3 })[0]!.leanMm).toBe(0);
  });
});

describe('posts set by hand', () => {
  it('take the place of the nearest that was solved, and stay where they were put', () => {
    const place = (pinned: readonly (readonly [number, number])[]) =>
      placePosts(rect(0, 0, 200, 100), { ...options, pinned })[0]!.posts.map(({ at: where }) => where);
    const solved = place([]);
    const moved = place([[60, 50]]);
    expect(moved).toHaveLength(2);
    expect(moved).toContainEqual([60, 50]);
    expect(moved).toContainEqual(solved[1]);
    expect(
      place([
        [60, 50],
        [100, 50],
        [140, 50],
      ]),
    ).toHaveLength(3);
    // One put beside the letter still belongs to it.
    expect(place([[-30, 50]])).toContainEqual([-30, 50]);
  });
});
