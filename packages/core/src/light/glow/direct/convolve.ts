import {
  fromFrequencies,
  multiplyBy,
  powerOfTwo,
  toFrequencies,
  type Grid,
  type Spectrum,
} from '../../../base/raster/index.js';
import { lawAt, type FacingLaw } from './law.js';

/** Cubic Lagrange weights of the four cells round a place, `t` cells past the second of them. */
const weightsAt = (t: number): readonly [number, number, number, number] => [
  (-t * (t - 1) * (t - 2)) / 6,
  ((t + 1) * (t - 1) * (t - 2)) / 2,
  (-(t + 1) * t * (t - 2)) / 2,
  ((t + 1) * t * (t - 1)) / 6,
];

const probes = 60;
const probedHeights = 4;

/**
 * The largest error that laying a source on the nearest cells makes anywhere, as a share of its peak: the law taken half
 * a cell aside by the same four weights, against the law itself; once for each axis.
 */
export const layingError = (law: FacingLaw, h: number, { cellWidthMm, cellHeightMm }: Grid): number => {
  const h2 = h * h;
  const weights = weightsAt(0.5);
  const worst = (cell: number): number => {
    let most = 0;
    for (let probe = 0; probe <= probes; probe += 1) {
      const r = (probe / probes) * probedHeights * h;
      const laid = weights.reduce((sum, weight, at) => sum + weight * lawAt(law, h2, (r - (at - 1.5) * cell) ** 2), 0);
      most = Math.max(most, Math.abs(laid - lawAt(law, h2, r * r)));
    }
    return most / lawAt(law, h2, 0);
  };
  return worst(cellWidthMm) + worst(cellHeightMm);
};

/** Sources that look straight at the plane from one height. */
export interface Level {
  readonly h: number;
  readonly x: readonly number[];
  readonly y: readonly number[];
  readonly flux: readonly number[];
}

/** Side lengths of the spectrum that a convolution over this grid needs. */
export const spectrumSize = ({ columns, rows }: Grid): readonly [number, number] => [
  powerOfTwo(2 * columns),
  powerOfTwo(2 * rows),
];

/** Lays sources on the grid, four cells each way. Mutates `spectrum`. */
const lay = (spectrum: Spectrum, grid: Grid, { x, y, flux }: Level): void => {
  x.forEach((place, source) => {
    const u = (place - grid.area.x) / grid.cellWidthMm - 0.5;
    const v = (y[source]! - grid.area.y) / grid.cellHeightMm - 0.5;
    const [column, row] = [Math.floor(u), Math.floor(v)];
    const [across, up] = [weightsAt(u - column), weightsAt(v - row)];
    for (let j = 0; j < 4; j += 1)
      for (let i = 0; i < 4; i += 1) {
        const [c, r] = [column - 1 + i, row - 1 + j];
        if (c < 0 || r < 0 || c >= spectrum.width || r >= spectrum.height) continue;
        spectrum.data[2 * (r * spectrum.width + c)]! += flux[source]! * across[i]! * up[j]!;
      }
  });
};

/** Adds all sources of one height at once: laid on the grid, then convolved with the law by FFT. Mutates `map`. */
export const convolve = (map: Float64Array, grid: Grid, level: Level, law: FacingLaw): void => {
  const [width, height] = spectrumSize(grid);
  const blank = (): Spectrum => ({ width, height, data: new Float64Array(2 * width * height) });
  const [sources, kernel] = [blank(), blank()];
  lay(sources, grid, level);
  const h2 = level.h * level.h;
  for (let row = 0; row < height; row += 1) {
    const dy = (row <= height / 2 ? row : row - height) * grid.cellHeightMm;
    for (let column = 0; column < width; column += 1) {
      const dx = (column <= width / 2 ? column : column - width) * grid.cellWidthMm;
      kernel.data[2 * (row * width + column)] = lawAt(law, h2, dx * dx + dy * dy);
    }
  }
  toFrequencies(sources);
  toFrequencies(kernel);
  multiplyBy(sources, kernel);
  fromFrequencies(sources);
  for (let row = 0, at = 0; row < grid.rows; row += 1)
    for (let column = 0; column < grid.columns; column += 1, at += 1)
      map[at]! += Math.max(0, sources.data[2 * (row * width + column)]!);
};
