import { beforeAll, describe, expect, it } from '@jest/globals';
import Module from 'manifold-3d';
import fc from 'fast-check';
import type { FontBook } from '../../artwork/lettering/index.js';
import { haloSolids } from '../../builds/halo/solids.js';
import {
  outlineArea,
  outlineBounds,
  rectRing,
  solidParts,
  subtract,
  unite,
  type Outline,
} from '../../base/outlines/index.js';
import { solidIn } from '../../testing/solid-in.js';
import { changed, curlew, inAssembly, evaluated, testFonts } from '../../testing/harness.js';
import { boreAlong, letterShell, solidOfBlocks, stacked, stlOf, wallClip, type Triangles } from './index.js';

let fonts: FontBook;
let kernel: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
  fonts = await testFonts();
  kernel = await Module();
  kernel.setup();
});

/** What an independent geometry kernel makes of a surface: fails unless it is closed and manifold. */
const checked = (triangles: Triangles): { readonly volume: number; readonly parts: number } => {
  const { volume, parts } = solidIn(kernel, triangles);
  return { volume, parts };
};

/** Every edge is walked once each way: nothing open, nothing doubled. */
const isWatertight = (triangles: Triangles): boolean => {
  const edges = new Map<string, number>();
  const key = (at: number): string => [...triangles.subarray(3 * at, 3 * at + 3)].map(Math.fround).join();
  for (let triangle = 0; triangle < triangles.length / 9; triangle += 1)
    for (let side = 0; side < 3; side += 1) {
      const [a, b] = [key(3 * triangle + side), key(3 * triangle + ((side + 1) % 3))];
      edges.set(`${a} ${b}`, (edges.get(`${a} ${b}`) ?? 0) + 1);
      edges.set(`${b} ${a}`, (edges.get(`${b} ${a}`) ?? 0) - 1);
    }
  return [...edges.values()].every((count) => count === 0);
};

const ring: Outline = subtract(
  [rectRing({ x: 0, y: 0, width: 60, height: 40 })],
  [rectRing({ x: 20, y: 10, width: 20, height: 20 })],
);

describe('stacked solids', () => {
  it('are watertight, and as large as area times height', () => {
    const plate = stacked([{ outline: ring, fromMm: 0, toMm: 5 }]);
    expect(isWatertight(plate)).toBe(true);
    expect(checked(plate).volume).toBeCloseTo((60 * 40 - 400) * 5, 2);
    const stepped = stacked([
      { outline: ring, fromMm: 0, toMm: 5 },
      { outline: [rectRing({ x: 2, y: 2, width: 10, height: 10 })], fromMm: 5, toMm: 9 },
    ]);
    expect(isWatertight(stepped)).toBe(true);
    expect(checked(stepped).volume).toBeCloseTo(2000 * 5 + 100 * 4, 2);
    expect(stacked([])).toHaveLength(0);
  });

  it('are watertight whatever the letters', () => {
    const size = fc.integer({ min: 20, max: 90 });
    const part = fc.tuple(size, size, size, size).map(([x, y, width, height]) => rectRing({ x, y, width, height }));
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 5 }), fc.double({ min: 0.8, max: 6 }), (parts, wallMm) => {
        for (const letter of solidParts(unite(parts)))
          expect(isWatertight(letterShell(letter, [], { depthMm: 20, frontMm: 2, wallMm }))).toBe(true);
      }),
      { seed: 12, numRuns: 60 },
    );
  });
});

describe('solids of blocks', () => {
  const cube = { x: [0, 10], y: [0, 10], z: [0, 10] } as const;

  it('are what is added less what is taken, watertight', () => {
    const hollow = solidOfBlocks([cube], [{ x: [2, 8], y: [2, 8], z: [4, 12] }]);
    expect(isWatertight(hollow)).toBe(true);
    expect(checked(hollow)).toEqual({ volume: expect.closeTo(1000 - 36 * 6, 6), parts: 1 });
    expect(solidOfBlocks([], [cube])).toHaveLength(0);
  });

  it('fall apart where nothing holds them, and are one where they touch', () => {
    const two = solidOfBlocks([cube, { x: [20, 30], y: [0, 10], z: [0, 10] }], []);
    expect(checked(two).parts).toBe(2);
    const joined = solidOfBlocks([cube, { x: [10, 30], y: [2, 8], z: [2, 8] }], []);
    expect(checked(joined)).toEqual({ volume: expect.closeTo(1000 + 20 * 36, 6), parts: 1 });
  });

  it.each(['x', 'y', 'z'] as const)('take round bores along %s', (axis) => {
    const bored = solidOfBlocks([cube], boreAlong(axis, [5, 5], 6, [0, 10]));
    expect(isWatertight(bored)).toBe(true);
    const { volume, parts } = checked(bored);
    expect(parts).toBe(1);
    expect(Math.abs((1000 - volume) / (Math.PI * 9 * 10) - 1)).toBeLessThan(0.02);
  });
});

