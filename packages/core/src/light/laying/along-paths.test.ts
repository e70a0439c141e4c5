import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { ellipseRing } from '../../base/curves/index.js';
import {
  inOutline,
  levelStretches,
  offset,
  rectRing,
  subtract,
  unite,
  type Outline,
} from '../../base/outlines/index.js';
import { bareParts, cornerWords, layAlong, outlinePaths, rowPaths, type AlongOptions } from './index.js';

const options: AlongOptions = {
  stripWidthMm: 8,
  cutPitchMm: 25,
  ledPitchMm: 12.5,
  bendRadiusMm: 20,
  coated: false,
  modules: false,
  keepOff: [],
  startMm: 0,
  moved: new Map(),
  nudged: new Map(),
  leftOut: new Set(),
};
const round = { setbackMm: 10, stripWidthMm: 8, lineCount: 1, linePitchMm: 12, bendRadiusMm: 20 };
const plate = (width: number, height: number): Outline => [rectRing({ x: 0, y: 0, width, height })];
const along = (outline: Outline, change: Partial<AlongOptions> = {}, paths: Partial<typeof round> = {}) =>
  layAlong(outlinePaths(outline, { ...round, ...paths }), { ...options, ...change });
const disc: Outline = [ellipseRing([0, 0], 80, 80, 0, 0.02)];

describe('modules pushed one by one', () => {
  const modules = { modules: true, cutPitchMm: 50, ledPitchMm: 50, bendRadiusMm: 1 };
  const places = (nudged: AlongOptions['nudged'], change: Partial<AlongOptions> = {}) =>
    along(plate(400, 200), { ...modules, nudged, ...change }).segments[0]!.leds;

  it('move along their wire alone, the others stay', () => {
    const [before, after] = [places(new Map()), places(new Map([[1, new Map([[3, 12]])]]))];
    expect(after.map(({ mm }, led) => mm - before[led]!.mm)).toEqual(before.map((_, led) => (led === 2 ? 12 : 0)));
    expect(Math.hypot(after[2]!.at[0] - before[2]!.at[0], after[2]!.at[1] - before[2]!.at[1])).toBeCloseTo(12, 6);
  });

  it('go no farther than their wires reach, nor into their neighbours', () => {
    const far = places(
      new Map([
        [
          1,
          new Map([
            [2, 500],
            [3, -500],
          ]),
        ],
      ]),
    );
    expect(far[1]!.mm).toBeCloseTo(75 + 22.5, 9);
    expect(far[2]!.mm).toBeCloseTo(125 - 22.5, 9);
    expect(far[2]!.mm).toBeGreaterThan(far[1]!.mm);
  });

  it('is nothing that LEDs of strip can do', () => {
    const pushed = new Map([[1, new Map([[3, 12]])]]);
    const strip = { modules: false, cutPitchMm: 25, ledPitchMm: 12.5, bendRadiusMm: 1 };
    expect(places(pushed, strip)).toEqual(places(new Map(), strip));
  });
});

