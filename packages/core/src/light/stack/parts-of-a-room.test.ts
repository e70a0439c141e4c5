import { describe, expect, it } from '@jest/globals';
import { ringArea, ringLength, type Outline, type Point, type Ring } from '../../base/outlines/index.js';
import { exchangeOf } from './exchange.js';
import { hidingIn, isConvex, viewsIn } from './hidden.js';
import { heightOf, layPatches, patchOf, plansOf, stretchesOf } from './patches.js';
import { seenPolygon } from './seen-polygon.js';
import type { StackRoom } from './types.js';

const roundRing = (radiusMm: number, corners = 60): Ring =>
  Array.from({ length: corners }, (_, corner): Point => {
    const turn = (corner * 2 * Math.PI) / corners;
    return [radiusMm * Math.cos(turn), radiusMm * Math.sin(turn)];
  });
const square = (side: number): Ring => [
  [-side / 2, -side / 2],
  [side / 2, -side / 2],
  [side / 2, side / 2],
  [-side / 2, side / 2],
];
/** Two rooms with a passage between. */
const waist: Outline = [
  [
    [-100, -40],
    [-20, -40],
    [-20, -10],
    [20, -10],
    [20, -40],
    [100, -40],
    [100, 40],
    [20, 40],
    [20, 10],
    [-20, 10],
    [-20, 40],
    [-100, 40],
  ],
];
const roomOf = (outline: Outline, heights: readonly number[], ledge: StackRoom['ledge'] = null): StackRoom => ({
  outline,
  bands: heights.map((heightMm) => ({ heightMm, reflects: 0.8, passes: 0 })),
  baseReflects: 0.8,
  lid: { reflects: 0.8, passes: 0 },
  inlay: { reflects: 0.4, passes: 0.4 },
  inlays: [],
  ledge,
});
const limits = { mostCells: 150, mostStretches: 48 };

describe('what a small area sees of a polygon', () => {
  const plate = (half: number, z: number): Float64Array =>
    Float64Array.of(-half, -half, z, half, -half, z, half, half, z, -half, half, z);

  it('is the closed form of a square straight before it', () => {
    // Four quarters, each of sides a before the corner: 4 · (2 / 2π) · A/√(1+A²) · atan(A/√(1+A²)).
    for (const [half, away] of [
      [10, 20],
      [50, 10],
      [3, 90],
    ] as const) {
      const a = half / away;
      const side = a / Math.sqrt(1 + a * a);
      const exact = (4 / Math.PI) * side * Math.atan(side);
      expect(seenPolygon(0, 0, 0, 0, 0, 1, plate(half, away), 0, 4)).toBeCloseTo(exact, 10);
    }
  });

  it('is all of it where it is without end, half where the area stands at its foot, nothing behind', () => {
    expect(seenPolygon(0, 0, 0, 0, 0, 1, plate(1e6, 1), 0, 4)).toBeCloseTo(1, 5);
    expect(seenPolygon(0, 0, 0, 1, 0, 0, plate(1e6, 1), 0, 4)).toBeCloseTo(0.5, 5);
    expect(seenPolygon(0, 0, 5, 0, 0, 1, plate(20, 1), 0, 4)).toBe(0);
  });

  it('is the sum of its pieces, whichever way round they are drawn', () => {
    const corners = Float64Array.of(
      ...[-10, -10, 15, 0, -10, 15, 0, 10, 15, -10, 10, 15],
      ...[0, 10, 15, 10, 10, 15, 10, -10, 15, 0, -10, 15],
      ...[-10, -10, 15, 10, -10, 15, 10, 10, 15, -10, 10, 15],
    );
    const seen = (first: number): number => seenPolygon(2, -3, 0, 0.6, 0, 0.8, corners, first, 4);
    expect(seen(0) + seen(4)).toBeCloseTo(seen(8), 12);
  });
});

describe('patches of a room', () => {
  it('cover base, lid and wall, whole', () => {
    const outline = [roundRing(90)];
    const patches = layPatches(roomOf(outline, [8, 12, 6]), limits);
    const sums = { base: 0, lid: 0, wall: 0, ledge: 0 };
    for (let patch = 0; patch < patches.count; patch += 1)
      sums[patchOf(patches, patch).kind] += patches.areaMm2[patch]!;
    expect(sums.base / ringArea(outline[0]!)).toBeCloseTo(1, 4);
    expect(sums.lid).toBeCloseTo(sums.base, 6);
    // Stretches are straight from end to end, a little inside the round.
    expect(sums.wall / (ringLength(outline[0]!) * 26)).toBeGreaterThan(0.99);
    expect(sums.ledge).toBe(0);
    expect(heightOf(roomOf(outline, [8, 12, 6]))).toBe(26);
  });

  it('keep bands of the design apart, and thick ones in several layers', () => {
    const patches = layPatches(roomOf([square(200)], [40, 5]), limits);
    expect(patches.layers.map(({ band }) => band)).toEqual([0, 0, 0, 1]);
    expect(patches.layers[0]!.fromZMm).toBe(0);
    expect(patches.layers.at(-1)!.toZMm).toBe(45);
  });

  it('are two cells where a ledge goes through one, and stand on both its sides', () => {
    const ledge = { line: roundRing(50), heightMm: 10, reflects: 0.8 };
    const patches = layPatches(roomOf([roundRing(90)], [20], ledge), limits);
    const cells = patches.cells.map(({ cell }) => cell);
    expect(cells.length).toBeGreaterThan(new Set(cells).size);
    // No place of a cell lies on the other side than its middle.
    const strayed: number[] = [];
    for (const { places, middle } of patches.cells) {
      const inside = Math.hypot(...middle) < 50;
      for (let at = 0; at < places.length; at += 2) {
        const away = Math.hypot(places[at]!, places[at + 1]!);
        if (!(inside ? away < 50.5 : away > 49.5)) strayed.push(away);
      }
    }
    expect(strayed).toEqual([]);
    const [outer, inner] = [patches.ledge[0]!, patches.ledge[patches.ledge.length / 2]!];
    expect(outer.out[0]).toBeCloseTo(-inner.out[0], 12);
    expect(plansOf(patches)).toHaveLength(patches.cells.length + patches.stretches.length + patches.ledge.length);
  });

  it('never go round a corner, and look out of the room', () => {
    const stretches = stretchesOf([square(100)], 37);
    expect(stretches).toHaveLength(12);
    for (const { from, to, out } of stretches) {
      const middle = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] as const;
      expect(Math.max(Math.abs(middle[0]), Math.abs(middle[1]))).toBeCloseTo(50, 9);
      expect(middle[0] * out[0] + middle[1] * out[1]).toBeGreaterThan(0);
    }
    // A hole runs the other way: out of the room is into it.
    const hole = stretchesOf([square(100), [...square(20)].reverse()], 100).filter(({ ring }) => ring === 1);
    for (const { from, to, out } of hole)
      expect(((from[0] + to[0]) / 2) * out[0] + ((from[1] + to[1]) / 2) * out[1]).toBeLessThan(0);
  });
});

