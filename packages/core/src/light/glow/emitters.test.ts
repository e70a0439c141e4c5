import { describe, expect, it } from '@jest/globals';
import { placeLeds } from '../laying/index.js';
import type { LightRuns, Segment } from '../runs/index.js';
import { cosineLaw } from '../../validation/bench.js';
import { emittersOf } from './emitters.js';

const straight = (number: number, y: number, ledCount: number): Segment => ({
  number,
  from: [0, y, 2],
  to: [4 * ledCount, y, 2],
  path: [
    [0, y, 2],
    [4 * ledCount, y, 2],
  ],
  lengthMm: 4 * ledCount,
  leftoverMm: 0,
  normal: [0, 0, 1],
  on: 'back',
  ledCount,
});
const segments = [straight(1, 0, 11), straight(2, 60, 5)];
const runs: LightRuns = {
  segments,
  leds: placeLeds(segments, 4),
  stripMm: 64,
  ledPitchMm: 4,
  rowPitchMm: 60,
  throwMm: 80,
};
const even = new Float64Array(16).fill(1);

describe('LEDs as point sources', () => {
  it('are one each where rows are no lines, with their flux', () => {
    const all = emittersOf(runs, 3, even, cosineLaw(1), false);
    expect(all.count).toBe(16);
    expect([...all.x]).toEqual([...runs.leds.x]);
    expect([...all.fluxLm]).toEqual(new Array(16).fill(3));
  });

  it('are taken together in lines, never over the end of a segment, and keep their flux and its centre', () => {
    const few = emittersOf(runs, 3, even, cosineLaw(1), true);
    expect(few.count).toBeLessThan(16);
    const sum = (of: (at: number) => number): number =>
      Array.from({ length: few.count }, (_, at) => of(at)).reduce((a, b) => a + b, 0);
    expect(sum((at) => few.fluxLm[at]!)).toBeCloseTo(48, 9);
    expect(sum((at) => few.fluxLm[at]! * few.x[at]!)).toBeCloseTo(3 * runs.leds.x.reduce((a, b) => a + b, 0), 9);
    for (let at = 0; at < few.count; at += 1) expect([0, 60]).toContain(few.y[at]);
  });

  it('look as their own place on a bent piece does, not as one of the next segment', () => {
    const looks = Float64Array.from(
      { length: 48 },
      (_, at) => (Math.floor(at / 3) < 11 ? [1, 0, 0] : [0, 1, 0])[at % 3]!,
    );
    const along = Float64Array.from({ length: 48 }, (_, at) => [0, 0, 1][at % 3]!);
    const bent = emittersOf({ ...runs, ways: { looks, along } }, 3, even, cosineLaw(1), true);
    for (let at = 0; at < bent.count; at += 1)
      expect([bent.nx[at], bent.ny[at]]).toEqual(bent.y[at] === 0 ? [1, 0] : [0, 1]);
  });

  it('without light are left out', () => {
    const half = Float64Array.from(even, (_, led) => (led < 11 ? 0 : 0.5));
    const lit = emittersOf(runs, 3, half, cosineLaw(1), false);
    expect(lit.count).toBe(5);
    expect([...lit.fluxLm]).toEqual(new Array(5).fill(1.5));
  });
});
