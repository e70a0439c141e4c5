import { cansOf, directInCans, reflectedInCans, traceByCan } from '../light/can/index.js';
import { rectRing } from '../base/outlines/index.js';
import { gridOver } from '../base/raster/index.js';
import { cosineLaw, ledsAt } from './bench.js';
import type { ValidationCase } from './types.js';

const inside = [rectRing({ x: 0, y: 0, width: 200, height: 120 })];
const grid = gridOver({ x: 0, y: 0, width: 200, height: 120 }, 100, 60);
const lights = ledsAt(
  [40, 80, 120, 160].map((x) => [x, 60, 0] as const),
  cosineLaw(1),
  10,
);
const insides = {
  depthMm: 60,
  back: { reflectance: 0.88, mirrorShare: 0 },
  walls: { reflectance: 0.88, mirrorShare: 0 },
  face: { reflectance: 0.45, transmittance: 0.45 },
};
const traced = () => {
  const cans = cansOf(inside, lights, grid);
  return { cans, found: cans.map((can) => traceByCan()(can, insides, 400_000)) };
};

/** Letter-shaped cases against sums and balances. */
export const canCases: readonly ValidationCase[] = [
  {
    group: 'letter-shaped cases',
    name: 'straight light 50 mm aside of four LEDs under a face 60 mm off',
    against: 'Σ I cos γ / d²',
    tolerance: 1e-3,
    run: () => {
      const { cans, found } = traced();
      const map = directInCans(
        cans,
        found.map(({ horizons }) => horizons),
        grid,
        60,
        () => 1,
      );
      const [column, row] = [50, 54];
      const [x, y] = [grid.area.x + (column + 0.5) * 2, grid.area.y + (row + 0.5) * 2];
      const expected = [40, 80, 120, 160].reduce((sum, led) => {
        const d2 = (x - led) ** 2 + (y - 60) ** 2 + 3600;
        return sum + (10e6 * 3600) / (Math.PI * d2 * d2);
      }, 0);
      return { computed: map[row * grid.columns + column]!, expected };
    },
  },
  {
    group: 'letter-shaped cases',
    name: 'light out, and absorbed by case and face, of a rectangular case',
    against: 'what its LEDs emit',
    tolerance: 5e-3,
    run: () => {
      const { cans, found } = traced();
      const { outLm, absorbedCaseLm, absorbedFaceLm, emittedLm } = reflectedInCans(cans, found, grid);
      return { computed: outLm + absorbedCaseLm + absorbedFaceLm, expected: emittedLm };
    },
  },
];
