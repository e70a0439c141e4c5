import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { inOutline, inRing, type Outline, type Ring } from '../../base/outlines/index.js';
import { gridOver } from '../../base/raster/index.js';
import { exchangeAreas, layPatches, solveExchange, type Block } from '../radiosity/index.js';
import { createTracer, type Scene } from './index.js';
import { cosineLaw, ledsAt } from '../../validation/bench.js';
import { nearestWall } from '../../base/walls/nearest-wall.js';
import { wallsOf } from '../../base/walls/index.js';

const rectangle = (width: number, height: number): Outline => [
  [
    [-width / 2, -height / 2],
    [width / 2, -height / 2],
    [width / 2, height / 2],
    [-width / 2, height / 2],
  ],
];

const lightsAt = (places: readonly (readonly [number, number, number])[], fluxLm: number): Scene['lights'] =>
  ledsAt(places, cosineLaw(1), fluxLm);

const box: Scene = {
  outline: rectangle(400, 200),
  depthMm: 70,
  back: { reflectance: 0.88, mirrorShare: 0 },
  walls: { reflectance: 0.88, mirrorShare: 0 },
  face: { reflectance: 0.45, transmittance: 0.45 },
  block: null,
  lights: lightsAt(
    [
      [-120, 30, 3],
      [90, -50, 3],
      [10, 60, 3],
    ],
    40,
  ),
  grid: gridOver({ x: -200, y: -100, width: 400, height: 200 }, 16, 8),
  seed: 5,
};

const traced = (scene: Scene, photons: number) => {
  const tracer = createTracer(scene);
  tracer.step(photons);
  return tracer.found();
};

/** An L, with many short walls, so that the buckets are walked. */
const lShape: Outline = [
  [
    [-200, -150],
    [200, -150],
    [200, -50],
    ...Array.from({ length: 40 }, (_, step): [number, number] => [180 - step * 7, -50 + (step % 2)]),
    [-100, -50],
    [-100, 150],
    [-200, 150],
  ],
  // A counter, as in an O.
  Array.from({ length: 24 }, (_, step): [number, number] => [
    -150 + 20 * Math.sin((step * Math.PI) / 12),
    -100 + 20 * Math.cos((step * Math.PI) / 12),
  ]),
];

