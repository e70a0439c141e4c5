import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { luminanceOf, type LinearRgb } from '../colour/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { renderFace } from '../../sign/picture/index.js';
import { changed, curlew, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { driftAt, type HueDrift } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

/** Five rows in one chain: the first at the top, the last at the bottom, amber. */
const longChain = () =>
  changed(demoDesigns.slipway, {
    ...inAssembly({ 'light.rowCount': 5 }),
    'power.chainsCarryOn': [2, 3, 4, 5],
    'power.fedForward': [1],
  });
const factors = (drift: HueDrift, u: number, v: number): LinearRgb => {
  const into = new Float64Array(3);
  driftAt(drift, u, v, into);
  return [into[0]!, into[1]!, into[2]!];
};

describe('the drift of a hue', () => {
  it('is none of one colour, and none of pixels that hold their current', () => {
    expect(evaluatedCoarsely(dispensary, fonts).glow.drift).toBeNull();
    expect(evaluatedCoarsely(demoDesigns['net-loft'], fonts).glow.drift).toBeNull();
  });

  it('goes toward red at the far end, and leaves the luminance as it is', () => {
    const { glow } = evaluatedCoarsely(longChain(), fonts);
    const { drift, hue } = glow;
    if (drift === null) throw new Error('nothing drifts');
    const [near, far] = [factors(drift, 0.5, 0.95), factors(drift, 0.5, 0.05)];
    expect(far[0]).toBeGreaterThan(near[0] + 0.01);
    expect(far[1]).toBeLessThan(near[1] - 0.005);
    for (const [u, v] of [
      [0, 0],
      [0.3, 0.8],
      [1, 1],
    ] as const) {
      const at = factors(drift, u, v);
      const shown = hue.map((value, part) => value * at[part]!) as unknown as LinearRgb;
      expect(luminanceOf(shown)).toBeCloseTo(luminanceOf(hue), 3);
    }
  });

  it('is evened out by feeding the far end too, in the picture as in the map', () => {
    const fed = changed(longChain(), { 'power.feed': 'both-ends' });
    const redness = (design: typeof fed): number => {
      const picture = renderFace(evaluatedCoarsely(design, fonts), 'dark', true, false);
      const ratio = (row: number): number => {
        const at = 4 * (row * picture.width + (picture.width >> 1));
        return picture.data[at]! / picture.data[at + 1]!;
      };
      return ratio(picture.height - 3) / ratio(2);
    };
    expect(redness(longChain())).toBeGreaterThan(1.01);
    expect(Math.abs(redness(fed) - 1)).toBeLessThan(0.5 * (redness(longChain()) - 1));
  });

  it('shows behind halo letters as on a face', () => {
    const letters = changed(curlew, {
      ...inAssembly({ 'light.stripId': 'rgb-12v-60' }),
      'brief.light': { kind: 'rgb', colour: '#ff9a50' },
      'power.feed': 'one-end',
      'power.chainsCarryOn': [2, 3, 4, 5, 6, 7],
    });
    const { drift } = evaluatedCoarsely(letters, fonts).glow;
    expect(drift).not.toBeNull();
    expect(drift!.factors.every((factor) => Number.isFinite(factor) && factor > 0.3 && factor < 3)).toBe(true);
  });

  it('between cells is between their factors, and held at the edges', () => {
    const drift: HueDrift = {
      columns: 2,
      rows: 2,
      factors: Float32Array.from([1, 1, 1, 2, 1, 1, 1, 3, 1, 2, 3, 1]),
    };
    expect(factors(drift, 0.5, 0.25)[0]).toBeCloseTo(1.5, 2);
    expect(factors(drift, 0.25, 0.5)[1]).toBeCloseTo(2, 2);
    expect(factors(drift, -1, -1)).toEqual([1, 1, 1]);
    expect(factors(drift, 9, 9)[1]).toBeCloseTo(3, 1);
  });
});
