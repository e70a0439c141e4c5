import { lobeNorm, stackOf, viewThrough, xK1, type Layer } from '../light/optics/index.js';
import { blurMap } from '../base/raster/index.js';
import { middleGrid } from './bench.js';
import type { ValidationCase } from './types.js';

const layer = (scatter: Layer['scatter'], behindMm = 0, transmittance = 0.8, reflectance = 0.15): Layer => ({
  name: 'layer',
  behindMm,
  transmittance,
  reflectance,
  scatter,
  tint: [1, 1, 1],
});
const lobe = (sigmaDeg: number, hazeShare = 1): Layer['scatter'] => ({ kind: 'lobe', sigmaDeg, hazeShare });
const lambertian: Layer['scatter'] = { kind: 'lambertian' };

/** Width of what a stack shows of one LED: the angle at which it is e^−½ of its peak, by halving (°). */
export const shownWidthDeg = (layers: readonly Layer[], throwMm: number): number => {
  const { towardNormal } = viewThrough(stackOf(layers, 0), throwMm);
  const at = (angle: number): number => towardNormal(Math.cos(angle) ** 2) / towardNormal(1);
  let [low, high] = [0, Math.PI / 3];
  for (let turn = 0; turn < 40; turn += 1) {
    const middle = (low + high) / 2;
    if (at(middle) > Math.exp(-0.5)) low = middle;
    else high = middle;
  }
  return (low * 180) / Math.PI;
};

/** Contrast left of a fine ripple after a blur. */
const leftOfRipple = (transfer: (f: number) => number, pitchMm: number, reachMm: number): number => {
  const grid = middleGrid(pitchMm * 16, 8, 256, 8);
  const ripple = Float64Array.from(
    { length: 256 * 8 },
    (_, cell) => 1 + 0.5 * Math.cos((2 * Math.PI * ((cell % 256) + 0.5)) / 16),
  );
  const blurred = blurMap(ripple, grid, transfer, reachMm);
  const row = blurred.subarray(3 * 256 + 96, 3 * 256 + 160);
  const [low, high] = [Math.min(...row), Math.max(...row)];
  return (high - low) / (high + low) / 0.5 / Math.cos(Math.PI / 16);
};

/** Sum of the series that light makes between two slabs. */
const seriesOf = (t1: number, r1: number, t2: number, r2: number): number => {
  let [sum, term] = [0, t1 * t2];
  for (let bounce = 0; bounce < 200; bounce += 1, term *= r1 * r2) sum += term;
  return sum;
};

export const faceCases: readonly ValidationCase[] = [
  {
    group: 'faces',
    name: 'a very wide lobe, from 57° aside',
    against: 'τ / π, as a Lambertian sheet',
    tolerance: 1e-3,
    run: () => ({
      computed: viewThrough(stackOf([layer(lobe(6000))], 0), 60).towardNormal(0.3),
      expected: 0.8 / Math.PI,
    }),
  },
  {
    group: 'faces',
    name: 'norm of a narrow lobe, σ = 3°',
    against: '2πσ² for small angles',
    tolerance: 5e-3,
    run: () => ({ computed: lobeNorm((3 * Math.PI) / 180), expected: 2 * Math.PI * ((3 * Math.PI) / 180) ** 2 }),
  },
  {
    group: 'faces',
    name: 'unscattered share of two layers of haze 0.8 and 0.9',
    against: 'T (1 − h₁)(1 − h₂)',
    tolerance: 1e-9,
    run: () => {
      const stack = stackOf([layer(lobe(10, 0.8)), layer(lobe(12, 0.9))], 0);
      return { computed: viewThrough(stack, 60).imageShare, expected: stack.transmittance * 0.2 * 0.1 };
    },
  },
  {
    group: 'faces',
    name: 'two tight lobes of 8° and 15°',
    against: 'widths add in quadrature: 17°',
    tolerance: 1e-6,
    run: () => ({ computed: shownWidthDeg([layer(lobe(8)), layer(lobe(15))], 60), expected: 17 }),
  },
  {
    group: 'faces',
    name: 'a lobe of 16° half way between LED and face, with one of 6° at the face',
    against: 'each weighted by its distance: √(8² + 6²) = 10°',
    tolerance: 1e-6,
    run: () => ({ computed: shownWidthDeg([layer(lobe(16), 30), layer(lobe(6))], 60), expected: 10 }),
  },
  {
    group: 'faces',
    name: 'light through two sheets, with what bounces between them',
    against: 'the series Σ τ₁τ₂ (ρ₁ρ₂)ⁿ',
    tolerance: 1e-9,
    run: () => ({
      computed: stackOf([layer(lambertian, 0, 0.4, 0.5), layer(lambertian, 0, 0.45, 0.45)], 0).transmittance,
      expected: seriesOf(0.4, 0.5, 0.45, 0.45),
    }),
  },
  {
    group: 'faces',
    name: 'x K₁(x) at 1.7',
    against: 'x ∫ exp(−x cosh t) cosh t dt',
    tolerance: 1e-5,
    run: () => {
      let sum = 0;
      for (let t = 0.0005; t < 12; t += 0.001) sum += Math.exp(-1.7 * Math.cosh(t)) * Math.cosh(t) * 0.001;
      return { computed: xK1(1.7), expected: 1.7 * sum };
    },
  },
  {
    group: 'faces',
    name: 'ripple of 40 mm left by a second opal sheet 10 mm away',
    against: '2πfg K₁(2πfg)',
    tolerance: 0.01,
    run: () => {
      const view = viewThrough(stackOf([layer(lambertian, 10), layer(lambertian)], 13), 70);
      return {
        computed: leftOfRipple(view.blur?.transfer ?? (() => 1), 40, view.blur?.reachMm ?? 0),
        expected: xK1((2 * Math.PI * 10) / 40),
      };
    },
  },
  {
    group: 'faces',
    name: 'ripple of 30 mm left by a Gaussian blur of 6 mm',
    against: 'exp(−2π²w²/p²), half the first harmonic of a blurred comb',
    tolerance: 0.01,
    run: () => ({
      computed: leftOfRipple((f) => Math.exp(-2 * (Math.PI * f * 6) ** 2), 30, 30),
      expected: Math.exp((-2 * Math.PI ** 2 * 36) / 900),
    }),
  },
];
