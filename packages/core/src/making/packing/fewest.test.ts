import { beforeAll, describe, expect, it } from '@jest/globals';
import loadHighs from 'highs';
import { seededRandom } from '../../base/maths/index.js';
import { binsAtLeast, fewestBins } from './fewest-bins.js';
import { overlapOf } from '../../testing/sheets.js';
import { packSheets, type PlacedPiece } from './index.js';

/** The least number of bins by trying every set of sizes: an independent sum over subsets, for a dozen sizes at most. */
const leastByHand = (sizes: readonly number[], capacity: number): number => {
  const full = 1 << sizes.length;
  const sums = new Float64Array(full);
  for (let set = 1; set < full; set += 1) {
    const low = 31 - Math.clz32(set & -set);
    sums[set] = sums[set & (set - 1)]! + sizes[low]!;
  }
  const least = new Uint8Array(full).fill(99);
  least[0] = 0;
  for (let set = 1; set < full; set += 1)
    for (let sub = set; sub > 0; sub = (sub - 1) & set)
      if (sums[sub]! <= capacity + 1e-9) least[set] = Math.min(least[set]!, least[set ^ sub]! + 1);
  return least[full - 1]!;
};

/** Longest first into the first bin with room, as is done by hand. */
const firstFit = (sizes: readonly number[], capacity: number): number => {
  const left: number[] = [];
  for (const size of [...sizes].sort((a, b) => b - a)) {
    const at = left.findIndex((room) => room >= size);
    if (at < 0) left.push(capacity - size);
    else left[at]! -= size;
  }
  return left.length;
};

const sound = (sizes: readonly number[], capacity: number, bins: readonly (readonly number[])[]): void => {
  expect(bins.flat().sort((a, b) => a - b)).toEqual(sizes.map((_, at) => at));
  for (const bin of bins) expect(bin.reduce((sum, at) => sum + sizes[at]!, 0)).toBeLessThanOrEqual(capacity + 1e-6);
};

describe('lengths in bars', () => {
  it.each([
    // Longest first takes one more than is needed.
    [60, [44, 24, 24, 22, 21, 17, 8, 8, 6, 6], 3],
    [100, [51, 51, 51, 51, 27, 27, 27, 27, 26, 26, 26, 26, 23, 23, 23, 23], 6],
    [1000, [490, 490, 350, 350, 300, 300, 220, 220, 130, 130], 3],
    [2400, [1200, 1200, 800, 800, 800, 600, 600, 600, 600], 3],
    [10, [6, 5, 4, 3, 2], 2],
  ] as const)('of %d: %j take %d', (capacity, sizes, wanted) => {
    const { bins, atLeast } = fewestBins(sizes, capacity);
    sound(sizes, capacity, bins);
    expect([bins.length, atLeast]).toEqual([wanted, wanted]);
  });

  it('take as few as trying every set of them finds, and the bound is never more (300 seeded lots)', () => {
    let better = 0;
    for (let seed = 1; seed <= 300; seed += 1) {
      const random = seededRandom(seed);
      const sizes = Array.from({ length: 3 + Math.floor(random() * 9) }, () => 10 + Math.floor(random() * 55));
      const least = leastByHand(sizes, 100);
      const { bins, atLeast } = fewestBins(sizes, 100);
      sound(sizes, 100, bins);
      expect([bins.length, atLeast]).toEqual([least, least]);
      expect(binsAtLeast(sizes, 100)).toBeLessThanOrEqual(least);
      if (firstFit(sizes, 100) > least) better += 1;
    }
    // Lots by chance are seldom hard; some are.
    expect(better).toBeGreaterThan(0);
  });

  it('that are too many to be proven still come within the bound that is told', () => {
    const random = seededRandom(9);
    const sizes = Array.from({ length: 240 }, () => 180 + random() * 420);
    const { bins, atLeast } = fewestBins(sizes, 1000);
    sound(sizes, 1000, bins);
    expect(atLeast).toBeLessThanOrEqual(bins.length);
    expect(bins.length).toBeLessThanOrEqual(Math.ceil(1.1 * atLeast));
  });

  it('are none for nothing', () => expect(fewestBins([], 100)).toEqual({ bins: [], offcuts: [], atLeast: 0 }));
});

/** Whether pieces can be parted by cuts from edge to edge, again and again. */
const sawable = (pieces: readonly PlacedPiece[]): boolean => {
  if (pieces.length <= 1) return true;
  for (const [from, size] of [
    ['x', 'widthMm'],
    ['y', 'heightMm'],
  ] as const)
    for (const { [from]: start, [size]: length } of pieces) {
      const at = start + length;
      const before = pieces.filter((piece) => piece[from] + piece[size] <= at + 1e-6);
      const after = pieces.filter((piece) => piece[from] >= at - 1e-6);
      if (after.length > 0 && before.length + after.length === pieces.length) return sawable(before) && sawable(after);
    }
  return false;
};

