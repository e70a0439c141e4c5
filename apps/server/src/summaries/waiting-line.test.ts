import { describe, expect, it } from '@jest/globals';
import { WaitingLine } from './waiting-line.js';

describe('revisions that wait to be summed up', () => {
  it('rest for six seconds after the last save, and go in the order in which they are due', () => {
    const line = new WaitingLine();
    expect(line.take(0)).toBeNull();
    line.rest('a', 1, 0);
    line.rest('b', 4, 500);
    line.rest('a', 2, 1500);
    expect(line.take(6499)).toEqual({ waitMs: 1 });
    expect(line.take(6500)).toEqual({ next: ['b', 4] });
    expect(line.take(6500)).toEqual({ waitMs: 1000 });
    expect(line.take(7500)).toEqual({ next: ['a', 2] });
    expect(line.take(7500)).toBeNull();
    expect(line.isEmpty).toBe(true);
  });

  it('are taken once in half a minute where somebody saves all the time', () => {
    const line = new WaitingLine();
    const taken: number[] = [];
    for (let now = 0; now <= 100_000; now += 1000) {
      line.rest('a', now / 1000, now);
      const found = line.take(now);
      if (found !== null && 'next' in found) taken.push(now);
    }
    expect(taken).toEqual([30_000, 61_000, 92_000]);
  });

  it('do not rest where somebody waits for them', () => {
    const line = new WaitingLine();
    line.rest('a', 1, 0);
    line.rest('b', 1, 0);
    line.soon('b', 1, 10);
    expect(line.take(10)).toEqual({ next: ['b', 1] });
    expect(line.take(10)).toEqual({ waitMs: 5990 });
    line.hasten(20);
    expect(line.take(20)).toEqual({ next: ['a', 1] });
  });

  it('rest no longer where somebody looks at the job', () => {
    const line = new WaitingLine();
    line.rest('a', 1, 0);
    line.rest('b', 3, 0);
    expect([line.look('b'), line.look('d')]).toEqual([true, false]);
    expect(line.take(1)).toEqual({ next: ['b', 3] });
    expect(line.take(6000)).toEqual({ next: ['a', 1] });
    expect(line.take(60_000)).toBeNull();
  });

  it('come first where somebody looks at the job, before all that is made up for', () => {
    const line = new WaitingLine();
    for (const job of ['a', 'b', 'c', 'd']) line.soon(job, 1, 1000);
    line.first('c', 1);
    line.first('e', 7);
    // What is made up for every half minute does not push it back.
    line.soon('c', 1, 1000);
    const taken = [1, 2, 3, 4, 5].map(() => line.take(1000));
    expect(taken.map((each) => each !== null && 'next' in each && each.next[0])).toEqual(['c', 'e', 'a', 'b', 'd']);
    // What is saved after it was looked at need not rest either.
    line.first('a', 2);
    line.rest('a', 3, 1500);
    expect(line.take(1500)).toEqual({ next: ['a', 3] });
  });
});
