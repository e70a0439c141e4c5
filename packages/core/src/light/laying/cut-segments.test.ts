import { describe, expect, it } from '@jest/globals';
import type { LightRuns, Segment } from '../runs/index.js';
import { placeLeds, withCuts } from './index.js';

const straight = (number: number, y: number, lengthMm: number): Segment => ({
  number,
  from: [0, y, 3],
  to: [lengthMm, y, 3],
  path: [
    [0, y, 3],
    [lengthMm, y, 3],
  ],
  lengthMm,
  leftoverMm: 4,
  normal: [0, 0, 1],
  on: 'back',
  ledCount: lengthMm / 10,
});
const segments = [straight(1, 0, 400), straight(2, 50, 450), straight(3, 100, 50)];
const runs: LightRuns = {
  segments,
  leds: placeLeds(segments, 10),
  stripMm: 900,
  ledPitchMm: 10,
  rowPitchMm: 50,
  throwMm: 60,
};

describe('segments cut in two', () => {
  it('at the nearest mark: the first part keeps its number, the rest comes next and takes the first that is free', () => {
    const cut = withCuts(runs, [{ segment: 2, atMm: 61 }], 50);
    expect(cut.segments.map(({ number, lengthMm, ledCount }) => [number, lengthMm, ledCount])).toEqual([
      [1, 400, 40],
      [2, 50, 5],
      [4, 400, 40],
      [3, 50, 5],
    ]);
    const [, first, rest] = cut.segments;
    expect([first!.from, first!.to, rest!.from, rest!.to]).toEqual([
      [0, 50, 3],
      [50, 50, 3],
      [50, 50, 3],
      [450, 50, 3],
    ]);
  });

  it('moves no LED: each stays where it is, and counts from the start of its own part', () => {
    const { leds, segments: parts } = withCuts(runs, [{ segment: 2, atMm: 100 }], 50);
    expect(leds.x).toEqual(runs.leds.x);
    expect(leds.count).toBe(runs.leds.count);
    for (let led = 0; led < leds.count; led += 1) {
      const own = parts[leds.segment[led]!]!;
      expect(leds.y[led]).toBe(own.from[1]);
      expect(leds.x[led]).toBeCloseTo(own.from[0] + leds.along[led]!, 9);
      expect(leds.along[led]).toBeLessThan(own.lengthMm);
    }
  });

  it('again and again, round a bend, and never at an end', () => {
    const bent: Segment = {
      ...straight(1, 0, 200),
      path: [
        [0, 0, 0],
        [120, 0, 0],
        [120, 80, 0],
      ],
      to: [120, 80, 0],
    };
    const one = { ...runs, segments: [bent], leds: placeLeds([bent], 10) };
    const cut = withCuts(
      one,
      [
        { segment: 1, atMm: 150 },
        { segment: 1, atMm: 400 },
        { segment: 9, atMm: 50 },
      ],
      50,
    );
    expect(cut.segments.map(({ number, lengthMm }) => [number, lengthMm])).toEqual([
      [1, 100],
      [3, 50],
      [2, 50],
    ]);
    expect(cut.segments[2]!.path).toEqual([
      [120, 30, 0],
      [120, 80, 0],
    ]);
    // What is one cut long cannot be cut.
    expect(withCuts(runs, [{ segment: 3, atMm: 25 }], 50).segments).toHaveLength(3);
  });
});
