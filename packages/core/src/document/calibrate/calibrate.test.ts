import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue, toolIn } from '../catalogue/index.js';
import { seededRandom } from '../../base/maths/index.js';
import {
  fitBrightness,
  fitCoupon,
  fitKerf,
  fitSawKerf,
  fitTransmittance,
  withMeasured,
  type CouponPhoto,
} from './index.js';

const good = <T>(result: { ok: true; value: T } | { ok: false; problems: readonly { message: string }[] }): T => {
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result.value;
};

describe('lux through a sample', () => {
  it('gives the share that passes, and how well the readings agree', () => {
    const fit = good(
      fitTransmittance(
        [1000, 800, 1200].map((bareLux, index) => ({ bareLux, throughLux: bareLux * [0.43, 0.44, 0.435][index]! })),
      ),
    );
    expect(fit.value).toBeCloseTo(0.435, 2);
    expect(fit.error).toBeGreaterThan(0.001);
    expect(fit.error).toBeLessThan(0.005);
    expect(fit.offShares).toHaveLength(3);
  });

  it('a single reading tells nothing about its own error', () =>
    expect(good(fitTransmittance([{ bareLux: 500, throughLux: 250 }]))).toMatchObject({ value: 0.5, error: 0 }));

  it.each([
    [[{ bareLux: 0, throughLux: 0 }], 'above 0'],
    [[{ bareLux: 100, throughLux: 130 }], 'swapped'],
    [[{ bareLux: 100, throughLux: Number.NaN }], '0 or more'],
    [[], 'no readings'],
  ])('refuses %j', (pairs, says) => {
    const fit = fitTransmittance(pairs);
    expect(fit.ok ? '' : fit.problems[0]?.message).toContain(says);
  });
});

describe('brightness of a test box', () => {
  it('gives the factor on the strip’s light', () => {
    const pairs = [1400, 1200, 900].map((predictedCdM2) => ({ predictedCdM2, measuredCdM2: predictedCdM2 * 0.92 }));
    expect(good(fitBrightness(pairs)).value).toBeCloseTo(0.92, 9);
  });

  it('does not calibrate away what is broken', () => {
    const fit = fitBrightness([{ predictedCdM2: 1000, measuredCdM2: 90 }]);
    expect(fit.ok ? '' : fit.problems[0]?.message).toContain('dead chain');
  });
});

/** A coupon with an LED behind it, as a camera without gamma would take it: rendered here, with noise. */
const rendered = (sigmaDeg: number, hazeShare: number, exposure = 0.8): CouponPhoto => {
  const [width, height, widthMm, distanceMm] = [240, 180, 120, 60];
  const random = seededRandom(2);
  const sigma = (sigmaDeg * Math.PI) / 180;
  const mmPerPx = widthMm / width;
  const lobeAt = (angle: number): number => Math.exp(-(angle * angle) / (2 * sigma * sigma)) * Math.cos(angle) ** 4;
  let lobe = 0;
  const linear = Float64Array.from({ length: width * height }, (_, pixel) => {
    const r = Math.hypot((pixel % width) - width / 2 + 0.5, Math.floor(pixel / width) - height / 2 + 0.5) * mmPerPx;
    const value = lobeAt(Math.atan(r / distanceMm));
    lobe += value;
    return value;
  });
  // The unscattered image: a spot of 1.5 mm that carries its share of the light.
  const spot = linear.map((_, pixel) => {
    const r = Math.hypot((pixel % width) - width / 2 + 0.5, Math.floor(pixel / width) - height / 2 + 0.5) * mmPerPx;
    return Math.exp(-(r * r) / (2 * 0.8 * 0.8));
  });
  const spotSum = spot.reduce((sum, value) => sum + value, 0);
  const image = (lobe * (1 - hazeShare)) / hazeShare / spotSum;
  const whole = linear.map((value, pixel) => value + image * spot[pixel]!);
  const top = whole.reduce((most, value) => Math.max(most, value), 0);
  return {
    width,
    height,
    widthMm,
    distanceMm,
    linear: whole.map((value) => (exposure * value) / top + 0.0005 * random()),
  };
};

