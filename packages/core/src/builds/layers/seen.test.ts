import { describe, expect, it } from '@jest/globals';
import { gridOver } from '../../base/raster/index.js';
import type { SceneLight, ScenePlane } from '../../light/layers/index.js';
import type { LinearRgb } from '../../light/glow/index.js';
import type { LightRuns } from '../../light/runs/index.js';
import { composed } from './composed.js';
import { nearestSeen } from './nearest-seen.js';
import { stepsOf, told } from './told-apart.js';

const grid = gridOver({ x: -40, y: -20, width: 80, height: 40 }, 16, 8);
const cells = grid.columns * grid.rows;
const left = Float32Array.from({ length: cells }, (_, cell) => (cell % grid.columns < 8 ? 1 : 0));
const even = (lux: number): Float32Array => new Float32Array(cells).fill(lux);
const planeOf = (solid: Float32Array, passes = 0): ScenePlane => ({
  rearZMm: 20,
  frontZMm: 23,
  solid,
  frontReflects: 0.5,
  rearReflects: 0.8,
  passes,
});
/** Light on back and one plane, even all over (lx). */
const litBy = (backLux: number, frontLux: number, rearLux = 0): SceneLight =>
  ({ grid, back: even(backLux), planes: [{ front: even(frontLux), rear: even(rearLux) }] }) as unknown as SceneLight;
const white: LinearRgb = [1, 1, 1];
const grey: LinearRgb = [0.25, 0.25, 0.25];
const scene = (plane: ScenePlane, lit: SceneLight, rest: Partial<Parameters<typeof composed>[0]> = {}) =>
  composed({
    planes: [plane],
    grid,
    lit,
    colours: [grey],
    prints: [null],
    backRgb: [0.8, 0.8, 0.8],
    hue: white,
    glazing: 0.9,
    ...rest,
  });

describe('what is seen of a scene', () => {
  it('is ρ E / π of what is foremost, through the clear front', () => {
    const { luminance, top, sums } = scene(planeOf(left), litBy(300, 500));
    expect(luminance[0]).toBeCloseTo((0.9 * 0.25 * 500) / Math.PI, 3);
    expect(luminance[15]).toBeCloseTo((0.9 * 0.8 * 300) / Math.PI, 3);
    expect([top[0], top[15]]).toEqual([0, -1]);
    // Half each; their middles a quarter of the way in.
    expect(sums.map(({ cells: own }) => own)).toEqual([cells / 2, cells / 2]);
    expect(sums[0]!.x / sums[0]!.cells).toBeCloseTo(20, 6);
    expect(sums[1]!.x / sums[1]!.cells).toBeCloseTo(-20, 6);
    expect(sums[1]!.lux / sums[1]!.cells).toBeCloseTo(500, 3);
  });

  it('has what comes through a sheet that glows besides', () => {
    const { luminance } = scene(planeOf(left, 0.4), litBy(300, 500, 1000));
    expect(luminance[0]).toBeCloseTo((0.9 * (0.25 * 500 + 0.4 * 1000)) / Math.PI, 3);
  });

  it('is shared where a sheet covers part of a cell', () => {
    const half = new Float32Array(cells).fill(0.5);
    const { luminance, top } = scene(planeOf(half), litBy(300, 500));
    expect(luminance[0]).toBeCloseTo((0.9 * (0.5 * 0.25 * 500 + 0.5 * 0.8 * 300)) / Math.PI, 3);
    expect(top[0]).toBe(0);
  });

  it('keeps colours, of paint and print, against the hue of the light', () => {
    const red: LinearRgb = [0.8, 0.1, 0.1];
    const plain = scene(planeOf(left), litBy(300, 500), { colours: [red] });
    expect(plain.factors[0]! / plain.factors[1]!).toBeCloseTo(8, 3);
    expect([...plain.unlit.slice(0, 3)].map((each) => Math.round(10 * each) / 10)).toEqual([0.8, 0.1, 0.1]);
    // A print that is red on its left and blue on its right.
    const print = ([x]: readonly [number, number]): LinearRgb => (x < -20 ? [0.9, 0, 0] : [0, 0, 0.9]);
    const printed = scene(planeOf(left), litBy(300, 500), { prints: [print] });
    expect(printed.unlit[0]).toBeCloseTo(0.9, 5);
    expect(printed.unlit[3 * 7 + 2]).toBeCloseTo(0.9, 5);
  });
});

describe('steps between layers', () => {
  const words = {
    colourOf: (plane: number): LinearRgb => (plane < 0 ? [0.8, 0.8, 0.8] : [0.8, 0.1, 0.1]),
    indexOf: (plane: number) => plane,
    nameOf: (plane: number) => (plane < 0 ? 'Back' : 'Sheet'),
  };

  it('are told by the luminances on both sides of their edge, and by hue', () => {
    const picture = scene(planeOf(left), litBy(300, 500));
    const [step] = stepsOf(picture, grid, words);
    // 240 against 125.
    expect(step!.contrast).toBeCloseTo((240 - 125) / (240 + 125), 3);
    expect([step!.front, step!.behind, step!.behindIndex]).toEqual(['Sheet', 'Back', null]);
    expect(step!.hues).toBeGreaterThan(0.3);
    expect(Math.abs(step!.at[0])).toBeLessThan(6);
    expect(told({ contrast: 0.1, hues: 0.4 })).toBe(0.4);
  });

  it('are none where there is but one layer, or an edge of a cell or two', () => {
    expect(stepsOf(scene(planeOf(even(1)), litBy(300, 500)), grid, words)).toEqual([]);
    const speck = new Float32Array(cells);
    speck[3 * grid.columns + 5] = 1;
    expect(stepsOf(scene(planeOf(speck), litBy(300, 500)), grid, words)).toEqual([]);
  });

  it('are as flat as the same luminance and hue on both sides', () => {
    const alike = { ...words, colourOf: (): LinearRgb => grey };
    const picture = scene(planeOf(left), litBy(300, 960));
    const [step] = stepsOf(picture, grid, alike);
    expect(step!.contrast).toBeCloseTo(0, 3);
    expect(step!.hues).toBe(0);
  });
});

describe('the nearest that is seen', () => {
  const ledsAt = (...places: readonly (readonly [number, number, number])[]): LightRuns =>
    ({
      leds: {
        count: places.length,
        x: Float64Array.from(places, ([x]) => x),
        y: Float64Array.from(places, ([, y]) => y),
        z: Float64Array.from(places, ([, , z]) => z),
      },
    }) as unknown as LightRuns;
  const onBack = new Int16Array(cells).fill(-1);

  it('is as far as an LED stands over it', () => {
    const { mm, at } = nearestSeen(ledsAt([-37.5, 2.5, 12]), [], onBack, grid);
    expect(mm).toBeCloseTo(12, 6);
    expect(at).toEqual([-37.5, 2.5]);
  });

  it('leaves out sheets before the LED, unless they glow', () => {
    const covered = new Int16Array(cells).fill(0);
    const opaque = [{ frontZMm: 30, passes: 0 }];
    expect(nearestSeen(ledsAt([0, 0, 12]), opaque, covered, grid).mm).toBe(1000);
    const glowing = [{ frontZMm: 30, passes: 0.4 }];
    expect(nearestSeen(ledsAt([2.5, 2.5, 12]), glowing, covered, grid).mm).toBeCloseTo(18, 6);
  });

  it('is nothing without LEDs', () => {
    expect(nearestSeen(ledsAt(), [], onBack, grid)).toEqual({ mm: 0, at: [0, 0] });
  });
});
