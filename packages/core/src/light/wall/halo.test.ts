import { describe, expect, it } from '@jest/globals';
import { strongestRipple } from '../glow/index.js';
import { measureLine, offset, rectRing, subtract, type Outline } from '../../base/outlines/index.js';
import { gridOver } from '../../base/raster/index.js';
import { cosineLaw, ledsAt } from '../../validation/bench.js';
import { glowAlong, lightWall, postShadows, type HaloScene, type Post } from './index.js';

/** An upright stroke of a letter, 60 × 200 mm, in the middle. */
const stroke: Outline = [rectRing({ x: -30, y: -100, width: 60, height: 200 })];
/** Fine enough to see LEDs 10 mm apart. */
const fine = gridOver({ x: -60, y: -100, width: 120, height: 200 }, 240, 400);
const grid = gridOver({ x: -110, y: -180, width: 220, height: 360 }, 55, 90);

/** LEDs along both long sides, so far from them, facing the wall. */
const alongSides = (pitchMm: number, setbackMm: number, z: number): HaloScene['lights'] => {
  const count = Math.floor(190 / pitchMm);
  return ledsAt(
    [-30 + setbackMm, 30 - setbackMm].flatMap((x) =>
      Array.from({ length: count }, (_, led) => [x, -95 + (led + 0.5) * pitchMm, z] as const),
    ),
    cosineLaw(1),
    2,
    [0, 0, -1],
  );
};

const scene = (change: Partial<HaloScene> = {}): HaloScene => ({
  outline: stroke,
  standoffMm: 20,
  returnMm: 0,
  posts: [],
  lights: alongSides(10, 10, 18),
  // Straight light only, unless a test is about what bounces.
  wallReflectance: 0,
  backReflectance: 0.4,
  ...change,
});
const post = (x: number, y: number): Post => ({ at: [x, y], diameterMm: 8 });
const edge = (change: Partial<HaloScene> = {}) => glowAlong(lightWall(scene(change), grid), stroke, 4);

describe('light on the wall behind letters', () => {
  it('is never more than was emitted, however white wall and backs are', () => {
    for (const reflectance of [0, 0.5, 0.9]) {
      const light = lightWall(scene({ wallReflectance: reflectance, backReflectance: reflectance }), grid);
      const absorbed = light.onWallLm * (1 - reflectance);
      expect(absorbed).toBeLessThanOrEqual(light.emittedLm);
      expect(light.directLux.every((lux) => lux >= 0 && Number.isFinite(lux))).toBe(true);
    }
  });

  it('comes again by way of the backs, more of it the whiter both are', () => {
    const bounced = (wall: number, back: number): number =>
      lightWall(scene({ wallReflectance: wall, backReflectance: back }), grid).bouncedLux.reduce((a, b) => a + b, 0);
    expect(bounced(0, 0.9)).toBe(0);
    expect(bounced(0.8, 0)).toBe(0);
    expect(bounced(0.8, 0.8)).toBeGreaterThan(1.5 * bounced(0.8, 0.4));
  });

  it('is wider and weaker at the edge the farther the letter stands off', () => {
    const [near, far] = [
      edge({ standoffMm: 15, lights: alongSides(10, 10, 13) }),
      edge({ standoffMm: 40, lights: alongSides(10, 10, 38) }),
    ];
    expect(far.halfMm).toBeGreaterThan(1.5 * near.halfMm);
    expect(far.tenthMm).toBeGreaterThan(far.halfMm);
    expect(far.meanLux).toBeLessThan(near.meanLux);
  });

  it('falls with the setback', () => {
    const lux = [6, 12, 20].map((setback) => edge({ lights: alongSides(10, setback, 18) }).meanLux);
    expect(lux[0]).toBeGreaterThan(lux[1]!);
    expect(lux[1]).toBeGreaterThan(lux[2]!);
  });

  it('scallops at a wide pitch, and not at a close one', () => {
    const scallops = (pitch: number): number => {
      const wall = lightWall(scene({ lights: alongSides(pitch, 8, 14), standoffMm: 16 }), fine);
      const lux = ([x, y]: readonly [number, number]): number => {
        const [column, row] = [Math.floor((x + 60) / fine.cellWidthMm), Math.floor((y + 100) / fine.cellHeightMm)];
        return wall.directLux[Math.min(fine.columns - 1, column) + Math.min(fine.rows - 1, row) * fine.columns]!;
      };
      return strongestRipple([{ line: measureLine(stroke[0]!, true), closed: true }], {
        pitchMm: pitch,
        directAt: lux,
        allAt: lux,
      }).contrast;
    };
    expect(scallops(10)).toBeLessThan(0.02);
    // A modulation of a quarter and more, and never more than all.
    expect(scallops(50)).toBeGreaterThan(0.15);
  });

  it('is empty without LEDs', () => {
    const dark = lightWall(scene({ lights: ledsAt([], cosineLaw(1)) }), grid);
    expect(dark.onWallLm).toBe(0);
    expect(glowAlong(dark, stroke, 4)).toMatchObject({ meanLux: 0, minOverMean: 0 });
  });
});

describe('posts', () => {
  const shadows = (posts: readonly Post[]) => postShadows(edge({ posts }), edge());

  it('between strip and edge darken the edge beside them, and nowhere else', () => {
    const found = shadows([post(26, 20)]);
    expect(found.length).toBeGreaterThan(0);
    for (const { at, share } of found) {
      expect(at[0]).toBeGreaterThan(25);
      expect(Math.abs(at[1] - 20)).toBeLessThan(30);
      expect(share).toBeGreaterThan(0.1);
    }
  });

  it('inside the strip leave the edge as it was', () => expect(shadows([post(0, 20), post(0, -60)])).toEqual([]));

  it('thicker ones darken more', () => {
    const worst = (diameterMm: number): number =>
      Math.max(...shadows([{ at: [26, 20], diameterMm }]).map(({ share }) => share));
    expect(worst(8)).toBeGreaterThan(worst(3));
  });
});

describe('returns', () => {
  it('keep light in that would cross them above their edge', () => {
    // Recessed 30 mm: seen from the LED, the return’s edge stands in the way of what lies far out.
    const recessed = edge({ returnMm: 30, lights: alongSides(10, 10, 48) });
    const plate = edge({ standoffMm: 50, lights: alongSides(10, 10, 48) });
    expect(recessed.tenthMm).toBeLessThan(0.6 * plate.tenthMm);
    // The last place that is lit straight: (h − s) / b = s / y.
    const light = lightWall(scene({ returnMm: 30, lights: ledsAt([[20, 0, 48]], cosineLaw(1), 1, [0, 0, -1]) }), grid);
    const row = 45;
    const lit = Array.from({ length: grid.columns }, (_, column) => column).filter(
      (column) => light.directLux[row * grid.columns + column]! > 0,
    );
    const farthest = grid.area.x + (Math.max(...lit) + 1) * grid.cellWidthMm;
    expect(Math.abs(farthest - (30 + (10 * 20) / 28))).toBeLessThan(grid.cellWidthMm);
  });

  it('of a ring shine into its counter too', () => {
    const ring = subtract(offset(stroke, 30), offset(stroke, -10));
    const light = lightWall(
      scene({ outline: ring, lights: ledsAt([[-50, 0, 18]], cosineLaw(1), 1, [0, 0, -1]) }),
      grid,
    );
    const at = (x: number): number => light.directLux[45 * grid.columns + Math.floor((x + 110) / 4)]!;
    expect(at(-15)).toBeGreaterThan(0);
    expect(at(-70)).toBeGreaterThan(0);
  });
});
