import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { dispensary, evaluated, testFonts } from '../../testing/harness.js';
import {
  comparePhoto,
  isFaceOn,
  isWholeFace,
  quadMap,
  type PhotographedFace,
  type Corners,
  type Photo,
} from './index.js';

let fonts: FontBook;
let face: PhotographedFace;
beforeAll(async () => {
  fonts = await testFonts();
  face = evaluated(dispensary, fonts).assemblies[0]!.glow;
});

const straightOn: Corners = [
  [200, 250],
  [1000, 250],
  [1000, 550],
  [200, 550],
];
/** From the right and from below, as a hand-held camera sees it. */
const slanted: Corners = [
  [230, 300],
  [990, 240],
  [1040, 570],
  [190, 540],
];

const [widthPx, heightPx] = [1200, 800];

/**
 * Solves the projective map backwards for every pixel by Newton’s way, from where the one before it was found; far from any
 * corner it would not, and those are left at −1.
 */
const backwards = (corners: Corners): Float64Array => {
  const at = quadMap(corners);
  const [low, high] = [Math.min, Math.max].map((most) =>
    [0, 1].map((axis) => most(...corners.map((corner) => corner[axis]!))),
  ) as [number[], number[]];
  const places = new Float64Array(2 * widthPx * heightPx).fill(-1);
  for (let y = Math.ceil(low[1]!); y < high[1]!; y += 1) {
    let [u, v] = [0.5, 0.5];
    for (let x = Math.ceil(low[0]!); x < high[0]!; x += 1) {
      for (let turn = 0; turn < 6; turn += 1) {
        const [px, py] = at(u, v);
        const [ex, ey] = [x + 0.5 - px, y + 0.5 - py];
        if (Math.abs(ex) + Math.abs(ey) < 1e-6) break;
        const [ux, uy] = at(u + 1e-5, v);
        const [vx, vy] = at(u, v + 1e-5);
        const [a, b, c, d] = [(ux - px) / 1e-5, (vx - px) / 1e-5, (uy - py) / 1e-5, (vy - py) / 1e-5];
        const area = a * d - b * c;
        u += (d * ex - b * ey) / area;
        v += (a * ey - c * ex) / area;
      }
      places.set([u, v], 2 * (y * widthPx + x));
    }
  }
  return places;
};
const backwardsBy = new Map<Corners, Float64Array>();

const toByte = (linear: number): number => {
  const held = Math.min(1, Math.max(0, linear));
  return Math.round(255 * (held <= 0.0031308 ? 12.92 * held : 1.055 * held ** (1 / 2.4) - 0.055));
};

interface Taken {
  readonly corners?: Corners;
  /** Linear value of the mean luminance of the face. */
  readonly exposure?: number;
  readonly noise?: number;
  /** What the piece gives besides what was computed, by place (0 to 1, from the upper left). */
  readonly fault?: (u: number, v: number) => number;
}

/** A photograph rendered from a computed face: perspective, noise of the sensor, sRGB bytes; black letters, dark wall. */
const photographed = ({ corners = slanted, exposure = 0.3, noise = 0.02, fault = () => 1 }: Taken): Photo => {
  const places = backwardsBy.get(corners) ?? backwards(corners);
  backwardsBy.set(corners, places);
  const data = new Uint8ClampedArray(4 * widthPx * heightPx);
  const { grid, luminance, letters } = face;
  const mean = luminance.reduce((sum, value) => sum + value, 0) / luminance.length;
  let seed = 11;
  const random = (): number => ((seed = (seed * 16807) % 2147483647) - 1) / 2147483646;
  for (let y = 0; y < heightPx; y += 1)
    for (let x = 0; x < widthPx; x += 1) {
      const [u, v] = [places[2 * (y * widthPx + x)]!, places[2 * (y * widthPx + x) + 1]!];
      let value = 0.004;
      if (u > 0 && u < 1 && v > 0 && v < 1) {
        const cell = Math.floor((1 - v) * grid.rows) * grid.columns + Math.floor(u * grid.columns);
        value = (luminance[cell]! / mean) * exposure * (1 - 0.97 * letters[cell]!) * fault(u, v);
      }
      const normal = Math.sqrt(-2 * Math.log(random() + 1e-12)) * Math.cos(2 * Math.PI * random());
      const noisy = value + noise * Math.sqrt(value * 0.3) * normal;
      const [byte, pixel] = [toByte(noisy), 4 * (y * widthPx + x)];
      data.fill(byte, pixel, pixel + 3);
      data[pixel + 3] = 255;
    }
  return { width: widthPx, height: heightPx, data };
};

