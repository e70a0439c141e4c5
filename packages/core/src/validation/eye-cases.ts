import { contrastThreshold, findRipple, vanishingDistance } from '../light/glow/index.js';
import { xK1 } from '../light/optics/index.js';
import { middleGrid } from './bench.js';
import type { ValidationCase } from './types.js';

/** Rows of endless lines of LEDs `pitch` apart, `h` behind the face, row by row. */
const combOfLines = (h: number, pitch: number, rows: number): Float64Array =>
  Float64Array.from({ length: rows }, (_, row) => {
    const y = row - rows / 2 + 0.5;
    let sum = 0;
    for (let line = -40; line <= 40; line += 1) sum += (h * h) / (h * h + (y - line * pitch) ** 2) ** 1.5;
    return sum;
  });

const seen = { pitchMm: 60, luminance: 900, faceMm: 500 };

/** A row of dots of width w, by summing Gaussians. */
const blurredComb = (pitch: number, w: number, columns: number, cell: number): Float64Array =>
  Float64Array.from({ length: columns }, (_, column) => {
    const x = (column - columns / 2 + 0.5) * cell;
    let sum = 0;
    for (let dot = -40; dot <= 40; dot += 1) sum += Math.exp(-((x - dot * pitch) ** 2) / (2 * w * w));
    return sum;
  });

export const eyeCases: readonly ValidationCase[] = [
  {
    group: 'ripple and the eye',
    name: 'contrast at the pitch, rows 80 mm apart, 60 mm behind the face',
    against: '2kh K₁(kh), first harmonic of the comb of line sources',
    tolerance: 0.03,
    run: () => ({
      computed: findRipple(combOfLines(60, 80, 480), middleGrid(1, 480, 1, 480), 'y', 80, () => true).contrast,
      expected: 2 * xK1((2 * Math.PI * 60) / 80),
    }),
  },
  {
    group: 'ripple and the eye',
    name: 'contrast of a comb of dots blurred to a third of the pitch',
    against: '2 exp(−2π²w²/p²)',
    tolerance: 0.02,
    run: () => ({
      computed: findRipple(blurredComb(30, 10, 600, 0.5), middleGrid(300, 1, 600, 1), 'x', 30, () => true).contrast,
      expected: 2 * Math.exp((-2 * Math.PI ** 2 * 100) / 900),
    }),
  },
  {
    group: 'ripple and the eye',
    name: 'contrast of the same comb by a direct look at its cells',
    against: '(max − min) / (max + min) over one pitch',
    tolerance: 0.01,
    run: () => {
      const comb = blurredComb(30, 8, 600, 0.5);
      const pitch = comb.subarray(300, 360);
      const [low, high] = [Math.min(...pitch), Math.max(...pitch)];
      return {
        computed: findRipple(comb, middleGrid(300, 1, 600, 1), 'x', 30, () => true).contrast,
        expected: (high - low) / (high + low),
      };
    },
  },
  {
    group: 'ripple and the eye',
    name: 'threshold where a contrast of 4 % vanishes',
    against: 'that contrast (Barten 2004)',
    tolerance: 1e-4,
    run: () => ({ computed: contrastThreshold(seen, vanishingDistance(seen, 0.04)), expected: 0.04 }),
  },
];