describe('rectangles on sheets', () => {
  it.each([
    ['four quarters', 1000, 1000, [[500, 500, 4]], 0, true, 1],
    ['four quarters and the saw', 1000, 1000, [[500, 500, 4]], 3, true, 4],
    [
      'long and short strips',
      2440,
      1220,
      [
        [2440, 300, 3],
        [1200, 300, 2],
      ],
      0,
      false,
      1,
    ],
    [
      'thirds and sixths',
      1200,
      600,
      [
        [400, 600, 2],
        [200, 600, 2],
      ],
      0,
      true,
      1,
    ],
    [
      'a board and what is left beside it',
      1220,
      610,
      [
        [800, 610, 1],
        [420, 300, 2],
      ],
      0,
      true,
      1,
    ],
    ['pieces that only fit lying across', 1000, 600, [[600, 500, 2]], 0, true, 1],
    ['the same with the grain', 1000, 600, [[600, 500, 2]], 0, false, 2],
  ] as const)('%s', (_, width, height, kinds, kerf, mayTurn, wanted) => {
    const pieces = kinds.flatMap(([widthMm, heightMm, count]) =>
      Array.from({ length: count }, (__, at) => ({ label: `${widthMm}-${at}`, widthMm, heightMm })),
    );
    const { sheets, atLeast, placed } = packSheets(pieces, width, height, kerf, mayTurn);
    expect([sheets, atLeast]).toEqual([wanted, wanted]);
    expect(placed).toHaveLength(pieces.length);
  });

  it.each([false, true])('never overlap, and come apart by cuts from edge to edge (turned: %s)', (mayTurn) => {
    let proven = 0;
    for (let seed = 1; seed <= 120; seed += 1) {
      const random = seededRandom(seed);
      const pieces = Array.from({ length: 2 + Math.floor(random() * 16) }, (_, at) => ({
        label: `p${at}`,
        widthMm: 40 + random() * 800,
        heightMm: 30 + random() * 450,
      }));
      const { sheets, atLeast, placed } = packSheets(pieces, 1220, 610, 3.2, mayTurn);
      expect(placed).toHaveLength(pieces.length);
      if (sheets === atLeast) proven += 1;
      for (let sheet = 0; sheet < sheets; sheet += 1) {
        const own = placed.filter((piece) => piece.sheet === sheet);
        expect(own.length).toBeGreaterThan(0);
        for (const [at, piece] of own.entries()) {
          expect(piece.x + piece.widthMm).toBeLessThanOrEqual(1220 + 1e-6);
          expect(piece.y + piece.heightMm).toBeLessThanOrEqual(610 + 1e-6);
          for (const other of own.slice(at + 1)) expect(overlapOf(piece, other, 3.2)).toBe(false);
        }
        expect(sawable(own)).toBe(true);
      }
    }
    // Most lots by chance are proven to take no fewer.
    expect(proven).toBeGreaterThan(60);
  });
});

describe('lengths on offcuts and new bars', () => {
  type Highs = Awaited<ReturnType<typeof loadHighs>>;
  let highs: Highs;
  beforeAll(async () => {
    highs = await loadHighs();
  });

  /** The same as a whole-number programme: each length in one bin, none over its room, as few new ones as can be. */
  const exactly = (sizes: readonly number[], capacity: number, rooms: readonly number[]): number => {
    const caps = [...rooms, ...sizes.map(() => capacity)];
    const x = (at: number, bin: number): string => `x${at}_${bin}`;
    const each = sizes.map((_, at) => `${caps.map((_cap, bin) => x(at, bin)).join(' + ')} = 1`);
    const held = caps.map((cap, bin) => {
      const row = sizes.map((size, at) => `${size} ${x(at, bin)}`).join(' + ');
      return bin < rooms.length ? `${row} <= ${cap}` : `${row} - ${cap} y${bin} <= 0`;
    });
    const used = sizes.map((_, at) => `y${rooms.length + at}`);
    const binaries = [...used, ...sizes.flatMap((_, at) => caps.map((_cap, bin) => x(at, bin)))];
    const solved = highs.solve(
      `Minimize\n obj: ${used.join(' + ')}\nSubject To\n${[...each, ...held].map((row, at) => ` c${at}: ${row}`).join('\n')}\nBinary\n ${binaries.join(' ')}\nEnd`,
    );
    expect(solved.Status).toBe('Optimal');
    return Math.round(solved.ObjectiveValue);
  };

  it('go on offcuts first: two that just hold what is left over spare a bar', () => {
    // 1000 + 900 on an offcut of 1950; 1500, 1200 and 1100 on bars of 2700: 1500 + 1200 and one more, or none with 1100 on the other.
    const { bins, offcuts, atLeast } = fewestBins([1500, 1200, 1100, 1000, 900], 2700, [1950, 1150]);
    expect([bins.length, atLeast]).toEqual([1, 1]);
    expect(offcuts.map((own) => own.reduce((sum, at) => sum + [1500, 1200, 1100, 1000, 900][at]!, 0))).toEqual([
      1900, 1100,
    ]);
  });

  it('take as few new bars as a solver for whole numbers finds, with offcuts and without (60 by chance)', () => {
    let spared = 0;
    for (let seed = 1; seed <= 60; seed += 1) {
      const random = seededRandom(4000 + seed);
      const sizes = Array.from({ length: 3 + Math.floor(random() * 6) }, () => 15 + Math.floor(random() * 50));
      const rooms = Array.from({ length: Math.floor(random() * 4) }, () => 20 + Math.floor(random() * 60));
      const { bins, offcuts, atLeast } = fewestBins(sizes, 100, rooms);
      const least = exactly(sizes, 100, rooms);
      expect([seed, bins.length, atLeast]).toEqual([seed, least, least]);
      expect([...bins, ...offcuts].flat().sort((a, b) => a - b)).toEqual(sizes.map((_, at) => at));
      offcuts.forEach((own, at) =>
        expect(own.reduce((sum, each) => sum + sizes[each]!, 0)).toBeLessThanOrEqual(rooms[at]! + 1e-6),
      );
      if (least < fewestBins(sizes, 100).bins.length) spared += 1;
    }
    expect(spared).toBeGreaterThan(5);
  });
});