describe('strip along an outline', () => {
  it('runs all round a disc in one piece of whole cuts', () => {
    const { segments, corners } = along(disc);
    expect(segments).toHaveLength(1);
    expect(corners).toEqual([]);
    const roundMm = 2 * Math.PI * (80 - 14);
    expect(segments[0]!.lengthMm).toBe(Math.floor(roundMm / 25) * 25);
    expect(segments[0]!.leftoverMm).toBeCloseTo(roundMm - segments[0]!.lengthMm, 0);
    expect(segments[0]!.leds).toHaveLength(segments[0]!.lengthMm / 12.5);
    for (const { at } of segments[0]!.leds) expect(Math.abs(Math.hypot(...at) - 66)).toBeLessThan(0.1);
  });

  it('starts where it is told on a closed path', () => {
    const angle = ([x, y]: readonly [number, number]) => Math.atan2(y, x);
    const turned = angle(along(disc, { startMm: 66 }).segments[0]!.path[0]!) - angle(along(disc).segments[0]!.path[0]!);
    expect(Math.abs(turned)).toBeCloseTo(1, 1);
  });

  it('is cut at the corners of a plate that it cannot be bent round, a segment a side', () => {
    const { segments, corners } = along(plate(300, 150));
    expect(corners).toHaveLength(4);
    for (const { turnDeg, way } of corners) {
      expect(turnDeg).toBeCloseTo(90, 0);
      expect(way).toBe('cut-and-wire');
    }
    expect(segments.map(({ lengthMm }) => lengthMm).sort((a, b) => a - b)).toEqual([100, 100, 250, 250]);
  });

  it('is bent round the same corners when it takes a tight bow', () => {
    const { segments, corners } = along(plate(300, 150), { bendRadiusMm: 8 }, { bendRadiusMm: 8 });
    expect(corners).toEqual([]);
    expect(segments).toHaveLength(1);
    // Four corners of a radius of 8.4 mm save (8 − 2π) × 8.4 mm of the way.
    const way = 2 * (272 + 122) - (8 - 2 * Math.PI) * 8.4;
    expect(segments[0]!.lengthMm + segments[0]!.leftoverMm).toBeCloseTo(way, 0);
  });

  it('bends round corners that are round enough, and loops round gentle ones', () => {
    expect(along(offset(plate(300, 150), 60)).corners).toEqual([]);
    const hexagon: Outline = [
      Array.from(
        { length: 6 },
        (_, at) => [150 * Math.cos((at * Math.PI) / 3), 150 * Math.sin((at * Math.PI) / 3)] as const,
      ),
    ];
    expect(along(hexagon).corners.map(({ way }) => way)).toEqual(Array.from({ length: 6 }, () => 'loop'));
    expect(along(hexagon, { coated: true }).corners.map(({ way }) => way)).toEqual(
      Array.from({ length: 6 }, () => 'loop'),
    );
    // Eight corners of 45°: bare strip loops, the coating of coated strip is notched.
    const octagon: Outline = [
      Array.from(
        { length: 8 },
        (_, at) => [200 * Math.cos((at * Math.PI) / 4), 200 * Math.sin((at * Math.PI) / 4)] as const,
      ),
    ];
    const ways = (coated: boolean) => along(octagon, { coated, bendRadiusMm: 60 }).corners;
    expect(cornerWords(ways(true))).toBe('8 corners with the coating notched on the inside');
    expect(cornerWords(ways(false))).toBe('8 corners by a loop standing off');
    expect(cornerWords([...ways(true).slice(0, 1), ...along(plate(300, 150)).corners])).toBe(
      '1 corner with the coating notched on the inside, 4 cut and wired',
    );
    expect(cornerWords([])).toBe('');
  });

  it('follows counters too, and lies in several lines side by side', () => {
    const ring = subtract(plate(300, 300), [rectRing({ x: 120, y: 120, width: 60, height: 60 })]);
    const one = along(ring).segments;
    const two = along(ring, {}, { lineCount: 2 }).segments;
    const lengthOf = (segments: typeof one) => segments.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
    expect(one).toHaveLength(8);
    expect(lengthOf(two)).toBeGreaterThan(1.7 * lengthOf(one));
  });

  it('keeps off posts: segments end before them and go on after', () => {
    const { segments } = along(plate(300, 150), { keepOff: [{ at: [150, 14], mm: 12 }] });
    expect(segments).toHaveLength(5);
    for (const { path } of segments)
      for (const [x, y] of path) expect(Math.hypot(x - 150, y - 14)).toBeGreaterThan(10.9);
  });

  it('stays where a segment was pushed, within its room, and leaves out what is not wanted', () => {
    const start = (alongMm: number) => along(plate(300, 150), { moved: new Map([[1, alongMm]]) }).segments[0]!.path[0]!;
    const [free] = along(plate(300, 150)).segments;
    const way = (mm: number): number => Math.hypot(start(mm)[0] - free!.path[0]![0], start(mm)[1] - free!.path[0]![1]);
    expect(way(3)).toBeCloseTo(3, 6);
    expect(way(1000)).toBeCloseTo(free!.leftoverMm / 2, 6);
    const numbers = along(plate(300, 150), { leftOut: new Set([2]) }).segments.map(({ number }) => number);
    expect(numbers).toEqual([1, 3, 4]);
  });

  it('of modules goes round any corner on its wire', () => {
    const { segments, corners } = along(plate(300, 150), { modules: true, cutPitchMm: 75, ledPitchMm: 75 });
    expect(corners).toEqual([]);
    expect(segments).toHaveLength(1);
    expect(segments[0]!.leds).toHaveLength(Math.floor((2 * (272 + 122)) / 75));
  });

  it('leaves what is too narrow bare', () => {
    const both = unite([...plate(200, 200), rectRing({ x: 400, y: 0, width: 20, height: 200 })]);
    const { segments } = along(both);
    const bare = bareParts(
      both,
      segments.flatMap(({ path }) => path),
    );
    expect(bare).toHaveLength(1);
    expect(bare[0]!.every(([x]) => x >= 400)).toBe(true);
    expect(along([])).toEqual({ segments: [], leftOut: [], corners: [], stretches: [] });
  });

  it('keeps every LED behind the letter by its setback, on whole cuts, numbered in order', () => {
    const size = fc.integer({ min: 40, max: 300 });
    const part = fc.tuple(size, size, size, size).map(([x, y, width, height]) => rectRing({ x, y, width, height }));
    fc.assert(
      fc.property(
        fc.array(part, { minLength: 1, maxLength: 4 }),
        fc.constantFrom(8, 14, 20, 45),
        (parts, bendRadiusMm) => {
          const outline = unite(parts);
          const { segments } = along(outline, { bendRadiusMm }, { bendRadiusMm });
          const inside = offset(outline, -10);
          segments.forEach(({ number, lengthMm, leds, leftoverMm }, index) => {
            expect(number).toBe(index + 1);
            expect(lengthMm % 25).toBe(0);
            expect(leftoverMm).toBeLessThan(25);
            for (const { at, along: way } of leds) {
              expect(inOutline(at, inside)).toBe(true);
              expect(Math.hypot(...way)).toBeCloseTo(1, 6);
            }
          });
        },
      ),
      { seed: 31, numRuns: 60 },
    );
  });
});

