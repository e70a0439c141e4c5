import { describe, expect, it } from '@jest/globals';
import { WaitingLine } from './waiting-line.js';

describe('revisions that wait to be summed up', () => {
  it('rest for two seconds after the last save, and go in the order in which they are due', () => {
    const line = new WaitingLine();
    expect(line.take(0)).toBeNull();
    line.rest('a', 1, 0);
    line.rest('b', 4, 500);
    line.rest('a', 2, 1500);
    expect(line.take(2499)).toEqual({ waitMs: 1 });
    expect(line.take(2500)).toEqual({ next: ['b', 4] });
    expect(line.take(2500)).toEqual({ waitMs: 1000 });
    expect(line.take(3500)).toEqual({ next: ['a', 2] });
    expect(line.take(3500)).toBeNull();
    expect(line.isEmpty).toBe(true);
  });

  it('are taken once in a quarter of a minute where somebody saves all the time', () => {
    const line = new WaitingLine();
    const taken: number[] = [];
    for (let now = 0; now <= 60_000; now += 1000) {
      line.rest('a', now / 1000, now);
      const found = line.take(now);
      if (found !== null && 'next' in found) taken.push(now);
    }
    expect(taken).toEqual([15_000, 31_000, 47_000]);
  });

  it('do not rest where somebody waits for them', () => {
    const line = new WaitingLine();
    line.rest('a', 1, 0);
    line.rest('b', 1, 0);
    line.soon('b', 1, 10);
    expect(line.take(10)).toEqual({ next: ['b', 1] });
    expect(line.take(10)).toEqual({ waitMs: 1990 });
    line.hasten(20);
    expect(line.take(20)).toEqual({ next: ['a', 1] });
  });
});
