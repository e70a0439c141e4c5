import { describe, expect, it } from '@jest/globals';
import { rectRing, type Outline } from '../../base/outlines/index.js';
import { sourcesFrom } from '../photometry/index.js';
import { lambertian, sceneOf, windowOf } from '../../validation/plain-scenes.js';
import { lightScene, solidAt, traceScene, type LayeredScene } from './index.js';

const limits = { directLongSide: 128, patchLongSide: 24, togetherMm: 0 };
const fine = { directLongSide: 240, patchLongSide: 20, togetherMm: 0 };

/** LEDs all round the rim at a height, looking in. */
const rimLights = (widthMm: number, heightMm: number, z: number, pitchMm: number, lm = 10) => {
  const rows: number[][] = [];
  for (let x = -widthMm / 2 + pitchMm / 2; x < widthMm / 2; x += pitchMm) {
    rows.push([x, heightMm / 2 - 2, z, 0, -1, 0, 1, 0, 0, lm]);
    rows.push([x, -heightMm / 2 + 2, z, 0, 1, 0, 1, 0, 0, lm]);
  }
  for (let y = -heightMm / 2 + pitchMm / 2; y < heightMm / 2; y += pitchMm) {
    rows.push([widthMm / 2 - 2, y, z, -1, 0, 0, 0, 1, 0, lm]);
    rows.push([-widthMm / 2 + 2, y, z, 1, 0, 0, 0, 1, 0, lm]);
  }
  return sourcesFrom(rows, lambertian);
};

/** Upright reeds, a window frame, and a sheet with a hole. */
const reeds = (count: number, wide: number): Outline =>
  Array.from({ length: count }, (_, at) =>
    rectRing({ x: -280 + (560 * (at + 0.5)) / count - wide / 2, y: -150, width: wide, height: 120 + 40 * (at % 4) }),
  );
const window = (border: number): Outline => windowOf(600, 300, border);
const five = sceneOf(600, 300, 80, [
  { rearZMm: 10, outline: window(90), frontReflects: 0.7 },
  { rearZMm: 25, outline: reeds(9, 24), frontReflects: 0.3 },
  { rearZMm: 40, outline: [rectRing({ x: -120, y: -150, width: 240, height: 130 })], frontReflects: 0.4 },
  { rearZMm: 55, outline: reeds(6, 30), frontReflects: 0.2 },
  { rearZMm: 70, outline: window(28), frontReflects: 0.5 },
]);

const fluxOn = (
  map: Float32Array,
  scene: LayeredScene,
  solid: Float32Array | null,
  grid: LayeredScene['grid'],
): number => {
  const cellM2 = (grid.cellWidthMm * grid.cellHeightMm) / 1e6;
  let sum = 0;
  for (let cell = 0; cell < map.length; cell += 1) {
    const x = grid.area.x + ((cell % grid.columns) + 0.5) * grid.cellWidthMm;
    const y = grid.area.y + (Math.floor(cell / grid.columns) + 0.5) * grid.cellHeightMm;
    sum += map[cell]! * cellM2 * (solid === null ? 1 : solidAt(solid, scene.grid, x, y));
  }
  return sum;
};

describe('light in layers', () => {
  it('gives out what it is given', () => {
    const light = lightScene(five, rimLights(600, 300, 62, 15), limits);
    const taken =
      light.outLm +
      light.backTakesLm +
      light.rimTakesLm +
      light.glazingTakesLm +
      light.planesTakeLm.reduce((a, b) => a + b, 0);
    expect(Math.abs(taken / light.emittedLm - 1)).toBeLessThan(0.001);
  });

  it.each([
    ['at the rim before all sheets but one', 62],
    ['between the second and the third', 33.5],
  ])('agrees with photons in five layers, strip %s', (_, z) => {
    const sources = rimLights(600, 300, z, 15);
    const light = lightScene(five, sources, limits);
    const traced = traceScene(five, sources, 300_000, 7);
    const on = (at: number): number => traced.frontLm[at]! + traced.rearLm[at]!;
    const rows = [
      ['out', light.outLm, traced.outLm, traced.errorLm.out, traced.outLm],
      ['back', fluxOn(light.back, five, null, light.grid), traced.frontLm[0]!, traced.errorLm.front[0]!, on(0)],
      // Of each side, as a share of all the light on the sheet.
      ...five.planes.flatMap(({ solid }, at) =>
        (['front', 'rear'] as const).map(
          (side) =>
            [
              `${side} ${at + 1}`,
              fluxOn(light.planes[at]![side], five, solid, light.grid),
              traced[`${side}Lm`][at + 1]!,
              traced.errorLm[side][at + 1]!,
              on(at + 1),
            ] as const,
        ),
      ),
    ] as const;
    for (const [name, ours, theirs, error, of] of rows)
      expect([name, Math.abs(ours - theirs) < 0.03 * of + 3 * error]).toEqual([name, true]);
    expect(light.closes).toBeLessThan(0.15);
  });

  it('puts the edge of a shadow where similar triangles do', () => {
    // One LED 60 mm above the back looks down past a sheet that covers everything left of x = 20, 40 mm above the back.
    const scene = sceneOf(
      400,
      200,
      80,
      [
        {
          rearZMm: 40,
          frontZMm: 40.01,
          outline: [rectRing({ x: -200, y: -100, width: 220, height: 200 })],
          frontReflects: 0,
          rearReflects: 0,
        },
      ],
      { backReflects: 0, rimReflects: 0 },
    );
    const lamp = sourcesFrom([[0, 0, 60, 0, 0, -1, 1, 0, 0, 100]], lambertian);
    const { back, grid } = lightScene(scene, lamp, fine);
    // On the back the edge lies three times as far out, as the LED is three times as high above it as above the sheet.
    const row = Math.floor(grid.rows / 2);
    const lit = (x: number): number => back[row * grid.columns + Math.floor((x - grid.area.x) / grid.cellWidthMm)]!;
    expect(lit(52)).toBe(0);
    // Beyond it, E = I cos⁴ / h² as if nothing were there.
    const x = 68;
    const middle = grid.area.x + (Math.floor((x - grid.area.x) / grid.cellWidthMm) + 0.5) * grid.cellWidthMm;
    const y = grid.area.y + (row + 0.5) * grid.cellHeightMm;
    const r2 = middle * middle + y * y + 3600;
    expect(lit(x) / ((100 / Math.PI) * (3600 / (r2 * r2)) * 1e6)).toBeCloseTo(1, 2);
  });
});
