import { describe, expect, it } from '@jest/globals';
import { contrastThreshold, type AssemblyEvaluation } from '@vitrum/core';
import { contrastCurve } from './contrast-curve';

const ripple = (pitchMm: number, contrast: number, vanishesAtMm: number) => ({ pitchMm, contrast, vanishesAtMm });
const lit = (dots: object, bands: object | null, meanCdM2 = 200): AssemblyEvaluation =>
  ({
    glow: { evenness: { dots, bands, meanCdM2 }, grid: { area: { width: 800, height: 200 } } },
    design: { brief: { readingDistanceMm: 6000 } },
  }) as unknown as AssemblyEvaluation;

describe('the curve of what the eye sees', () => {
  const dots = ripple(17, 0.01, 2500);
  const bands = ripple(60, 0.004, 9000);

  it('is drawn for the ripple that is seen from farther away', () => {
    expect(contrastCurve(lit(dots, bands))).toMatchObject({ pitchMm: 60, contrastPercent: 0.4, readingM: 6 });
    expect(contrastCurve(lit(ripple(17, 0.01, 9500), bands)).pitchMm).toBe(17);
    expect(contrastCurve(lit(dots, null)).pitchMm).toBe(17);
  });

  it('goes from arm’s length to far off by even factors', () => {
    const metres = contrastCurve(lit(dots, null)).eye.map(([each]) => each);
    expect([metres[0], metres.at(-1)]).toEqual([0.5, expect.closeTo(300)]);
    const factors = metres.slice(1).map((each, index) => each / metres[index]!);
    for (const factor of factors) expect(factor).toBeCloseTo(factors[0]!, 9);
  });

  it('is the eye’s own threshold at each distance, and never more than all', () => {
    const { eye } = contrastCurve(lit(dots, bands));
    for (const [metres, percent] of eye) {
      const seen = { pitchMm: 60, luminance: 200, faceMm: 400 };
      expect(percent).toBeCloseTo(Math.min(100, 100 * contrastThreshold(seen, metres * 1000)), 9);
      expect(percent).toBeLessThanOrEqual(100);
    }
  });

  it('crosses the contrast of the ripple where that vanishes', () => {
    const { eye, contrastPercent } = contrastCurve(lit(dots, null));
    expect(eye.some(([, percent]) => percent < contrastPercent)).toBe(true);
    expect(eye.at(-1)![1]).toBeGreaterThan(contrastPercent);
  });

  it('sees less in the dim', () => {
    const at = (meanCdM2: number) => contrastCurve(lit(dots, null, meanCdM2)).eye[20]![1];
    expect(at(2)).toBeGreaterThan(at(200));
  });
});
