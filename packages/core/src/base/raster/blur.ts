import { fromFrequencies, multiplyBy, powerOfTwo, toFrequencies, type Spectrum } from './fft.js';
import type { Grid } from './types.js';

/** How much of a ripple of a given frequency (cycles/mm) a blur lets through; 1 at 0. */
export type Transfer = (cyclesPerMm: number) => number;

const mirrored = (index: number, length: number): number => {
  const turn = ((index % (2 * length)) + 2 * length) % (2 * length);
  return turn < length ? turn : 2 * length - 1 - turn;
};

/**
 * A blur of maps on one raster, by its transfer function. Beyond the edges the map goes on mirrored, as between white
 * returns, at least as far as `reachMm`.
 */
export const blurOver = (
  { columns, rows, cellWidthMm, cellHeightMm }: Grid,
  transfer: Transfer,
  reachMm: number,
): ((map: ArrayLike<number>) => Float64Array) => {
  const [marginX, marginY] = [
    Math.min(columns, Math.ceil(reachMm / cellWidthMm) + 1),
    Math.min(rows, Math.ceil(reachMm / cellHeightMm) + 1),
  ];
  const [width, height] = [powerOfTwo(columns + 2 * marginX), powerOfTwo(rows + 2 * marginY)];
  // The mirror image fills what the power of two leaves over, too: half before, half after.
  const [padX, padY] = [(width - columns) >> 1, (height - rows) >> 1];
  const kernel: Spectrum = { width, height, data: new Float64Array(2 * width * height) };
  // The kernel is the same for negative frequencies: a quarter of it is worked out.
  for (let y = 0; y <= height / 2; y += 1)
    for (let x = 0; x <= width / 2; x += 1) {
      const share = transfer(Math.hypot(x / (width * cellWidthMm), y / (height * cellHeightMm)));
      for (const row of [y, (height - y) % height])
        for (const column of [x, (width - x) % width]) kernel.data[2 * (row * width + column)] = share;
    }
  const columnOf = Int32Array.from({ length: width }, (_, x) => mirrored(x - padX, columns));
  return (map) => {
    const spectrum: Spectrum = { width, height, data: new Float64Array(2 * width * height) };
    for (let y = 0; y < height; y += 1) {
      const row = mirrored(y - padY, rows) * columns;
      for (let x = 0; x < width; x += 1) spectrum.data[2 * (y * width + x)] = map[row + columnOf[x]!]!;
    }
    toFrequencies(spectrum);
    multiplyBy(spectrum, kernel);
    fromFrequencies(spectrum);
    const blurred = new Float64Array(columns * rows);
    for (let row = 0; row < rows; row += 1)
      for (let column = 0; column < columns; column += 1)
        blurred[row * columns + column] = spectrum.data[2 * ((row + padY) * width + column + padX)]!;
    return blurred;
  };
};

/** One map blurred. */
export const blurMap = (map: ArrayLike<number>, grid: Grid, transfer: Transfer, reachMm: number): Float64Array =>
  blurOver(grid, transfer, reachMm)(map);
