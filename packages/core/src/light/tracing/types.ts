import type { Outline } from '../../base/outlines/index.js';
import type { PointSources } from '../photometry/index.js';
import type { Block } from '../radiosity/index.js';
import type { Grid } from '../../base/raster/index.js';

/** A surface inside the case: what it gives back, and which share of that leaves as from a mirror. */
export interface Lining {
  readonly reflectance: number;
  readonly mirrorShare: number;
}

/** The inner side of the face. */
export interface Window {
  readonly reflectance: number;
  readonly transmittance: number;
}

/** A case as an extruded outline: walls stand on the rings between the back (z = 0) and the face. */
export interface Scene {
  readonly outline: Outline;
  readonly depthMm: number;
  readonly back: Lining;
  readonly walls: Lining;
  readonly face: Window;
  readonly block: Block | null;
  readonly lights: PointSources;
  readonly grid: Grid;
  readonly seed: number;
}

/** What tracing has found so far. */
export interface Traced {
  readonly photons: number;
  readonly wallHits: number;
  /** Light on each cell of the face that has been reflected at least once (lx), and its standard error. */
  readonly reflectedLux: Float64Array;
  readonly errorLux: Float64Array;
  /** Light that comes straight from the LEDs (lx). */
  readonly directLux: Float64Array;
  readonly emittedLm: number;
  readonly outLm: number;
  readonly absorbedFaceLm: number;
  readonly absorbedCaseLm: number;
  /** What chance (ending weak photons early) has added or taken (lm), and what slipped through a corner. */
  readonly chanceLm: number;
  readonly lostLm: number;
  /** Standard error of the light that leaves by the face, as a share of it. */
  readonly outErrorShare: number;
  /** Root of the mean square error of a cell, as a share of the mean cell. */
  readonly cellErrorShare: number;
}