describe('photon tracing', () => {
  it.each([null, { x0: -40, x1: 60, y0: -30, y1: 20, heightMm: 30 } satisfies Block])(
    'agrees with radiosity in a rectangular case (block: %j)',
    (block) => {
      const scene = { ...box, block };
      const found = traced(scene, 200_000);
      const enclosure = layPatches({ widthMm: 400, heightMm: 200, depthMm: 70 }, block, 500);
      // First light from the tracer itself would hide faults: thrown here by its own rays, one big sample a side.
      const first = createTracer({
        ...scene,
        face: { reflectance: 0, transmittance: 1 },
        walls: { reflectance: 0, mirrorShare: 0 },
        back: { reflectance: 0, mirrorShare: 0 },
        seed: 77,
      });
      first.step(200_000);
      const direct = first.found();
      const directOut = direct.outLm;
      expect(directOut / (direct.emittedLm - direct.absorbedCaseLm)).toBeCloseTo(1, 6);
      const firstLm = new Float64Array(enclosure.count);
      const [, face] = enclosure.panels;
      for (let cell = 0; cell < face!.aCount * face!.bCount; cell += 1) {
        const [u, v] = [(cell % face!.aCount) / face!.aCount, Math.floor(cell / face!.aCount) / face!.bCount];
        const at = Math.floor(v * 8) * 16 + Math.floor(u * 16);
        firstLm[face!.start + cell] = direct.directLux[at]!;
      }
      const onFace = firstLm.reduce((sum, flux) => sum + flux, 0);
      for (let patch = 0; patch < enclosure.count; patch += 1) firstLm[patch]! *= directOut / onFace;
      const aside = direct.emittedLm - directOut;
      const sidePatches = enclosure.panels.filter(({ side }) => !['back', 'face'].includes(side));
      const patchesOf = sidePatches.flatMap(({ start, aCount, bCount }) =>
        Array.from({ length: aCount * bCount }, (_, cell) => start + cell),
      );
      const sideArea = patchesOf.reduce((sum, patch) => sum + enclosure.areaMm2[patch]!, 0);
      for (const patch of patchesOf) firstLm[patch] = (aside * enclosure.areaMm2[patch]!) / sideArea;
      const rho = new Float64Array(enclosure.count).fill(0.88);
      rho.fill(0.45, face!.start, face!.start + face!.aCount * face!.bCount);
      const { incidentLm } = solveExchange(enclosure, exchangeAreas(enclosure), firstLm, rho);
      const settledOut =
        0.45 * incidentLm.subarray(face!.start, face!.start + face!.aCount * face!.bCount).reduce((a, b) => a + b, 0);
      expect(Math.abs(settledOut / found.outLm - 1)).toBeLessThan(0.01 + 4 * found.outErrorShare);
    },
  );

  it('balances within its own stated error, and loses nothing through corners', () => {
    for (const scene of [
      box,
      {
        ...box,
        outline: lShape,
        lights: lightsAt(
          [
            [-150, 50, 3],
            [50, -100, 3],
          ],
          30,
        ),
        grid: gridOver({ x: -200, y: -150, width: 400, height: 300 }, 20, 15),
      },
    ]) {
      const found = traced(scene, 60_000);
      const all = found.outLm + found.absorbedFaceLm + found.absorbedCaseLm + found.chanceLm + found.lostLm;
      expect(all / found.emittedLm).toBeCloseTo(1, 9);
      expect(found.lostLm / found.emittedLm).toBeLessThan(1e-4);
      expect(Math.abs(found.chanceLm) / found.emittedLm).toBeLessThan(0.005);
    }
  });

  it('is the same run after run, in one step or in many', () => {
    const [whole, again] = [traced(box, 5000), createTracer(box)];
    for (let turn = 0; turn < 50; turn += 1) again.step(100);
    expect(again.found()).toEqual(whole);
    expect(traced({ ...box, seed: 6 }, 5000).outLm).not.toBe(whole.outLm);
  });

  it('states an error that shrinks with the root of the photons, and that others fall within', () => {
    const [few, many] = [traced(box, 20_000), traced(box, 320_000)];
    expect(few.cellErrorShare / many.cellErrorShare).toBeGreaterThan(2.8);
    expect(few.cellErrorShare / many.cellErrorShare).toBeLessThan(5.6);
    const off = few.reflectedLux.map((lux, cell) => (lux - many.reflectedLux[cell]!) / few.errorLux[cell]!);
    const within = off.filter((each) => Math.abs(each) < 2.5).length / off.length;
    expect(within).toBeGreaterThan(0.9);
  });

  it('in a mirror box lets as much out as in a white one of the same reflectance would, but elsewhere', () => {
    const mirror = { reflectance: 0.88, mirrorShare: 1 };
    const [white, bright] = [traced(box, 100_000), traced({ ...box, back: mirror, walls: mirror }, 100_000)];
    expect(bright.outLm).toBeGreaterThan(0.9 * white.outLm);
    const peak = (map: Float64Array) => Math.max(...map) / (map.reduce((a, b) => a + b, 0) / map.length);
    expect(peak(bright.reflectedLux)).not.toBeCloseTo(peak(white.reflectedLux), 1);
  });

  it('light from the far arm of an L comes round the corner only weakly', () => {
    const scene: Scene = {
      ...box,
      outline: lShape,
      lights: lightsAt([[150, -100, 3]], 50),
      grid: gridOver({ x: -200, y: -150, width: 400, height: 300 }, 20, 15),
    };
    const { directLux, reflectedLux } = traced(scene, 80_000);
    const top = 13 * 20 + 2;
    const near = 2 * 20 + 17;
    expect(directLux[top]).toBe(0);
    expect(reflectedLux[top]!).toBeLessThan(0.1 * reflectedLux[near]!);
    expect(reflectedLux[top]!).toBeGreaterThan(0);
  });

  it('gives no light for no LEDs', () => expect(traced({ ...box, lights: lightsAt([], 1) }, 1000).outLm).toBe(0));

  it('sorts every wall into every bucket it touches, and lets its normal look into the case', () => {
    const walls = wallsOf(lShape);
    expect(walls.count).toBe(lShape[0]!.length + lShape[1]!.length);
    const seen = new Set<number>();
    for (let bucket = 0; bucket < walls.columns * walls.rows; bucket += 1)
      for (let member = walls.starts[bucket]!; member < walls.starts[bucket + 1]!; member += 1) {
        const wall = walls.members[member]!;
        seen.add(wall);
        const [x, y, dx, dy] = walls.ends.subarray(member * 4, member * 4 + 4) as unknown as [
          number,
          number,
          number,
          number,
        ];
        for (let share = 0; share <= 1; share += 0.05) {
          const column = Math.min(walls.columns - 1, Math.floor(x + dx * share));
          const row = Math.min(walls.rows - 1, Math.floor(y + dy * share));
          const own = row * walls.columns + column;
          expect(Array.from(walls.members.subarray(walls.starts[own], walls.starts[own + 1]))).toContain(wall);
        }
        const middle: [number, number] = [
          (x + dx / 2) / walls.perMm + walls.left,
          (y + dy / 2) / walls.perMm + walls.low,
        ];
        expect(inOutline([middle[0] + 0.01 * walls.nx[wall]!, middle[1] + 0.01 * walls.ny[wall]!], lShape)).toBe(true);
        expect(inOutline([middle[0] - 0.01 * walls.nx[wall]!, middle[1] - 0.01 * walls.ny[wall]!], lShape)).toBe(false);
      }
    expect(seen.size).toBe(walls.count);
  });

  it('finds the same first wall as trying every one', () => {
    const walls = wallsOf(lShape);
    const random = seededRandom(9);
    const rings = lShape.flatMap((ring) => ring.map((from, at) => [from, ring[(at + 1) % ring.length]!] as const));
    const photon = new Float64Array(7);
    const times = new Float64Array(1);
    let met = 0;
    while (met < 400) {
      const at: [number, number] = [-200 + 400 * random(), -150 + 300 * random()];
      if (!inOutline(at, lShape)) continue;
      met += 1;
      const turn = 2 * Math.PI * random();
      photon.set([at[0], at[1], 0, Math.cos(turn), Math.sin(turn), 0]);
      times[0] = Infinity;
      nearestWall(walls, photon, times);
      const ways = rings.map(([[ax, ay], [bx, by]]) => {
        const [wx, wy, ox, oy] = [bx - ax, by - ay, ax - at[0], ay - at[1]];
        const cross = Math.cos(turn) * wy - Math.sin(turn) * wx;
        const share = (ox * Math.sin(turn) - oy * Math.cos(turn)) / cross;
        const way = (ox * wy - oy * wx) / cross;
        return share >= 0 && share <= 1 && way > 0 ? way : Infinity;
      });
      expect(times[0]).toBeCloseTo(Math.min(...ways), 9);
    }
  });

  it('does not mind which way round the rings come', () => {
    const turned = lShape.map((ring) => [...ring].reverse());
    const light = (outline: Outline) => traced({ ...box, outline, lights: lightsAt([[150, -100, 3]], 40) }, 20_000);
    const [one, other] = [light(lShape), light(turned)];
    expect(Math.abs(one.outLm - other.outLm)).toBeLessThan(4 * (one.outErrorShare + other.outErrorShare) * one.outLm);
    expect(other.lostLm).toBeLessThan(1e-3 * other.emittedLm);
  });
});

describe('inside an outline', () => {
  it('counts rings, so that a counter is outside and an island in it is inside', () => {
    const square = (half: number): Ring => [
      [-half, -half],
      [half, -half],
      [half, half],
      [-half, half],
    ];
    const nested: Outline = [square(10), square(6), square(2)];
    expect([0, 4, 8, 12].map((x) => inOutline([x, 0.5], nested))).toEqual([true, false, true, false]);
    expect(inOutline([0, 0], [])).toBe(false);
    expect(inRing([0, 0], [])).toBe(false);
  });
});
