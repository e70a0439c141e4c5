import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  blurMap,
  cellMiddle,
  fromFrequencies,
  gathered,
  gridOver,
  mapReader,
  mapValue,
  smoothMapValue,
  multiplyBy,
  powerOfTwo,
  resample,
  straightOn,
  toFrequencies,
  type Spectrum,
} from './index.js';
import { seededRandom } from '../maths/index.js';

const spectrum = (width: number, height: number, value: (x: number, y: number) => number): Spectrum => {
  const data = new Float64Array(2 * width * height);
  for (let y = 0; y < height; y += 1) for (let x = 0; x < width; x += 1) data[2 * (y * width + x)] = value(x, y);
  return { width, height, data };
};

const largestDifference = (a: ArrayLike<number>, b: ArrayLike<number>): number =>
  Array.from(a).reduce((most, value, at) => Math.max(most, Math.abs(value - b[at]!)), 0);

describe('a map on another raster', () => {
  it('is what the one has there, straight between its cells, at every cell of the other', () => {
    const coarse = gridOver({ x: -10, y: 5, width: 60, height: 40 }, 7, 5);
    const fine = gridOver({ x: -12, y: 4, width: 65, height: 43 }, 31, 17);
    const map = Float64Array.from({ length: 35 }, (_, at) => (at > 20 ? 0 : Math.sin(at * 1.3) + 2));
    const on = straightOn(map, coarse, fine);
    for (let cell = 0; cell < on.length; cell += 1)
      expect(on[cell]).toBeCloseTo(mapValue(map, coarse, cellMiddle(fine, cell)), 5);
  });
});

describe('frequencies', () => {
  it('come back as they went', () => {
    const there = spectrum(16, 8, (x, y) => Math.sin(x * 1.7) + y * y);
    const before = there.data.slice();
    toFrequencies(there);
    expect(largestDifference(there.data, before)).toBeGreaterThan(1);
    fromFrequencies(there);
    expect(largestDifference(there.data, before)).toBeLessThan(1e-12);
  });

  it('of a wave are at that wave’s place and its mirror, nowhere else', () => {
    const wave = spectrum(16, 4, (x) => Math.cos((2 * Math.PI * 3 * x) / 16));
    toFrequencies(wave);
    const strong = Array.from({ length: 64 }, (_, at) => at).filter(
      (at) => Math.hypot(wave.data[2 * at]!, wave.data[2 * at + 1]!) > 1e-9,
    );
    expect(strong).toEqual([3, 13]);
  });

  it('multiplied are the convolution of both', () => {
    const a = spectrum(8, 4, (x, y) => (x === 1 && y === 0 ? 2 : 0));
    const b = spectrum(8, 4, (x, y) => (x === 2 && y === 3 ? 5 : 0));
    toFrequencies(a);
    toFrequencies(b);
    multiplyBy(a, b);
    fromFrequencies(a);
    const expected = spectrum(8, 4, (x, y) => (x === 3 && y === 3 ? 10 : 0));
    expect(largestDifference(a.data, expected.data)).toBeLessThan(1e-12);
  });

  it.each([
    [0, 2],
    [2, 2],
    [3, 4],
    [1024, 1024],
    [1025, 2048],
  ])('the power of two for %d is %d', (count, power) => expect(powerOfTwo(count)).toBe(power));
});

describe('blurring a map', () => {
  const grid = gridOver({ x: 0, y: 0, width: 120, height: 60 }, 60, 30);
  const gaussian =
    (sigmaMm: number) =>
    (f: number): number =>
      Math.exp(-2 * (Math.PI * f * sigmaMm) ** 2);

  it('leaves an even map even, and keeps the mean of any', () => {
    const even = new Float64Array(1800).fill(3);
    expect(largestDifference(blurMap(even, grid, gaussian(5), 20), even)).toBeLessThan(1e-12);
    const one = new Float64Array(1800);
    one[15 * 60 + 30] = 1;
    expect(blurMap(one, grid, gaussian(4), 16).reduce((a, b) => a + b)).toBeCloseTo(1, 9);
  });

  it('spreads a point as the Gaussian itself', () => {
    const one = new Float64Array(1800);
    const [column, row] = [30, 15];
    one[row * 60 + column] = 1;
    const blurred = blurMap(one, grid, gaussian(5), 25);
    for (const [dx, dy] of [
      [0, 0],
      [2, 0],
      [3, 2],
    ] as const) {
      const r2 = (dx * 2) ** 2 + (dy * 2) ** 2;
      const expected = (4 / (2 * Math.PI * 25)) * Math.exp(-r2 / 50);
      expect(blurred[(row + dy) * 60 + column + dx]).toBeCloseTo(expected, 6);
    }
  });

  it('lets a wave through by its transfer', () => {
    // A whole number of half waves, so that the mirror image carries it on.
    const wave = Float64Array.from({ length: 1800 }, (_, cell) => Math.cos((Math.PI * 4 * ((cell % 60) + 0.5)) / 60));
    const f = 2 / 120;
    const blurred = blurMap(wave, grid, gaussian(6), 30);
    expect(blurred[15 * 60 + 2]! / wave[15 * 60 + 2]!).toBeCloseTo(gaussian(6)(f), 2);
  });
});

