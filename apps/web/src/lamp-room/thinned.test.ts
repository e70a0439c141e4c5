import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '@vitrum/core';
import { thinned, type Label } from './thinned';

const at = (x: number, y = 0): Label => ({ x, y, width: 20, height: 20 });

describe('labels', () => {
  it('stay where they are clear of each other, and make room for those before them', () => {
    expect(thinned([at(0), at(30), at(60)])).toEqual([true, true, true]);
    expect(thinned([at(0), at(15), at(30)])).toEqual([true, false, true]);
    expect(thinned([at(0), at(5, 30)])).toEqual([true, true]);
  });

  it('never lie on each other, and none is left out without cause', () => {
    const random = seededRandom(7);
    const labels = Array.from({ length: 300 }, () => ({
      ...at(random() * 400, random() * 200),
      width: 10 + 30 * random(),
    }));
    const shown = thinned(labels);
    const meets = (a: Label, b: Label): boolean =>
      Math.abs(a.x - b.x) < (a.width + b.width) / 2 && Math.abs(a.y - b.y) < 20;
    labels.forEach((label, index) => {
      const before = labels.filter((other, place) => place !== index && shown[place]! && meets(label, other));
      if (shown[index]!) expect(before).toEqual([]);
      else expect(before.length).toBeGreaterThan(0);
    });
  });
});
