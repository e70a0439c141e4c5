import { rectRing } from '../base/outlines/index.js';
import { lightScene, traceScene } from '../light/layers/index.js';
import { sourcesFrom } from '../light/photometry/index.js';
import { lambertian, sceneOf, windowOf } from './plain-scenes.js';
import type { ValidationCase } from './types.js';

const limits = { directLongSide: 120, patchLongSide: 24, togetherMm: 0 };

/** Thrown back and forth between a white back and what lies over the opening. */
const plates = (back: number, front: number): ValidationCase => ({
  group: 'layered sheets',
  name: `out between two wide plates, back ${back}, front ${front}`,
  against: 'geometric series: passed / (1 − ρ back × ρ front)',
  tolerance: 0.01,
  run: () => {
    const scene = sceneOf(1200, 1200, 12, [], {
      backReflects: back,
      rimReflects: 0.9,
      glazing: { passes: 1 - front, reflects: front },
    });
    const lamp = sourcesFrom([[0, 0, 4, 0, 0, 1, 1, 0, 0, 1000]], lambertian);
    return {
      computed: lightScene(scene, lamp, limits).outLm,
      expected: (1000 * (1 - front)) / (1 - back * front),
    };
  },
});

/** Behind a half plane: nothing up to the edge of the shadow, all of it past that. */
const shadow = (beyondMm: number): ValidationCase => ({
  group: 'layered sheets',
  name: `past the edge of a shadow by ${beyondMm} mm`,
  against: 'E = I cos⁴ / h², where similar triangles leave it',
  tolerance: 0.01,
  run: () => {
    // An LED 60 mm up, the sheet at 40 mm ends 15 mm aside: its shadow ends at 45.
    const scene = sceneOf(
      400,
      200,
      80,
      [
        {
          outline: [rectRing({ x: -200, y: -100, width: 215, height: 200 })],
          rearZMm: 40,
          frontZMm: 40.01,
          frontReflects: 0,
          rearReflects: 0,
        },
      ],
      { backReflects: 0, rimReflects: 0 },
    );
    const lamp = sourcesFrom([[0, 0, 60, 0, 0, -1, 1, 0, 0, 100]], lambertian);
    const { back, grid } = lightScene(scene, lamp, limits);
    const column = Math.floor((45 + beyondMm - grid.area.x) / grid.cellWidthMm);
    const row = Math.floor(grid.rows / 2);
    const x = grid.area.x + (column + 0.5) * grid.cellWidthMm;
    const y = grid.area.y + (row + 0.5) * grid.cellHeightMm;
    return {
      computed: back[row * grid.columns + column]!,
      expected: ((100 / Math.PI) * 60 ** 2 * 1e6) / (x * x + y * y + 60 ** 2) ** 2,
    };
  },
});

const photons = 200_000;

/** Three sheets with strip between them, photon by photon. */
const traced: ValidationCase = {
  group: 'layered sheets',
  name: 'out of three cut sheets, lit from the rim',
  against: 'photons one by one through the same sheets',
  tolerance: 0.03,
  run: () => {
    const scene = sceneOf(400, 200, 60, [
      { outline: windowOf(400, 200, 60), rearZMm: 10 },
      { outline: [rectRing({ x: -80, y: -100, width: 160, height: 110 })], rearZMm: 24, frontReflects: 0.3 },
      { outline: windowOf(400, 200, 25), rearZMm: 50, frontReflects: 0.2 },
    ]);
    const rows = Array.from({ length: 26 }, (_, at): number[][] => {
      const x = -200 + (at + 0.5) * (400 / 26);
      return [
        [x, 98, 38, 0, -1, 0, 1, 0, 0, 10],
        [x, -98, 38, 0, 1, 0, 1, 0, 0, 10],
      ];
    }).flat();
    const sources = sourcesFrom(rows, lambertian);
    return {
      computed: lightScene(scene, sources, limits).outLm,
      expected: traceScene(scene, sources, photons, 11).outLm,
    };
  },
};

/** Light in cut-out sheets. */
export const layersCases: readonly ValidationCase[] = [
  plates(0.85, 0.3),
  plates(0.6, 0.08),
  shadow(12),
  shadow(60),
  traced,
];
