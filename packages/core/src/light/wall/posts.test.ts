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
import { placePosts, postsAmiss, type Post, type PostOptions } from './index.js';

const options: PostOptions = { diameterMm: 6, insideMm: 20, perPostKg: 0.5, kgPerM2: 5 };
const rect = (x: number, y: number, width: number, height: number): Outline => [rectRing({ x, y, width, height })];
const heavy = { ...options, kgPerM2: 30 };

describe('posts of letters', () => {
  it('stand on one level line, as far apart as the strip lets them', () => {
    const [part] = placePosts(rect(0, 0, 200, 100), options);
    expect(part!.needed).toBe(2);
    const [left, right] = part!.posts as [Post, Post];
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
    const [upper, lower] = part!.posts as [Post, Post];
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
    expect(postsAmiss(parts, options.insideMm)).toEqual({ loose: [], outsideStrip: [] });
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
          const inside = offset(outline, -options.insideMm + 0.01);
          for (const { posts } of placePosts(outline, { ...options, kgPerM2 }))
            for (const { at } of posts) expect(inOutline(at, inside)).toBe(true);
        },
      ),
      { seed: 41, numRuns: 80 },
    );
  });
});

describe('posts set by hand', () => {
  const letter = subtract(rect(0, 0, 200, 200), rect(70, 70, 60, 60));
  const at = (x: number, y: number): Post => ({ at: [x, y], diameterMm: 6 });

  it('are told apart: in no material, between strip and edge, and fine', () => {
    const posts = [at(100, 100), at(-5, 10), at(10, 100), at(65, 100), at(35, 100)];
    const { loose, outsideStrip } = postsAmiss([{ outline: letter, posts }], 20);
    expect(loose.map((post) => post.at)).toEqual([
      [100, 100],
      [-5, 10],
    ]);
    expect(outsideStrip.map((post) => post.at)).toEqual([
      [10, 100],
      [65, 100],
    ]);
  });

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
