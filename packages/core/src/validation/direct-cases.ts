import { directLight, type DirectMethod } from '../light/glow/index.js';
import { seededRandom } from '../base/maths/index.js';
import { resample } from '../base/raster/index.js';
import { cosineLaw, ledsAt, luxMeter, middleGrid, spot } from './bench.js';
import type { ValidationCase } from './types.js';

const mm2PerM2 = 1e6;

/** Illuminance (lx) at a place `h` over LEDs. */
const luxAt = (
  places: readonly (readonly [number, number, number])[],
  m: number,
  h: number,
  x: number,
  y: number,
  normal?: readonly [number, number, number],
): number => directLight(ledsAt(places, cosineLaw(m), 1, normal), spot(x, y), h, luxMeter).map[0]!;

/** Spacing at which two LEDs are flat half way between, found by halving. */
const flatSpacing = (m: number, h: number): number => {
  const bend = (spacing: number): number => {
    const at = (x: number): number =>
      luxAt(
        [
          [-spacing / 2, 0, 0],
          [spacing / 2, 0, 0],
        ],
        m,
        h,
        x,
        0,
      );
    return at(-1) - 2 * at(0) + at(1);
  };
  let [low, high] = [0.3 * h, 2 * h];
  for (let turn = 0; turn < 40; turn += 1) {
    const middle = (low + high) / 2;
    if (bend(middle) < 0) low = middle;
    else high = middle;
  }
  return low;
};

const flat = (m: number): ValidationCase => ({
  group: 'direct light',
  name: `spacing at which two LEDs are flat between, m = ${m}`,
  against: '2h / √(m + 4), where m is the LED’s own exponent (Moreno et al. 2006 count the receiver’s cosine in)',
  tolerance: 1e-3,
  run: () => ({ computed: flatSpacing(m, 60), expected: 120 / Math.sqrt(m + 4) }),
});

const lineOf = (length: number, step: number): readonly (readonly [number, number, number])[] =>
  Array.from({ length: Math.round(length / step) }, (_, index) => [-length / 2 + (index + 0.5) * step, 0, 0]);

const field = (): { leds: ReturnType<typeof ledsAt>; grid: ReturnType<typeof middleGrid> } => {
  const random = seededRandom(12);
  const places = Array.from({ length: 300 }, () => [random() * 560 - 280, random() * 260 - 130, 3] as const);
  return { leds: ledsAt(places, cosineLaw(1.4)), grid: middleGrid(600, 300, 300, 150) };
};

const narrow = {
  ...luxMeter,
  lambertian: false,
  towardNormal: (q: number) => Math.exp(-(Math.acos(Math.sqrt(q)) ** 2) / 0.06),
};

/** Largest difference from the exact sum, added to 1 so that it reads as a ratio. */
const methodAgainstExact = (method: DirectMethod, view: typeof luxMeter): number => {
  const { leds, grid } = field();
  const exact = directLight(leds, grid, 60, view, null, 'exact').map;
  const other = directLight(leds, grid, 60, view, null, method).map;
  const mean = exact.reduce((sum, value) => sum + value, 0) / exact.length;
  return 1 + other.reduce((most, value, cell) => Math.max(most, Math.abs(value - exact[cell]!)), 0) / mean;
};