describe('values between samples', () => {
  const places = (...at: number[]): Float64Array => Float64Array.from(at);

  it('are the samples themselves at the samples', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 9 }),
        fc.integer({ min: 2, max: 9 }),
        fc.infiniteStream(fc.double({ min: -5, max: 5, noNaN: true })),
        (columns, rows, stream) => {
          const values = Array.from({ length: columns * rows }, () => stream.next().value as number);
          const xs = Float64Array.from({ length: columns }, (_, at) => at);
          const ys = Float64Array.from({ length: rows }, (_, at) => at);
          expect(largestDifference(resample(values, columns, rows, xs, ys), values)).toBeLessThan(1e-9);
        },
      ),
      { seed: 4, numRuns: 60 },
    );
  });

  it('of an even map are even', () =>
    expect(Array.from(resample(new Float64Array(30).fill(7), 6, 5, places(0.3, 2.5), places(1.1)))).toEqual([
      expect.closeTo(7, 12),
      expect.closeTo(7, 12),
    ]));

  it('follow a smooth wave with the fourth power of the spacing', () => {
    const worst = (samples: number): number => {
      const step = 3 / (samples - 1);
      const line = Float64Array.from({ length: samples * 2 }, (_, at) => Math.cos((at % samples) * step * Math.PI));
      const xs = Float64Array.from({ length: 200 }, (_, at) => 1 / step + (at / 200 / step) * 1);
      const got = resample(line, samples, 2, xs, places(0));
      return largestDifference(
        got,
        xs.map((x) => Math.cos(x * step * Math.PI)),
      );
    };
    const ratio = worst(13) / worst(25);
    expect(worst(25)).toBeLessThan(1e-3);
    expect(ratio).toBeGreaterThan(10);
  });
});

describe('a grid', () => {
  it('has its cells’ middles row by row from the lower left', () => {
    const grid = gridOver({ x: -10, y: 5, width: 40, height: 20 }, 4, 2);
    expect([grid.cellWidthMm, grid.cellHeightMm]).toEqual([10, 10]);
    expect(cellMiddle(grid, 0)).toEqual([-5, 10]);
    expect(cellMiddle(grid, 7)).toEqual([25, 20]);
  });
});

describe('a map gathered onto a coarser raster', () => {
  it('keeps its sum and its centre of gravity, wherever both rasters begin', () => {
    const count = fc.integer({ min: 3, max: 12 });
    fc.assert(
      fc.property(count, count, fc.integer({ min: 1, max: 1e6 }), (columns, rows, seed) => {
        const coarse = gridOver({ x: -50, y: -40, width: 120, height: 90 }, columns, rows);
        // Within the middles of the outermost cells, so that nothing is pushed to the edge.
        const fine = gridOver({ x: -29, y: -24, width: 61, height: 43 }, 23, 19);
        const map = Float64Array.from({ length: 23 * 19 }, (_, cell) => ((cell * 7919 + seed) % 101) / 100);
        const momentOf = (values: Float64Array, grid: typeof fine, along: 0 | 1 | null): number =>
          values.reduce((sum, value, cell) => sum + value * (along === null ? 1 : cellMiddle(grid, cell)[along]), 0) *
          grid.cellWidthMm *
          grid.cellHeightMm;
        const brought = gathered(map, fine, coarse);
        for (const along of [null, 0, 1] as const)
          expect(momentOf(brought, coarse, along)).toBeCloseTo(momentOf(map, fine, along), 6);
      }),
      { seed: 9, numRuns: 40 },
    );
  });
});

describe('a value of a map', () => {
  const grid = gridOver({ x: 10, y: -5, width: 40, height: 20 }, 8, 5);

  it('is exact on a plane between the middles, and held beyond them', () => {
    const plane = Float64Array.from({ length: 40 }, (_, cell) => {
      const [x, y] = cellMiddle(grid, cell);
      return 3 + 2 * x - y;
    });
    for (const [x, y] of [
      [13, -2],
      [30.3, 4.4],
      [47, 12],
    ] as const)
      expect(mapValue(plane, grid, [x, y])).toBeCloseTo(3 + 2 * x - y, 9);
    expect(mapValue(plane, grid, [0, 5])).toBe(mapValue(plane, grid, [12.5, 5]));
  });

  it('is the same by a reader that goes from place to place', () => {
    const grid = gridOver({ x: -20, y: 5, width: 130, height: 70 }, 23, 13);
    const random = seededRandom(11);
    const maps = [0, 1].map(() => Float32Array.from({ length: grid.columns * grid.rows }, () => random()));
    const reader = mapReader(grid);
    for (let place = 0; place < 2000; place += 1) {
      // Some of them beyond the border.
      const [x, y] = [-35 + 160 * random(), -5 + 90 * random()];
      reader.goTo(x, y);
      for (const map of maps) expect(reader.read(map)).toBe(mapValue(map, grid, [x, y]));
    }
  });

  it('of a smooth map follows its curve, where straight lines sag', () => {
    const bell = (x: number, y: number): number => Math.exp(-((x - 30) ** 2 + (y - 5) ** 2) / 400);
    const map = Float64Array.from({ length: 40 }, (_, cell) => bell(...cellMiddle(grid, cell)));
    const worst = (valueOf: typeof mapValue): number =>
      Math.max(
        ...[
          [30, 5],
          [25, 7],
          [33.3, 1.2],
        ].map(([x, y]) => Math.abs(valueOf(map, grid, [x!, y!]) - bell(x!, y!))),
      );
    expect(worst(smoothMapValue)).toBeLessThan(0.003);
    expect(worst(mapValue)).toBeGreaterThan(0.015);
    // On the middles themselves nothing changes.
    expect(smoothMapValue(map, grid, cellMiddle(grid, 19))).toBeCloseTo(map[19]!, 12);
  });
});
