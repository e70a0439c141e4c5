import type { Outline, Ring } from '../../base/outlines/index.js';
import type { Grid } from '../../base/raster/index.js';
import type { PointSources } from '../photometry/index.js';

/** One ring of the wall, from the base up: what of the light on its inside comes back, and what comes out at its edge. */
export interface WallBand {
  readonly heightMm: number;
  readonly reflects: number;
  readonly passes: number;
}

/** The room within stacked plates, in mm: x right, y up from its middle, z from the base toward the lid. */
export interface StackRoom {
  /** The inside of the rings; what stands in it to its full height is a hole. */
  readonly outline: Outline;
  readonly bands: readonly WallBand[];
  readonly baseReflects: number;
  readonly lid: { readonly reflects: number; readonly passes: number };
  /** What is let into the lid, and where. */
  readonly inlay: { readonly reflects: number; readonly passes: number };
  readonly inlays: Outline;
  /** A thin upright wall that strip stands on, lower than the room; null where there is none. */
  readonly ledge: { readonly line: Ring; readonly heightMm: number; readonly reflects: number } | null;
}

/** A place on the inside of the wall. */
export interface WallPlace {
  readonly x: number;
  readonly y: number;
  /** Out of the room, a unit vector. */
  readonly outX: number;
  readonly outY: number;
  /** What of the way round it stands for (mm), and which ring of the outline it is on. */
  readonly lengthMm: number;
  readonly ring: number;
}

/** Where the light in a stack goes. Emitted is the sum of the rest (lm). */
export interface StackBalance {
  readonly emittedLm: number;
  /** Out of the lid’s inlays, and of each band. */
  readonly lidLm: number;
  readonly bandLm: readonly number[];
  readonly absorbedLm: number;
}

/** Light in a stack. */
export interface StackLight {
  /** On the underside of the lid (lx), by the cells of `grid`; 0 where nothing is let in. */
  readonly grid: Grid;
  readonly lidLux: Float32Array;
  /** On the inside of each band (lx), by the places round it. */
  readonly places: readonly WallPlace[];
  readonly bandLux: readonly Float64Array[];
  readonly balance: StackBalance;
  /** Of the light on lid and bands, what has been reflected at least once. */
  readonly indirectShare: number;
}

/** What light in a stack is worked out from. */
export interface StackInputs {
  readonly room: StackRoom;
  readonly lights: PointSources;
  /** The raster that the lid is wanted on. */
  readonly grid: Grid;
}