describe('things to print', () => {
  it('a shell has a front, returns and a socket for each post', () => {
    const letter: Outline = [rectRing({ x: 0, y: 0, width: 100, height: 60 })];
    const sizes = { depthMm: 25, frontMm: 3, wallMm: 2 };
    const plain = checked(letterShell(letter, [], sizes));
    const returns = 100 * 60 - 96 * 56;
    expect(plain).toEqual({ volume: expect.closeTo(6000 * 3 + returns * 22, 0), parts: 1 });
    const posted = checked(letterShell(letter, [{ at: [50, 30], diameterMm: 6 }], sizes));
    // 48 corners make a round 0.3 % smaller than a circle.
    const socket = Math.PI * (5.55 ** 2 - 3.15 ** 2) * 22;
    expect(Math.abs(posted.volume - plain.volume - socket)).toBeLessThan(0.005 * socket);
  });

  it('a clip stands on the wall and takes its post', () => {
    for (const diameter of [3, 6, 12]) {
      const clip = wallClip(diameter, 20);
      expect(isWatertight(clip)).toBe(true);
      expect(checked(clip).parts).toBe(1);
    }
  });

  it('of real letters are closed surfaces to an independent kernel, each in one piece', () => {
    const hollow = changed(
      curlew,
      inAssembly({ 'letters.form': 'hollow', 'letters.boardId': 'printed-white-3', 'letters.wallMm': 2.4 }),
    );
    const evaluation = evaluated(hollow, fonts);
    for (const part of evaluation.posts) {
      const shell = letterShell(part.outline, part.posts, { depthMm: 30, frontMm: 3, wallMm: 2.4 });
      expect(isWatertight(shell)).toBe(true);
      const { volume, parts } = checked(shell);
      expect(parts).toBe(1);
      expect(volume).toBeGreaterThan(outlineArea(part.outline) * 3);
      expect(volume).toBeLessThan(outlineArea(part.outline) * 30);
    }
    expect(haloSolids(evaluation).map(({ name }) => name)).toEqual([
      'wall-clip',
      ...[1, 2, 3, 4, 5, 6].map((number) => `letter-${number}`),
    ]);
    expect(haloSolids(evaluated(curlew, fonts)).map(({ name }) => name)).toEqual(['wall-clip']);
  });

  it('of a split letter is a closed surface for each piece, with the posts that stand in it', () => {
    for (const registration of ['tabs', 'pins'] as const) {
      const split = changed(
        curlew,
        inAssembly({
          'letters.form': 'hollow',
          'letters.boardId': 'printed-white-3',
          'letters.wallMm': 2.4,
          'artwork.registration': registration,
        }),
      );
      const whole = evaluated(split, fonts);
      const { x, y, width, height } = outlineBounds(whole.posts[0]!.outline)!;
      const splits = [{ xMm: x + width / 2, yMm: y + height / 2, angleDeg: 0 }];
      const files = haloSolids(evaluated(changed(split, inAssembly({ 'artwork.splits': splits })), fonts));
      expect(files.slice(1, 4).map(({ name }) => name)).toEqual(['letter-1a', 'letter-1b', 'letter-2']);
      for (const { triangles } of files.slice(1, 3)) {
        expect(isWatertight(triangles)).toBe(true);
        expect(checked(triangles).volume).toBeGreaterThan(0);
      }
    }
  });

  it('STL holds every triangle with its normal', () => {
    const cube = stacked([{ outline: [rectRing({ x: 0, y: 0, width: 10, height: 10 })], fromMm: 0, toMm: 10 }]);
    const bytes = stlOf(cube, 'cube');
    const view = new DataView(bytes.buffer);
    expect(view.getUint32(80, true)).toBe(12);
    expect(bytes).toHaveLength(84 + 12 * 50);
    expect(String.fromCharCode(...bytes.subarray(0, 12))).toBe('Vitrum: cube');
    for (let triangle = 0; triangle < 12; triangle += 1) {
      const normal = [0, 1, 2].map((axis) => view.getFloat32(84 + triangle * 50 + 4 * axis, true));
      expect(Math.hypot(...normal)).toBeCloseTo(1, 6);
      // Out of the cube: from its middle, the normal and the corner point the same way.
      const corner = [0, 1, 2].map((axis) => view.getFloat32(84 + triangle * 50 + 12 + 4 * axis, true) - 5);
      expect(normal.reduce((sum, value, axis) => sum + value * corner[axis]!, 0)).toBeGreaterThan(0);
    }
  });
});
