import { describe, expect, it } from '@jest/globals';
import { clamp, boundedCache, memoizeLast, shareStructure, seededRandom, sum } from './index.js';

describe('reuse', () => {
  it('gives back the same object when nothing changed', () => {
    const before = { a: [1, { b: 2 }], c: 'x' };
    expect(shareStructure(before, structuredClone(before))).toBe(before);
  });

  it('keeps the identity of what did not change beside what did', () => {
    const before = { a: { x: 1 }, b: { y: 2 } };
    const after = shareStructure(before, { a: { x: 1 }, b: { y: 3 } });
    expect(after).toEqual({ a: { x: 1 }, b: { y: 3 } });
    expect(after.a).toBe(before.a);
    expect(after.b).not.toBe(before.b);
  });

  it('sees keys come and go, and lists grow and shrink', () => {
    expect(shareStructure({ a: 1, b: 2 }, { a: 1 })).toEqual({ a: 1 });
    expect(shareStructure([1, 2, 3], [1, 2])).toEqual([1, 2]);
    expect(shareStructure({ a: undefined }, { b: undefined })).toEqual({ b: undefined });
  });
});

describe('memoizing', () => {
  it('computes again only when an input is another', () => {
    let runs = 0;
    const stage = memoizeLast((a: object, b: number) => ({ a, b, run: ++runs }));
    const key = {};
    expect(stage.run(key, 1).run).toBe(1);
    expect(stage.reused()).toBe(false);
    expect(stage.run(key, 1).run).toBe(1);
    expect(stage.reused()).toBe(true);
    expect(stage.run({}, 1).run).toBe(2);
  });

  it('goes back and forth between what stands and what is tried, and forgets what was asked for longest ago', () => {
    let runs = 0;
    const stage = memoizeLast((a: number) => ({ a, run: ++runs }));
    for (const a of [0, 1, 0, 2, 0, 3, 0, 4]) stage.run(a);
    expect([runs, stage.reused()]).toEqual([5, false]);
    expect(stage.run(0).run).toBe(1);
    expect(stage.reused()).toBe(true);
    // 0, 4, 3 and 2 are kept.
    expect(stage.run(2).run).toBe(3);
    expect(stage.run(1).run).toBe(6);
    expect(stage.reused()).toBe(false);
  });
});

describe('clamp and chance', () => {
  it('turns NaN into the low end', () => expect(clamp(Number.NaN, 2, 5)).toBe(2));

  it('repeats a seed and stays in [0, 1)', () => {
    const [a, b] = [seededRandom(5), seededRandom(5)];
    for (let turn = 0; turn < 1000; turn += 1) {
      const value = a();
      expect(value).toBe(b());
      expect(value).toBeGreaterThanOrEqual(0);
      expect(value).toBeLessThan(1);
    }
  });
});

describe('a memory for answers by key', () => {
  it('asks once for each key, for an answer of none too, and forgets what was asked for longest ago', () => {
    const asked: string[] = [];
    const known = boundedCache<number | null>(2);
    const ask = (key: string, answer: number | null): number | null =>
      known(key, () => {
        asked.push(key);
        return answer;
      });
    expect([ask('a', null), ask('a', 7), ask('b', 1), ask('a', 7)]).toEqual([null, null, 1, null]);
    expect(asked).toEqual(['a', 'b']);
    // A third pushes out the one that was asked for least lately.
    ask('c', 2);
    ask('b', 5);
    expect(asked).toEqual(['a', 'b', 'c', 'b']);
  });
});

describe('a sum', () => {
  it('is 0 of nothing, and goes from left to right', () => {
    expect(sum([])).toBe(0);
    expect(sum([1, 2, 3.5])).toBe(6.5);
    expect(sum([1e16, 1, -1e16])).toBe(1e16 + 1 - 1e16);
  });
});