describe('a photograph of a sanded coupon', () => {
  it.each([
    [10, 0.9],
    [15, 0.95],
    [18, 0.93],
  ])('gives back a lobe of %d° with haze %d', (sigmaDeg, hazeShare) => {
    const fit = good(fitCoupon(rendered(sigmaDeg, hazeShare)));
    expect(fit.sigmaDeg / sigmaDeg).toBeCloseTo(1, 1);
    expect(Math.abs(fit.hazeShare - hazeShare)).toBeLessThan(0.04);
    expect(fit.offShare).toBeLessThan(0.05);
    expect(fit.rings.length).toBeGreaterThan(20);
  });

  it('that is clipped, black or nowhere near the middle is refused with what to do', () => {
    const says = (photo: CouponPhoto): string => {
      const fit = fitCoupon(photo);
      return fit.ok ? 'was read' : (fit.problems[0]?.message ?? '');
    };
    const photo = rendered(15, 0.9);
    expect(says({ ...photo, linear: Array.from(photo.linear, (value) => Math.min(1, value * 40)) })).toContain(
      'shorter exposure',
    );
    expect(says({ ...photo, linear: new Float64Array(photo.linear.length) })).toContain('black');
    expect(says({ ...photo, widthMm: 0 })).toContain('how wide');
    expect(
      says({ ...photo, linear: Float64Array.from(photo.linear, (_, pixel) => (pixel === 3 ? 0.5 : 0.001)) }),
    ).toContain('edge');
  });
});

describe('measured figures', () => {
  const opal = shippedCatalogue.faces.find(({ id }) => id === 'opal-3')!;
  const strip = shippedCatalogue.strips[0]!;
  const measured = { on: '2030-01-02', how: 'lux meter', readings: 3, errorShare: 0.01 };

  it('take the place of typical ones, and say so', () => {
    const face = good(withMeasured('faces', opal, { transmittance: 0.41 }, measured));
    expect(face).toMatchObject({ transmittance: 0.41, provenance: 'measured', measured, scatter: opal.scatter });
    expect(good(withMeasured('strips', strip, { lumensPerM: 550 }, measured)).lumensPerM).toBe(550);
    const coat = shippedCatalogue.coatings[0]!;
    expect(good(withMeasured('coatings', coat, { sigmaDeg: 13, hazeShare: 0.88 }, measured)).scatter).toEqual({
      kind: 'lobe',
      sigmaDeg: 13,
      hazeShare: 0.88,
    });
  });

  it('make no light: a typical reflectance gives way, a measured one is refused', () => {
    expect(good(withMeasured('faces', opal, { transmittance: 0.7 }, measured)).reflectance).toBeLessThanOrEqual(0.3);
    const both = withMeasured('faces', opal, { transmittance: 0.7, reflectance: 0.5 }, measured);
    expect(both.ok ? '' : both.problems[0]?.path).toBe('figures.reflectance');
  });

  it.each([
    [{}, 'figures'],
    [{ lumensPerM: 900 }, 'figures.lumensPerM'],
    [{ transmittance: 1.4 }, 'figures.transmittance'],
    [{ hazeShare: Number.NaN }, 'figures.hazeShare'],
  ])('refuse %j by its path', (figures, path) => {
    const item = withMeasured('faces', opal, figures, measured);
    expect(item.ok ? '' : item.problems[0]?.path).toBe(path);
  });
});