const compared = (taken: Taken, corners: Corners = taken.corners ?? slanted) => {
  const found = comparePhoto(photographed(taken), corners, face);
  if (!found.ok) throw new Error(found.problems.map(({ message }) => message).join('; '));
  return found.value;
};
const refused = (taken: Taken, corners?: Corners): string => {
  const found = comparePhoto(photographed(taken), corners ?? taken.corners ?? slanted, face);
  return found.ok ? '' : found.problems.map(({ message }) => message).join('; ');
};

describe('a rectangle in a picture', () => {
  it('is met at its corners, and its middle where its diagonals cross', () => {
    const at = quadMap(slanted);
    for (const [place, corner] of [
      [[0, 0], slanted[0]],
      [[1, 0], slanted[1]],
      [[1, 1], slanted[2]],
      [[0, 1], slanted[3]],
    ] as const) {
      const [x, y] = at(place[0], place[1]);
      expect([x, y]).toEqual([expect.closeTo(corner[0], 9), expect.closeTo(corner[1], 9)]);
    }
    const [x, y] = at(0.5, 0.5);
    const [a, b, c, d] = slanted;
    const across = (p: readonly [number, number], q: readonly [number, number]): number =>
      (q[0] - p[0]) * (y - p[1]) - (q[1] - p[1]) * (x - p[0]);
    expect(across(a, c)).toBeCloseTo(0, 6);
    expect(across(b, d)).toBeCloseTo(0, 6);
  });

  it('has its corners in their order', () => {
    expect(isFaceOn(slanted)).toBe(true);
    const [a, b, c, d] = slanted;
    expect([isFaceOn([b, a, c, d]), isFaceOn([d, c, b, a]), isFaceOn([a, b, [500, 400], d])]).toEqual([
      false,
      false,
      false,
    ]);
  });
});

describe('what can be photographed', () => {
  it('is a face that is lit all over: not the wall behind letters, not lines on dark ground', () => {
    const outside = { widthMm: face.grid.area.width + 24, heightMm: face.grid.area.height + 24 };
    expect(isWholeFace(face, outside)).toBe(true);
    expect(isWholeFace(face, { ...outside, widthMm: face.grid.area.width / 2 })).toBe(false);
    const lines = face.luminance.map((value, cell) => (cell % 10 === 0 ? value : 0));
    expect(isWholeFace({ ...face, luminance: lines }, outside)).toBe(false);
  });
});

describe('a photograph of a lit face', () => {
  it('straight on or slanted, with noise, gives the evenness that was computed to 3 %', () => {
    for (const corners of [straightOn, slanted]) {
      const { measuredDarkest, computedDarkest, differs } = compared({ corners });
      expect(Math.abs(measuredDarkest / computedDarkest - 1)).toBeLessThan(0.03);
      expect(differs).toBeLessThan(0.02);
    }
  });

  it('whose corners were set two pixels off still does', () => {
    const off = slanted.map(([x, y], at) => [x + (at % 2 ? 2 : -2), y + (at < 2 ? 2 : -2)]) as unknown as Corners;
    const { measuredDarkest, computedDarkest } = compared({}, off);
    expect(Math.abs(measuredDarkest / computedDarkest - 1)).toBeLessThan(0.03);
  });

  it('does not mind how it was exposed', () => {
    const [dim, bright] = [0.1, 0.45].map((exposure) => compared({ exposure }));
    expect(Math.abs(dim!.measuredDarkest / bright!.measuredDarkest - 1)).toBeLessThan(0.03);
  });

  it('shows what the piece has and the design has not: a dim right end, and where', () => {
    const { worst, measuredDarkest, computedDarkest, grid } = compared({ fault: (u) => (u > 0.8 ? 0.6 : 1) });
    expect(measuredDarkest).toBeLessThan(0.8 * computedDarkest);
    expect((worst.xMm - grid.area.x) / grid.area.width).toBeGreaterThan(0.75);
    expect(worst.measured).toBeLessThan(worst.computed);
  });

  it('is refused with what to do where it tells nothing', () => {
    expect(refused({ exposure: 0.95 })).toMatch(/as white as a picture can be.*−1 EV/);
    expect(refused({ exposure: 0.012 })).toMatch(/almost black.*more exposure/);
    const fromTheSide: Corners = [
      [200, 200],
      [900, 330],
      [900, 480],
      [200, 600],
    ];
    expect(refused({ corners: fromTheSide })).toMatch(/2\.7 times as long.*in front of the middle/);
    const [a, b, c, d] = slanted;
    expect(refused({}, [b, a, d, c])).toMatch(/go round the face/);
    expect(refused({}, [a, [1300, 240], c, d])).toMatch(/whole face in it/);
    const small: Corners = [
      [100, 100],
      [180, 100],
      [180, 130],
      [100, 130],
    ];
    expect(refused({}, small)).toMatch(/come closer/);
    const covered = comparePhoto(photographed({}), slanted, { ...face, letters: face.letters.map(() => 1) });
    expect(covered.ok).toBe(false);
  });
});
