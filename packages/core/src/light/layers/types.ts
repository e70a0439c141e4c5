import type { Grid } from '../../base/raster/index.js';

/** What of the light on a surface comes back, and what comes out on its other side; both spread every way. */
export interface SheetLight {
  readonly frontReflects: number;
  readonly rearReflects: number;
  readonly passes: number;
}

/** A sheet across the box, in mm from the back: cut out where its mask is 0. */
export interface ScenePlane extends SheetLight {
  readonly rearZMm: number;
  readonly frontZMm: number;
  /** Share of each cell of the scene’s raster that is solid. */
  readonly solid: Float32Array;
}

/**
 * A box of sheets, open toward the viewer, in mm: x right, y up from its middle, z from the inner side of its back. Sheets
 * run from back to front and do not touch.
 */
export interface LayeredScene {
  readonly depthMm: number;
  readonly backReflects: number;
  readonly rimReflects: number;
  /** What lies over the opening: an open box passes 1 and throws nothing back. */
  readonly glazing: { readonly passes: number; readonly reflects: number };
  readonly planes: readonly ScenePlane[];
  /** The raster of the masks: it spans the inside of the box. */
  readonly grid: Grid;
}

/** How fine light is worked out. */
export interface SceneLimits {
  /** Cells of direct light along the longer side, and patches of exchange. */
  readonly directLongSide: number;
  readonly patchLongSide: number;
  /** LEDs nearer to each other than this count as one (mm). */
  readonly togetherMm: number;
}

/** Light on one sheet, on the raster of direct light: illuminance of either side (lx). */
export interface PlaneLight {
  readonly front: Float32Array;
  readonly rear: Float32Array;
}

/** Light on everything in the box. */
export interface SceneLight {
  readonly grid: Grid;
  /** On the back, and on every sheet. */
  readonly back: Float32Array;
  readonly planes: readonly PlaneLight[];
  /** Flux (lm): emitted equals what leaves by the front, and what is taken by back, sheets, rim and glazing. */
  readonly emittedLm: number;
  readonly outLm: number;
  readonly backTakesLm: number;
  readonly planesTakeLm: readonly number[];
  readonly rimTakesLm: number;
  readonly glazingTakesLm: number;
  /** Light that falls on back and rim, first and reflected (lm). */
  readonly backLm: number;
  readonly rimLm: number;
  /** Share of all light on surfaces that was reflected at least once. */
  readonly indirectShare: number;
  /** The most that the sum over places differs from what the LEDs give, as a share, before it is made even. */
  readonly closes: number;
}