describe('what patches send each other', () => {
  it.each<[string, StackRoom]>([
    ['a disc', roomOf([roundRing(90)], [8, 12])],
    ['a square', roomOf([square(160)], [20])],
    ['two rooms with a passage', roomOf(waist, [20])],
    ['a disc with a ledge', roomOf([roundRing(90)], [20], { line: roundRing(55), heightMm: 10, reflects: 0.8 })],
  ])('arrives whole, and as much goes back: %s', (_, room) => {
    const patches = layPatches(room, limits);
    const { areas, sent, count } = exchangeOf(patches, viewsIn(room, plansOf(patches)));
    const oneSided: (readonly number[])[] = [];
    for (let patch = 0; patch < count; patch += 1) {
      expect(sent[patch]! / patches.areaMm2[patch]!).toBeGreaterThan(0.9);
      expect(sent[patch]! / patches.areaMm2[patch]!).toBeLessThan(1.1);
      for (let other = 0; other < count; other += 37)
        if (areas[patch * count + other] !== areas[other * count + patch]) oneSided.push([patch, other]);
    }
    expect(oneSided).toEqual([]);
  });

  it('is what two round plates before each other see by the closed form', () => {
    // Coaxial discs of one radius: F = (x − √(x² − 4)) / 2, x = 2 + (h / r)².
    const [radius, height] = [90, 30];
    const room = roomOf([roundRing(radius)], [height]);
    const patches = layPatches(room, limits);
    const { areas, count } = exchangeOf(patches, null);
    const cells = patches.cells.length;
    let sum = 0;
    for (let one = 0; one < cells; one += 1)
      for (let other = cells; other < 2 * cells; other += 1) sum += areas[one * count + other]!;
    const x = 2 + (height / radius) ** 2;
    expect(sum / ringArea(roundRing(radius)) / ((x - Math.sqrt(x * x - 4)) / 2)).toBeCloseTo(1, 2);
  });
});

describe('what hides in a room', () => {
  it('is nothing in one that bulges out, one chamber from the other past a waist', () => {
    expect(hidingIn(roomOf([roundRing(90)], [20]))).toBeNull();
    expect(isConvex([square(10)])).toBe(true);
    const hides = hidingIn(roomOf(waist, [20]))!;
    expect(hides(-60, 0, 5, 60, 0, 5)).toBe(false);
    expect(hides(-60, 30, 5, 60, 30, 5)).toBe(true);
    expect(hides(-60, 30, 5, -30, -30, 15)).toBe(false);
  });

  it('lies behind a ledge up to its height, and not over it', () => {
    const room = roomOf([roundRing(90)], [20], { line: roundRing(50), heightMm: 10, reflects: 0.8 });
    const hides = hidingIn(room)!;
    expect(hides(-70, 0, 4, 0, 0, 4)).toBe(true);
    expect(hides(-70, 0, 4, 0, 0, 19)).toBe(true);
    expect(hides(-70, 0, 12, 0, 0, 19)).toBe(false);
    // From wall to wall over both its sides: low at the far one.
    expect(hides(-70, 0, 19, 70, 0, 5)).toBe(true);
    expect(hides(-70, 0, 19, 70, 0, 15)).toBe(false);
    expect(hides(60, 20, 2, 60, -20, 2)).toBe(false);
  });

  it('is told of whole patches by how much of them is open', () => {
    const room = roomOf([roundRing(90)], [20], { line: roundRing(50), heightMm: 10, reflects: 0.8 });
    const at = [Float64Array.of(-70, 0), Float64Array.of(0, 0), Float64Array.of(-60, 40)];
    const views = viewsIn(room, at)!;
    expect(views.open(0, 1, 4, 4)).toBe(0);
    expect(views.open(1, 0, 12, 14)).toBe(1);
    expect(views.open(0, 2, 1, 1)).toBe(1);
    expect(viewsIn(roomOf([roundRing(90)], [20]), at)).toBeNull();
  });
});
