import { describe, expect, it } from '@jest/globals';
import { outlineArea, outlineBounds, rectRing, type Outline } from '../../base/outlines/index.js';
import { idleSplits, middleSplit, partSuffix, partsOfLetters, splitLetter } from './splits.js';

const bar = (x: number, width: number, height = 100): Outline => [rectRing({ x, y: -height / 2, width, height })];
const [wide, narrow] = [bar(-500, 600), bar(200, 80)];
const upright = (xMm: number, yMm = 0) => ({ xMm, yMm, angleDeg: 90 });
const area = (parts: readonly Outline[]): number => parts.reduce((sum, part) => sum + outlineArea(part), 0);

describe('letters cut in parts', () => {
  it('are cut by the lines that are put within their own box alone', () => {
    const parts = partsOfLetters([wide, narrow], [upright(-200)], 'pins');
    expect(parts).toHaveLength(3);
    expect(area(parts)).toBeCloseTo(600 * 100 + 80 * 100, 6);
    // A level line through both would cut the one it is put into.
    expect(partsOfLetters([wide, narrow], [{ xMm: 240, yMm: 0, angleDeg: 0 }], 'pins')).toHaveLength(3);
  });

  it.each([
    [[upright(-200)], 2],
    [[upright(-300), upright(-100)], 3],
    [[upright(-200), { xMm: -200, yMm: 0, angleDeg: 0 }], 4],
  ])('lose nothing along %j when pins join them: %d parts', (splits, count) => {
    const { parts, pins } = splitLetter(wide, wide, { splits, registration: 'pins' });
    expect(parts).toHaveLength(count);
    expect(area(parts)).toBeCloseTo(outlineArea(wide), 6);
    expect(pins.length).toBeGreaterThan(0);
  });

  it('take their tabs out of each other, with a little play', () => {
    const { parts, pins } = splitLetter(wide, wide, { splits: [upright(-200)], registration: undefined });
    expect([parts.length, pins.length]).toEqual([2, 0]);
    const missing = outlineArea(wide) - area(parts);
    expect(missing).toBeGreaterThan(0);
    expect(missing).toBeLessThan(60);
    // The tab of one reaches over the line, into the other.
    expect(Math.max(...parts.map((part) => outlineBounds(part)!.width))).toBeGreaterThan(300);
  });

  it('have a back that is cut where the letter is, though it is smaller', () => {
    const back = bar(-490, 580, 80);
    const { parts } = splitLetter(wide, back, { splits: [upright(-200)], registration: 'pins' });
    expect(parts.map((part) => Math.round(outlineBounds(part)!.width)).sort()).toEqual([290, 290]);
  });

  it('tell which lines cut nothing', () => {
    const outline = [...wide, ...narrow];
    expect(idleSplits(outline, [upright(-200), upright(900), upright(150), upright(240)])).toEqual([1, 2]);
    expect(idleSplits(outline, undefined)).toEqual([]);
  });

  it('are halved across the longer side of the largest part, again and again', () => {
    const outline = [...wide, ...narrow];
    const first = middleSplit(outline, { splits: undefined, registration: 'pins' });
    expect(first).toEqual(upright(-200));
    const second = middleSplit(outline, { splits: [first!], registration: 'pins' });
    expect([-350, -50]).toContain(second!.xMm);
    expect(middleSplit(bar(0, 50, 400), { splits: undefined, registration: 'pins' })?.angleDeg).toBe(0);
    expect(middleSplit([], { splits: undefined, registration: 'pins' })).toBeNull();
  });

  it('are told by a letter each, and by numbers beyond the alphabet', () => {
    expect([partSuffix(0, 1), partSuffix(0, 2), partSuffix(1, 2), partSuffix(25, 30)]).toEqual(['', 'a', 'b', 'z']);
    expect(partSuffix(26, 30)).toBe('-27');
  });
});