describe('rows that fill letters', () => {
  const ring = subtract(plate(300, 200), [rectRing({ x: 100, y: 60, width: 100, height: 80 })]);

  it('stand evenly apart, turn about, and stop at counters', () => {
    const rows = rowPaths(ring, 15, 40);
    const ys = [...new Set(rows.map(({ points }) => points[0]![1]))];
    expect(ys).toHaveLength(4);
    for (const [at, y] of ys.slice(1).entries()) expect(ys[at]! - y).toBeCloseTo((200 - 30) / 4, 6);
    expect(rows).toHaveLength(6);
    const ways = rows.map(({ points }) => Math.sign(points[1]![0] - points[0]![0]));
    expect(ways).toEqual([1, -1, -1, 1, 1, -1]);
  });

  it('of modules stand on one grid', () => {
    const { segments } = layAlong(rowPaths(ring, 15, 40), {
      ...options,
      modules: true,
      cutPitchMm: 30,
      ledPitchMm: 30,
    });
    const offGrid = segments.flatMap(({ leds }) => leds.map(({ at }) => Math.abs(at[0] / 30 - Math.round(at[0] / 30))));
    expect(offGrid.length).toBeGreaterThan(20);
    expect(Math.max(...offGrid)).toBeLessThan(1e-6);
  });

  it('are stretches of level lines inside', () => {
    expect(levelStretches(ring, 100)).toEqual([
      [0, 100],
      [200, 300],
    ]);
    expect(levelStretches(ring, 500)).toEqual([]);
    expect(levelStretches([], 0)).toEqual([]);
  });
});