export const directCases: readonly ValidationCase[] = [
  {
    group: 'direct light',
    name: 'straight ahead of one LED, m = 2',
    against: 'I₀ / h²',
    tolerance: 1e-4,
    run: () => ({
      computed: luxAt([[0, 0, 0]], 2, 50, 0, 0),
      expected: ((3 / (2 * Math.PI)) * mm2PerM2) / 2500,
    }),
  },
  {
    group: 'direct light',
    name: 'aside by 1.7 heights, m = 3.2',
    against: 'cosᵐ⁺³ of the angle',
    tolerance: 1e-4,
    run: () => ({
      computed: luxAt([[0, 0, 0]], 3.2, 60, 102, 0) / luxAt([[0, 0, 0]], 3.2, 60, 0, 0),
      expected: (60 / Math.hypot(60, 102)) ** 6.2,
    }),
  },
  {
    group: 'direct light',
    name: 'LED that looks along the plane',
    against: 'I₀ s h / d⁴, m = 1',
    tolerance: 1e-6,
    run: () => ({
      computed: luxAt([[0, 0, 0]], 1, 40, 70, 0, [1, 0, 0]),
      expected: ((1 / Math.PI) * mm2PerM2 * 70 * 40) / (70 * 70 + 40 * 40) ** 2,
    }),
  },
  flat(1),
  flat(2),
  flat(4),
  {
    group: 'direct light',
    name: 'endless line of LEDs, one height aside',
    against: 'Φ′ h² / 2(h² + y²)^1.5',
    tolerance: 1e-3,
    run: () => ({
      computed: luxAt(lineOf(8000, 2), 1, 40, 0, 40),
      expected: (0.5 * 1600 * mm2PerM2) / (2 * 3200 ** 1.5),
    }),
  },
  {
    group: 'direct light',
    name: 'line of 200 mm, over its end',
    against: 'Φ′h²/π · [x/2a²(x²+a²) + atan(x/a)/2a³]',
    tolerance: 1e-3,
    run: () => {
      const [a, x] = [50, 200];
      const line = (x / (2 * a * a * (x * x + a * a)) + Math.atan(x / a) / (2 * a ** 3)) * (a * a * mm2PerM2);
      return { computed: luxAt(lineOf(200, 1), 1, a, 100, 0), expected: line / Math.PI };
    },
  },
  {
    group: 'direct light',
    name: 'flux on a disc of three heights, by the raster',
    against: 'r² / (r² + h²)',
    tolerance: 5e-3,
    run: () => {
      const grid = middleGrid(400, 400, 400, 400);
      const { map } = directLight(ledsAt([[0, 0, 0]], cosineLaw(1)), grid, 60, luxMeter);
      const inDisc = map.reduce((sum, lux, cell) => {
        const [x, y] = [(cell % 400) - 199.5, Math.floor(cell / 400) - 199.5];
        return x * x + y * y <= 180 * 180 ? sum + lux * 1e-6 : sum;
      }, 0);
      return { computed: inDisc, expected: (180 * 180) / (180 * 180 + 3600) };
    },
  },
  {
    group: 'direct light',
    name: 'splats cut off, narrow lobe: worst cell',
    against: 'the exact sum, within the stated bound',
    tolerance: 2e-3,
    run: () => ({ computed: methodAgainstExact('splat', narrow), expected: 1 }),
  },
  {
    group: 'direct light',
    name: 'convolution by FFT: worst cell',
    against: 'the exact sum, within the stated bound',
    tolerance: 2e-3,
    run: () => ({ computed: methodAgainstExact('convolution', luxMeter), expected: 1 }),
  },
  {
    group: 'direct light',
    name: 'cells of a quarter height filled in by splines: worst cell',
    against: 'the exact sum on fine cells',
    tolerance: 3e-3,
    run: () => {
      const { leds } = field();
      // 15 mm cells under 60 mm of height, with four more round the edge; then 1.5 mm cells between them.
      const coarse = middleGrid(720, 420, 48, 28);
      const fine = middleGrid(600, 300, 400, 200);
      const sampled = directLight(leds, coarse, 63, luxMeter, null, 'exact').map;
      const place = (count: number, from: number, cell: number, start: number): Float64Array =>
        Float64Array.from({ length: count }, (_, index) => (from + (index + 0.5) * cell - start) / 15 - 0.5);
      const filled = resample(sampled, 48, 28, place(400, -300, 1.5, -360), place(200, -150, 1.5, -210));
      const exact = directLight(leds, fine, 63, luxMeter, null, 'exact').map;
      const mean = exact.reduce((sum, value) => sum + value, 0) / exact.length;
      const worst = exact.reduce((most, value, cell) => Math.max(most, Math.abs(value - filled[cell]!)), 0);
      return { computed: 1 + worst / mean, expected: 1 };
    },
  },
];