describe('the kerf of a tool', () => {
  it('is half of what hole and piece differ by, whatever the scale of the machine', () => {
    const random = seededRandom(4);
    for (let lot = 0; lot < 50; lot += 1) {
      const [kerf, scale] = [0.1 + random() * 6, 0.99 + random() * 0.02];
      const pairs = Array.from({ length: 5 }, () => ({
        pieceMm: 40 * scale - kerf,
        holeMm: 40 * scale + kerf,
      }));
      const fit = fitKerf(pairs, 40);
      if (!fit.ok) throw new Error('no fit');
      expect(fit.value.value).toBeCloseTo(kerf, 9);
      expect(fit.value.scaleErrorMm).toBeCloseTo(40 * (scale - 1), 9);
      expect(fit.value.error).toBeLessThan(1e-9);
    }
  });

  it('is as sure as its readings agree: the standard error of their mean', () => {
    // Kerfs 0.18, 0.20, 0.22: mean 0.20, spread 0.02, over the root of three.
    const fit = fitKerf(
      [0.18, 0.2, 0.22].map((kerf) => ({ pieceMm: 40 - kerf, holeMm: 40 + kerf })),
      40,
    );
    expect(fit.ok && [fit.value.value, fit.value.error, fit.value.readings]).toEqual([
      expect.closeTo(0.2, 9),
      expect.closeTo(0.02 / Math.sqrt(3), 9),
      3,
    ]);
  });

  it('of a saw is what two halves lack of the whole', () => {
    const fit = fitSawKerf([
      { wholeMm: 200, halvesMm: 196.9 },
      { wholeMm: 180.4, halvesMm: 177.1 },
    ]);
    expect(fit.ok && fit.value.value).toBeCloseTo(3.2, 9);
  });

  it.each([
    [fitKerf([{ pieceMm: 40.2, holeMm: 39.8 }], 40), '0.holeMm', 'swapped'],
    [fitKerf([{ pieceMm: Number.NaN, holeMm: 40 }], 40), '0.pieceMm', 'above 0'],
    [fitKerf([{ pieceMm: 40, holeMm: 400 }], 40), '0.holeMm', 'too far apart'],
    [fitKerf([], 40), '', 'no readings'],
    [fitSawKerf([{ wholeMm: 100, halvesMm: 103 }]), '0.wholeMm', 'swapped'],
  ] as const)('is refused with its place where readings cannot be so', (fit, path, words) => {
    expect(fit.ok ? null : fit.problems[0]!.path).toBe(path);
    expect(fit.ok ? '' : fit.problems[0]!.message).toContain(words);
  });

  it('goes into the item, which from then on is measured; nothing else of it can be', () => {
    const blade = shippedCatalogue.cutters[0]!;
    const measured = { on: '2030-01-31', how: 'calipers', readings: 3, errorShare: 0.01 };
    const changed = withMeasured('cutters', blade, { cutMm: 2.9 }, measured);
    expect(changed).toMatchObject({ ok: true, value: { id: blade.id, cutMm: 2.9, provenance: 'measured' } });
    expect(withMeasured('cutters', blade, { transmittance: 0.4 }, measured).ok).toBe(false);
    expect(withMeasured('tools', shippedCatalogue.tools[1]!, { cutMm: 60 }, measured).ok).toBe(false);
  });

  it('of a tool may be of one material, and counts there alone', () => {
    const laser = shippedCatalogue.tools.find(({ id }) => id === 'laser')!;
    const measured = { on: '2030-01-31', how: 'calipers', readings: 3, errorShare: 0.01 };
    const inWood = withMeasured('tools', laser, { cutMm: 0.31, stuff: 'wood' }, measured);
    if (!inWood.ok) throw new Error('refused');
    expect(inWood.value).toMatchObject({ cutMm: 0.2, kerfs: { wood: 0.31 }, provenance: 'measured' });
    expect([toolIn(inWood.value, { stuff: 'wood' }).cutMm, toolIn(inWood.value, { stuff: 'acrylic' }).cutMm]).toEqual([
      0.31, 0.2,
    ]);
    const both = withMeasured('tools', inWood.value, { cutMm: 0.17, stuff: 'acrylic' }, measured);
    expect(both).toMatchObject({ ok: true, value: { kerfs: { wood: 0.31, acrylic: 0.17 } } });
    expect(withMeasured('cutters', shippedCatalogue.cutters[0]!, { cutMm: 3, stuff: 'wood' }, measured).ok).toBe(false);
  });
});
