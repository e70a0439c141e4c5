import { previewGrid } from '../light/glow/index.js';
import { indirectLight } from '../light/glow/indirect.js';
import type { PointSources } from '../light/photometry/index.js';
import type { Box } from '../light/radiosity/index.js';
import { createTracer } from '../light/tracing/index.js';
import { cosineLaw, ledsAt, middleGrid, middleRectangle } from './bench.js';
import type { ValidationCase } from './types.js';

const lining = { reflectance: 0.88 };
const face = { reflectance: 0.45, transmittance: 0.45 };
/** Cells of the traced map along the width and the height. */
const [columns, rows] = [20, 10];
/** The computed map is so many times finer each way. */
const fine = 4;

/** Rows of strip with an LED every 16.7 mm or so. */
const lightsIn = ({ widthMm, heightMm }: Box, rowCount: number): PointSources => {
  const long = widthMm - 30;
  const each = Math.round(long / 16.7) + 1;
  return ledsAt(
    Array.from({ length: each * rowCount }, (_, led) => [
      -long / 2 + ((led % each) * long) / (each - 1),
      heightMm / 2 - ((Math.floor(led / each) + 0.5) * heightMm) / rowCount,
      3,
    ]),
    cosineLaw(1),
    20,
  );
};

const sum = (values: ArrayLike<number>): number => Array.from(values).reduce((total, value) => total + value, 0);

/** Each cell as the mean of its four images: the boxes are the same in both mirrors. */
const mirrored = (map: Float64Array): Float64Array =>
  map.map((_, cell) => {
    const [i, j] = [cell % columns, Math.floor(cell / columns)];
    const [k, l] = [columns - 1 - i, rows - 1 - j];
    return (map[j * columns + i]! + map[j * columns + k]! + map[l * columns + i]! + map[l * columns + k]!) / 4;
  });

/** The darkest place of the face to its mean by patches as on the page, and by tracing at the same place. */
const darkestToMean = (box: Box, rowCount: number, photons: number) => {
  const { widthMm, heightMm, depthMm } = box;
  const lights = lightsIn(box, rowCount);
  const tracer = createTracer({
    outline: [middleRectangle(widthMm, heightMm)],
    depthMm,
    back: { ...lining, mirrorShare: 0 },
    walls: { ...lining, mirrorShare: 0 },
    face,
    block: null,
    lights,
    grid: middleGrid(widthMm, heightMm, columns, rows),
    seed: 3,
  });
  tracer.step(photons);
  const { directLux, reflectedLux } = tracer.found();
  const { lux } = indirectLight(
    lights,
    box,
    null,
    { lining },
    { innerReflectance: face.reflectance, transmittance: face.transmittance, openShare: 1 },
    middleGrid(widthMm, heightMm, fine * columns, fine * rows),
    previewGrid,
  );
  const byPatches = new Float64Array(columns * rows);
  lux.forEach((value, cell) => {
    const [column, row] = [cell % (fine * columns), Math.floor(cell / (fine * columns))];
    byPatches[Math.floor(row / fine) * columns + Math.floor(column / fine)]! += value / (fine * fine);
  });
  // The same straight light for both: only what is reflected is in question.
  const [computed, expected] = [byPatches, reflectedLux].map((reflected) => {
    const all = mirrored(directLux.map((value, cell) => value + reflected[cell]!));
    const mean = sum(all) / all.length;
    return all.map((value) => value / mean);
  }) as [Float64Array, Float64Array];
  const darkest = computed.indexOf(Math.min(...computed));
  return { computed: computed[darkest]!, expected: expected[darkest]! };
};

const boxes: readonly (readonly [number, number, number, number])[] = [
  [500, 250, 75, 1],
  [400, 400, 100, 3],
  [1200, 600, 120, 4],
  [600, 400, 50, 4],
];

export const cornerCases: readonly ValidationCase[] = boxes.map(([widthMm, heightMm, depthMm, rowCount]) => ({
  group: 'reflected light',
  name: `darkest place of the face to its mean, ${widthMm} × ${heightMm} × ${depthMm} mm: patches over tracing`,
  against: '800k photons, seeded; as coarse as on the page, both with the same straight light',
  tolerance: 0.01,
  run: () => darkestToMean({ widthMm, heightMm, depthMm }, rowCount, 800_000),
}));
