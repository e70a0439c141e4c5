import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { evenRuns, type DrawnRun, type EvenLimits } from './even-runs.js';

const limits: EvenLimits = { cutPitchMm: 50, bareMm: 4, mostMovedMm: 10, mostScaled: 0.04, reachMm: 350 };
const open = (...lengths: readonly number[]): readonly DrawnRun[] =>
  lengths.map((lengthMm, at) => ({ id: `run ${at + 1}`, lengthMm, ends: 2 }));

describe('runs that come out even', () => {
  it('as drawn need nothing, what may stay bare counted', () => {
    const [way] = evenRuns(open(400, 253, 150), limits);
    expect(way).toMatchObject({ kind: 'as-drawn', movedMm: 0, uneven: 0 });
    expect(way!.runs.map(({ cuts, bareMm }) => [cuts, Math.round(bareMm)])).toEqual([
      [8, 0],
      [5, 3],
      [3, 0],
    ]);
  });

  it('a little over a cut are shortened, a little under it drawn out, half at each end', () => {
    const [way] = evenRuns(open(412, 245), { ...limits, mostScaled: 0 });
    expect(way).toMatchObject({ kind: 'ends-moved', uneven: 0 });
    const [over, under] = way!.runs;
    expect(over).toMatchObject({ cuts: 8, bareMm: 4 });
    expect(over!.afterMm).toBeCloseTo(404, 9);
    expect(under).toMatchObject({ cuts: 5, afterMm: 250, bareMm: 0 });
    expect(way!.movedMm).toBeCloseTo(4, 9);
  });

  it('by one scale where one serves all: the nearest to 1', () => {
    // All 2 % over whole cuts.
    const ways = evenRuns(open(408, 255, 153), { ...limits, bareMm: 1 });
    const scaled = ways.find(({ kind }) => kind === 'scaled')!;
    expect(scaled.uneven).toBe(0);
    expect(scaled.scale).toBeLessThan(1);
    expect(scaled.scale).toBeGreaterThan(1 / 1.02 - 1e-6);
    expect(scaled.movedMm).toBeCloseTo((1 - scaled.scale) * 350, 9);
  });

  it('leave closed ones their length: only a scale helps them', () => {
    const ring: DrawnRun = { id: 'ring', lengthMm: 618, ends: 0 };
    const ways = evenRuns([ring], limits);
    expect(ways.find(({ kind }) => kind === 'ends-moved')).toBeUndefined();
    const [way] = ways;
    expect(way).toMatchObject({ kind: 'scaled', uneven: 0 });
    // Down to 604 mm, with 4 mm bare.
    expect(way!.scale).toBeCloseTo(604 / 618, 6);
  });

  it('are told uneven where nothing within the limits serves', () => {
    const [way] = evenRuns(open(26), { ...limits, mostMovedMm: 2, mostScaled: 0.01 });
    expect(way!.uneven).toBe(1);
    expect(way!.runs[0]).toMatchObject({ cuts: 0, even: false });
  });

  it('by a scale are as many as a search over fine steps finds, and no farther from 1', () => {
    const random = seededRandom(8);
    for (let turn = 0; turn < 40; turn += 1) {
      const runs = open(...Array.from({ length: 3 }, () => 120 + 500 * random()));
      const narrow = { ...limits, bareMm: 12, mostMovedMm: 0 };
      const found = evenRuns(runs, narrow)[0]!;
      let [fewest, nearest] = [runs.length + 1, Infinity];
      for (let step = -4000; step <= 4000; step += 1) {
        const scale = 1 + (0.04 * step) / 4000;
        const uneven = runs.filter(({ lengthMm }) => {
          const over = (lengthMm * scale) % 50;
          return lengthMm * scale < 50 || over > 12;
        }).length;
        const away = Math.abs(scale - 1);
        if (uneven < fewest || (uneven === fewest && away < nearest)) [fewest, nearest] = [uneven, away];
      }
      expect(found.uneven).toBeLessThanOrEqual(fewest);
      if (found.uneven === fewest) expect(Math.abs(found.scale - 1)).toBeLessThanOrEqual(nearest + 2e-5);
    }
  });

  it('keep every figure they promise', () => {
    const random = seededRandom(2);
    for (let turn = 0; turn < 60; turn += 1) {
      const runs = open(...Array.from({ length: 6 }, () => 60 + 700 * random()));
      for (const way of evenRuns(runs, limits))
        way.runs.forEach(({ beforeMm, afterMm, cuts, bareMm, even }, at) => {
          expect(beforeMm).toBe(runs[at]!.lengthMm);
          expect(cuts * 50 + bareMm).toBeCloseTo(afterMm, 6);
          if (even) expect(bareMm).toBeLessThanOrEqual(4 + 1e-5);
          expect(Math.abs(afterMm - beforeMm * way.scale) / 2).toBeLessThanOrEqual(10 + 1e-5);
        });
    }
  });
});
