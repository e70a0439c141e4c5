import { describe, expect, it } from '@jest/globals';
import { edgeEntry } from './entry.js';
import { fanRipple, fansEvenFromMm, fansTouchMm } from './fans.js';

const entry = edgeEntry({ index: 1.49, thicknessMm: 4 }, { emitterMm: 2, gapMm: 0, offsetMm: 0 });

describe('fans of single LEDs', () => {
  it('touch where the critical angle brings them together', () => {
    const critical = Math.asin(1 / 1.49);
    expect(fansTouchMm(entry, 10)).toBeCloseTo(10 / (2 * Math.tan(critical)), 1);
    // Nearer than that there is a dark place between two.
    expect(fanRipple(entry, 10, 4)).toBeGreaterThan(0.5);
  });

  it.each([
    [0.2, 0.79],
    [0.1, 0.86],
    [0.05, 1.28],
  ])('are even to %d from %d of the pitch on', (limit, pitches) => {
    for (let at = pitches; at < 4; at += 0.02) expect(fanRipple(entry, 1, at)).toBeLessThan(limit);
    expect(fansEvenFromMm(entry, 16, limit)).toBeLessThanOrEqual((pitches + 0.005) * 16);
    expect(fansEvenFromMm(entry, 16, limit)).toBeGreaterThan((pitches - 0.06) * 16);
  });

  it('grow with the pitch alone', () => {
    expect(fanRipple(entry, 5, 4)).toBeCloseTo(fanRipple(entry, 10, 8), 9);
  });
});
