import type { StackView } from '../light/optics/index.js';
import type { Distribution, PointSources } from '../light/photometry/index.js';
import { gridOver, type Grid } from '../base/raster/index.js';

/** LEDs at given places (x, y, z) that look one way. */
export const ledsAt = (
  places: readonly (readonly [number, number, number])[],
  distribution: Distribution,
  fluxLm = 1,
  normal: readonly [number, number, number] = [0, 0, 1],
): PointSources => {
  const column = (index: number): Float64Array => Float64Array.from(places, (place) => place[index]!);
  const all = (value: number): Float64Array => new Float64Array(places.length).fill(value);
  const aside = normal[2] > 0.5 ? [1, 0, 0] : [0, 0, 1];
  return {
    count: places.length,
    x: column(0),
    y: column(1),
    z: column(2),
    nx: all(normal[0]),
    ny: all(normal[1]),
    nz: all(normal[2]),
    ux: all(aside[0]!),
    uy: all(aside[1]!),
    uz: all(aside[2]!),
    fluxLm: all(fluxLm),
    distribution,
  };
};

export const cosineLaw = (exponent: number): Distribution => ({ kind: 'cosine', exponent });

/** A face that shows illuminance as it is: lx in, the same number out. */
export const luxMeter: StackView = {
  planeBehindMm: 0,
  towardNormal: () => 1,
  lambertian: true,
  imageShare: 0,
  narrowestRad: Math.PI / 2,
  blur: null,
};

/** A raster round the middle. */
export const middleGrid = (width: number, height: number, columns: number, rows: number): Grid =>
  gridOver({ x: -width / 2, y: -height / 2, width, height }, columns, rows);

/** The outline of a rectangle about the middle. */
export const middleRectangle = (width: number, height: number): readonly (readonly [number, number])[] => [
  [-width / 2, -height / 2],
  [width / 2, -height / 2],
  [width / 2, height / 2],
  [-width / 2, height / 2],
];

/** A single cell of a millimetre at a place. */
export const spot = (x: number, y: number): Grid => gridOver({ x: x - 0.5, y: y - 0.5, width: 1, height: 1 }, 1, 1);
