import type { Grid } from './types.js';

/** A map, straight between the middles of its cells. */
export const mapValue = (map: ArrayLike<number>, grid: Grid, [x, y]: readonly [number, number]): number => {
  const { columns, rows, area, cellWidthMm, cellHeightMm } = grid;
  const [u, v] = [(x - area.x) / cellWidthMm - 0.5, (y - area.y) / cellHeightMm - 0.5];
  const [i, j] = [Math.min(columns - 2, Math.max(0, Math.floor(u))), Math.min(rows - 2, Math.max(0, Math.floor(v)))];
  const [s, t] = [Math.min(1, Math.max(0, u - i)), Math.min(1, Math.max(0, v - j))];
  const at = (column: number, row: number): number => map[row * columns + column]!;
  return (1 - t) * ((1 - s) * at(i, j) + s * at(i + 1, j)) + t * ((1 - s) * at(i, j + 1) + s * at(i + 1, j + 1));
};

/** Weights of four neighbours for a place `t` of the way from the second to the third (Catmull–Rom). */
const cubicWeights = (t: number): readonly [number, number, number, number] => [
  (t * (-1 + t * (2 - t))) / 2,
  (2 + t * t * (3 * t - 5)) / 2,
  (t * (1 + t * (4 - 3 * t))) / 2,
  (t * t * (t - 1)) / 2,
];

/** A smooth map between the middles of its cells, by the sixteen about the place: right where a straight line sags. */
export const smoothMapValue = (map: ArrayLike<number>, grid: Grid, [x, y]: readonly [number, number]): number => {
  const { columns, rows, area, cellWidthMm, cellHeightMm } = grid;
  const u = Math.min(columns - 1, Math.max(0, (x - area.x) / cellWidthMm - 0.5));
  const v = Math.min(rows - 1, Math.max(0, (y - area.y) / cellHeightMm - 0.5));
  const [i, j] = [Math.floor(u), Math.floor(v)];
  const [across, up] = [cubicWeights(u - i), cubicWeights(v - j)];
  let sum = 0;
  for (let row = 0; row < 4; row += 1) {
    const start = Math.min(rows - 1, Math.max(0, j + row - 1)) * columns;
    let along = 0;
    for (let column = 0; column < 4; column += 1)
      along += across[column]! * map[start + Math.min(columns - 1, Math.max(0, i + column - 1))]!;
    sum += up[row]! * along;
  }
  return sum;
};
