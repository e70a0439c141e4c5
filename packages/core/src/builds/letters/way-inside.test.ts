import { describe, expect, it } from '@jest/globals';
import { distanceToOutline, lengthInside, rectRing, type Outline, type Point } from '../../base/outlines/index.js';
import { wayFinder } from './way-inside.js';

const rect = (x: number, y: number, width: number, height: number): Outline[number] =>
  rectRing({ x, y, width, height });
const hole = (x: number, y: number, width: number, height: number): Outline[number] =>
  [...rect(x, y, width, height)].reverse();

const bar: Outline = [rect(0, 0, 300, 60)];
/** An O of straight lines: strokes of 50 mm round a counter. */
const ring: Outline = [rect(0, 0, 300, 300), hole(50, 50, 200, 200)];
/** A U, open at the top. */
const horseshoe: Outline = [
  [
    [0, 0],
    [300, 0],
    [300, 300],
    [240, 300],
    [240, 60],
    [60, 60],
    [60, 300],
    [0, 300],
  ],
];

const length = (way: readonly Point[]): number =>
  way.slice(1).reduce((sum, [x, y], index) => sum + Math.hypot(x - way[index]![0], y - way[index]![1]), 0);
const whole = (from: Point, way: readonly Point[], to: Point): readonly Point[] => [from, ...way, to];
/** How much of a way lies within an outline (mm). */
const within = (way: readonly Point[], outline: Outline): number =>
  way.slice(1).reduce((sum, place, index) => sum + lengthInside(way[index]!, place, outline), 0);

const wayInside = (outline: Outline, from: Point, to: Point) => wayFinder(outline)(from, to);

describe('the way of a wire within a letter', () => {
  it('is straight where nothing is in between', () => {
    const [from, to]: [Point, Point] = [
      [20, 30],
      [280, 35],
    ];
    const way = whole(from, wayInside(bar, from, to)!, to);
    expect(length(way)).toBeLessThan(1.02 * Math.hypot(260, 5));
  });

  it.each([
    ['across a counter', ring, [25, 150], [275, 150], 250],
    ['round the bend of a U', horseshoe, [30, 280], [270, 280], 240],
  ] as const)('goes %s and stays in the stroke', (_, outline, from, to, straight) => {
    const inside = wayInside(outline, from, to);
    const way = whole(from, inside!, to);
    expect(within(way, outline)).toBeCloseTo(length(way), 1);
    expect(length(way)).toBeGreaterThan(straight * 1.15);
    for (const place of inside!) expect(distanceToOutline(place, outline)).toBeGreaterThanOrEqual(2.5 - 1e-9);
  });

  it('is little longer than the shortest there is', () => {
    // Round the two lower corners of the counter of a U.
    const shortest = 2 * Math.hypot(30, 220) + 180;
    const way = whole([30, 280], wayInside(horseshoe, [30, 280], [270, 280])!, [270, 280]);
    expect(length(way)).toBeGreaterThan(shortest - 0.1);
    expect(length(way)).toBeLessThan(1.1 * shortest);
  });

  it('bends only where it must', () => {
    expect(wayInside(horseshoe, [30, 280], [270, 280])!.length).toBeLessThanOrEqual(8);
    expect(wayInside(ring, [25, 25], [275, 25])!.length).toBeLessThanOrEqual(2);
  });

  it('is the same both ways, within a cell', () => {
    const there = whole([30, 280], wayInside(horseshoe, [30, 280], [270, 280])!, [270, 280]);
    const back = whole([270, 280], wayInside(horseshoe, [270, 280], [30, 280])!, [30, 280]);
    expect(Math.abs(length(there) - length(back))).toBeLessThan(7);
  });

  it('is none where parts do not hang together, nor in strokes too narrow for it', () => {
    expect(wayInside([rect(0, 0, 100, 50), rect(200, 0, 100, 50)], [50, 25], [250, 25])).toBeNull();
    expect(wayInside([rect(0, 0, 300, 4)], [10, 2], [290, 2])).toBeNull();
    expect(wayInside([], [0, 0], [1, 1])).toBeNull();
  });

  it('steps across no slit, however thin', () => {
    /** Two strokes a hair apart, between the middles of two cells, joined at their feet alone. */
    const fork: Outline = [
      [
        [0, 0],
        [102, 0],
        [102, 300],
        [53.2, 300],
        [53.2, 60],
        [53, 60],
        [53, 300],
        [0, 300],
      ],
    ];
    const [from, to]: [Point, Point] = [
      [20, 250],
      [90, 250],
    ];
    const way = whole(from, wayInside(fork, from, to)!, to);
    expect(length(way)).toBeGreaterThan(350);
    expect(within(way, fork)).toBeCloseTo(length(way), 1);
  });
});
