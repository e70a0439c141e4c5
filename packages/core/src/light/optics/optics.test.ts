import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Scatter } from '../../document/catalogue/index.js';
import { lobeNorm, partlyCovered, stackOf, viewThrough, xK1, type Layer } from './index.js';

const every: Scatter = { kind: 'lambertian' };
const lobe = (sigmaDeg: number, hazeShare = 1): Scatter => ({ kind: 'lobe', sigmaDeg, hazeShare });
const layer = (transmittance: number, reflectance: number, scatter: Scatter, behindMm = 0): Layer => ({
  name: 'sheet',
  behindMm,
  transmittance,
  reflectance,
  scatter,
  tint: [1, 1, 1],
});

/** Light between two slabs followed bounce by bounce. */
const bounced = (a: Layer, b: Layer): { readonly out: number; readonly back: number } => {
  let [out, back, forward] = [0, a.reflectance, a.transmittance];
  for (let bounce = 0; bounce < 400; bounce += 1) {
    out += forward * b.transmittance;
    const returned = forward * b.reflectance;
    back += returned * a.transmittance;
    forward = returned * a.reflectance;
  }
  return { out, back };
};

const anyLayer = fc
  .tuple(fc.double({ min: 0.01, max: 0.98, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([transmittance, share]) => layer(transmittance, (1 - transmittance) * share, every));

describe('a stack of layers', () => {
  it('of one layer is that layer, and of none is open', () => {
    expect(stackOf([layer(0.5, 0.4, every)], 0)).toMatchObject({
      transmittance: 0.5,
      innerReflectance: 0.4,
      outerReflectance: 0.4,
    });
    expect(stackOf([], 0)).toMatchObject({ transmittance: 1, innerReflectance: 0, outerReflectance: 0 });
  });

  it('passes and returns what light bouncing between two layers adds up to', () => {
    const [a, b] = [layer(0.5, 0.4, every), layer(0.7, 0.2, every)];
    const stack = stackOf([a, b], 0);
    expect(stack.transmittance).toBeCloseTo(bounced(a, b).out, 12);
    expect(stack.innerReflectance).toBeCloseTo(bounced(a, b).back, 12);
    expect(stack.outerReflectance).toBeCloseTo(bounced(b, a).back, 12);
  });

  it('never makes light, and passes the same in both directions', () => {
    fc.assert(
      fc.property(fc.array(anyLayer, { minLength: 1, maxLength: 6 }), (layers) => {
        const stack = stackOf(layers, 0);
        const turned = stackOf([...layers].reverse(), 0);
        expect(stack.transmittance + stack.innerReflectance).toBeLessThanOrEqual(1 + 1e-12);
        expect(turned.transmittance).toBeCloseTo(stack.transmittance, 12);
        expect(turned.innerReflectance).toBeCloseTo(stack.outerReflectance, 12);
      }),
      { seed: 11, numRuns: 200 },
    );
  });

  it('keeps all light when no layer absorbs any', () => {
    const stack = stackOf([layer(0.6, 0.4, every), layer(0.3, 0.7, every), layer(0.9, 0.1, every)], 0);
    expect(stack.transmittance + stack.innerReflectance).toBeCloseTo(1, 12);
  });

  it('passes colours through one filter after the other', () => {
    const red: Layer = { ...layer(0.5, 0.2, every), tint: [2, 0.5, 0.5] };
    expect(stackOf([red, red], 0).tint).toEqual([4, 0.25, 0.25]);
  });
});

describe('what a viewer sees through a stack', () => {
  it('is τ/π at every angle behind a sheet that scatters every way', () => {
    const view = viewThrough(stackOf([layer(0.5, 0.4, every)], 0), 60);
    expect(view.lambertian).toBe(true);
    expect(view.imageShare).toBe(0);
    for (const cosSquared of [1, 0.5, 0.1]) expect(view.towardNormal(cosSquared)).toBeCloseTo(0.5 / Math.PI, 12);
    expect(view.blur).toBeNull();
  });

  it('comes to the same through a very wide lobe', () => {
    const view = viewThrough(stackOf([layer(0.5, 0.4, lobe(4000))], 0), 60);
    expect(view.towardNormal(1)).toBeCloseTo(0.5 / Math.PI, 4);
    expect(view.towardNormal(0.2)).toBeCloseTo(0.5 / Math.PI, 4);
  });

  it('shows the unscattered share of a hazy sheet as the LED itself', () => {
    const view = viewThrough(stackOf([layer(0.9, 0.05, lobe(12, 0.8))], 0), 60);
    expect(view.imageShare).toBeCloseTo(0.9 * 0.2, 12);
    expect(view.lambertian).toBe(false);
  });

  it('sends out of a lobe, over all directions, what the sheet passes', () => {
    // By reciprocity the lobe toward the normal, weighted by the cosine over the half sphere, is the sheet’s τ.
    const view = viewThrough(stackOf([layer(0.8, 0.1, lobe(20))], 0), 60);
    const steps = 4000;
    let sum = 0;
    for (let step = 0; step < steps; step += 1) {
      const angle = ((step + 0.5) * Math.PI) / 2 / steps;
      sum += view.towardNormal(Math.cos(angle) ** 2) * Math.cos(angle) * Math.sin(angle);
    }
    expect(2 * Math.PI * sum * (Math.PI / 2 / steps)).toBeCloseTo(0.8, 3);
  });

  it('adds the widths of two tight lobes in quadrature, and counts a sheet nearer to the LEDs for less', () => {
    const width = (behindMm: number): number =>
      viewThrough(stackOf([layer(0.9, 0, lobe(10), behindMm), layer(0.9, 0, lobe(10))], behindMm), 60).narrowestRad;
    const ten = (10 * Math.PI) / 180;
    expect(width(0)).toBeCloseTo(Math.SQRT2 * ten, 9);
    expect(width(30)).toBeCloseTo(Math.hypot(1, 0.5) * ten, 9);
    expect(width(60)).toBeCloseTo(ten, 9);
  });

  it('blurs what a scattering sheet shows by a spaced one before it, and not by a tight one', () => {
    const of = (gapMm: number) =>
      viewThrough(stackOf([layer(0.6, 0.3, every, gapMm), layer(0.6, 0.3, every)], gapMm), 60).blur;
    expect(of(0)).toBeNull();
    const { transfer, reachMm } = of(10)!;
    expect(transfer(0)).toBe(1);
    expect(transfer(0.02)).toBeCloseTo(xK1(2 * Math.PI * 0.02 * 10), 12);
    expect(reachMm).toBe(40);
  });

  it('blurs by a lobe at a distance as a Gaussian of that width', () => {
    const stack = stackOf([layer(0.6, 0.3, every, 20), layer(0.9, 0.05, lobe(8))], 20);
    const widthMm = (20 * 8 * Math.PI) / 180;
    const { transfer } = viewThrough(stack, 60).blur!;
    for (const f of [0, 0.01, 0.05]) expect(transfer(f)).toBeCloseTo(Math.exp(-2 * (Math.PI * f * widthMm) ** 2), 12);
  });
});

describe('a stack that is partly covered', () => {
  const stack = stackOf([layer(0.6, 0.3, every), layer(0.9, 0.05, every)], 0);

  it('is the mean of open and covered by area, and passes the same where it is open', () => {
    // Covered: 0.3 of the first, and what it passes there and back off the cover, light between both counted.
    const covered = 0.3 + (0.6 ** 2 * 0.4) / (1 - 0.3 * 0.4);
    for (const open of [0, 0.25, 1]) {
      const half = partlyCovered(stack, open, 0.4);
      expect(half.innerReflectance).toBeCloseTo(open * stack.innerReflectance + (1 - open) * covered, 12);
      expect(half.transmittance).toBe(stack.transmittance);
      expect(half.openShare).toBe(open);
    }
  });

  it('never gives more than comes in, whatever the share', () => {
    for (const asked of [-1, 0, 0.1, 0.5, 0.9, 1, 7]) {
      const { innerReflectance, transmittance, openShare } = partlyCovered(stack, asked, 0.95);
      expect(innerReflectance + transmittance * openShare).toBeLessThanOrEqual(1);
      expect(openShare).toBe(Math.min(1, Math.max(0, asked)));
    }
  });
});

describe('the functions behind it', () => {
  it('x K₁(x) meets tabled values', () => {
    // Abramowitz & Stegun, table 9.8.
    expect(xK1(0)).toBe(1);
    expect(xK1(1) / 1).toBeCloseTo(0.6019072302, 6);
    expect(xK1(2) / 2).toBeCloseTo(0.1398658818, 6);
    expect(xK1(5) / 5).toBeCloseTo(0.0040446134, 8);
    expect(xK1(2 + 1e-9)).toBeCloseTo(xK1(2), 6);
  });

  it('a narrow lobe’s norm is 2πσ², a wide one’s π', () => {
    expect(lobeNorm(0.02) / (2 * Math.PI * 0.02 ** 2)).toBeCloseTo(1, 2);
    expect(lobeNorm(1000)).toBeCloseTo(Math.PI, 4);
  });
});
