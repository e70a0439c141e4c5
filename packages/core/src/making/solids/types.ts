import type { Outline } from '../../base/outlines/index.js';

/** A layer of a solid: an outline that goes straight up from `fromMm` to `toMm`. */
export interface Layer {
  readonly outline: Outline;
  readonly fromMm: number;
  readonly toMm: number;
}

/** Triangles of a closed surface: nine numbers each, x y z of three corners, anticlockwise from outside (mm). */
export type Triangles = Float64Array;
