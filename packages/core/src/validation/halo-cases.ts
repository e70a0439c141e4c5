import { glowAlong, lightWall, type HaloScene } from '../light/wall/index.js';
import { rectRing } from '../base/outlines/index.js';
import { gridOver } from '../base/raster/index.js';
import { cosineLaw, ledsAt } from './bench.js';
import type { ValidationCase } from './types.js';

const [setbackMm, stripMm] = [12, 2];

/** A long straight edge along x at y = 0, the letter below it, LEDs in a row behind it that face the wall. */
const straightEdge = (standoffMm: number): HaloScene => ({
  outline: [rectRing({ x: -1200, y: -60, width: 2400, height: 60 })],
  standoffMm,
  returnMm: 0,
  posts: [],
  lights: ledsAt(
    Array.from({ length: 1200 }, (_, led) => [-1199 + 2 * led, -setbackMm, standoffMm - stripMm] as const),
    cosineLaw(1),
    2,
    [0, 0, -1],
  ),
  wallReflectance: 0,
  backReflectance: 0,
});

/** φ h² / 2 (h² + y²)^1.5 lx at y beside a line of φ lm/m that faces the wall from a height h. */
const beside = (y: number, h: number): number => (1e6 * h * h) / (2 * (h * h + y * y) ** 1.5);

const grid = gridOver({ x: -40, y: -10, width: 80, height: 90 }, 16, 360);

const atEdge = (standoffMm: number, outMm: number): ValidationCase => ({
  group: 'wall',
  name: `wall ${outMm} mm outside a long straight edge, standoff ${standoffMm} mm`,
  against: 'φ h² / 2 (h² + y²)^1.5: the line integral of a row of Lambertian sources that face the wall',
  tolerance: 0.01,
  run: () => {
    const { directLux } = lightWall(straightEdge(standoffMm), grid);
    const row = Math.round((outMm + 10) / grid.cellHeightMm - 0.5);
    const y = grid.area.y + (row + 0.5) * grid.cellHeightMm;
    return { computed: directLux[row * grid.columns + 8]!, expected: beside(y + setbackMm, standoffMm - stripMm) };
  },
});

const width = (standoffMm: number): ValidationCase => ({
  group: 'wall',
  name: `width of the glow to half its edge value, standoff ${standoffMm} mm`,
  against: '√((h² + b²) 2^(2/3) − h²) − b, from the same closed form',
  tolerance: 0.01,
  run: () => {
    const light = lightWall(straightEdge(standoffMm), grid);
    const middle = glowAlong(light, straightEdge(standoffMm).outline, 2).places.filter(
      ({ at, outward }) => Math.abs(at[0]) < 20 && outward[1] > 0.9,
    );
    const h = standoffMm - stripMm;
    return {
      computed: middle.reduce((sum, { halfMm }) => sum + halfMm, 0) / middle.length,
      expected: Math.sqrt((h * h + setbackMm * setbackMm) * 2 ** (2 / 3) - h * h) - setbackMm,
    };
  },
});

/** Light behind halo letters. */
export const haloCases: readonly ValidationCase[] = [
  atEdge(20, 0.1),
  atEdge(20, 30),
  atEdge(40, 10),
  width(20),
  width(40),
  {
    group: 'wall',
    name: 'light of one LED on all of the wall',
    against: 'what it emits: it faces the wall, and nothing is in the way',
    tolerance: 0.01,
    run: () => {
      const scene: HaloScene = {
        ...straightEdge(20),
        outline: [],
        lights: ledsAt([[0, 0, 18]], cosineLaw(1), 5, [0, 0, -1]),
      };
      const { onWallLm } = lightWall(scene, gridOver({ x: -220, y: -220, width: 440, height: 440 }, 440, 440));
      return { computed: onWallLm, expected: 5 };
    },
  },
];
