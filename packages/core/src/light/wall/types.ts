import type { Outline, Point } from '../../base/outlines/index.js';
import type { PointSources } from '../photometry/index.js';
import type { Grid } from '../../base/raster/index.js';

/** A round post between wall and letter. */
export interface Post {
  readonly at: Point;
  readonly diameterMm: number;
}

/** A post as it stands: well, where there is no material, or between the strip and the edge that it lights. */
export interface StandingPost extends Post {
  readonly stands: 'well' | 'loose' | 'in-the-light';
}

/** Letters held off a wall, lit from behind. The wall is z = 0; letters begin at the standoff. */
export interface HaloScene {
  /** What hides the wall from the front. */
  readonly outline: Outline;
  /** From the wall to the lower edge of the letters. */
  readonly standoffMm: number;
  /** Returns that go on from there, away from the wall; none for a plate. LEDs behind them shine out under their edge. */
  readonly returnMm: number;
  readonly posts: readonly Post[];
  /** LEDs above the wall; those that face it have nz = −1. */
  readonly lights: PointSources;
  readonly wallReflectance: number;
  /** Of the letters’ backs. */
  readonly backReflectance: number;
}

/** Light on the wall. */
export interface WallLight {
  readonly grid: Grid;
  /** Straight from the LEDs, and by way of wall and letters’ backs (lx). */
  readonly directLux: Float64Array;
  readonly bouncedLux: Float64Array;
  /** Share of each cell that letters hide from the front. */
  readonly hidden: Float32Array;
  readonly emittedLm: number;
  /** On this raster, straight and bounced. */
  readonly onWallLm: number;
}
