import { coverage, rectRing, type Outline } from '../base/outlines/index.js';
import { gridOver } from '../base/raster/index.js';
import type { LayeredScene, ScenePlane } from '../light/layers/index.js';

/** LEDs that shine by the cosine law. */
export const lambertian = { kind: 'cosine', exponent: 1 } as const;

/** A sheet of a scene: its outline, where it stands, and what of it is not as usual. */
type Sheet = { readonly outline: Outline; readonly rearZMm: number } & Partial<ScenePlane>;

/** A box with sheets in it, white unless it is said otherwise. */
export const sceneOf = (
  widthMm: number,
  heightMm: number,
  depthMm: number,
  sheets: readonly Sheet[],
  rest: Partial<LayeredScene> = {},
): LayeredScene => {
  const area = { x: -widthMm / 2, y: -heightMm / 2, width: widthMm, height: heightMm };
  const grid = gridOver(area, 240, Math.round((240 * heightMm) / widthMm));
  return {
    depthMm,
    backReflects: 0.85,
    rimReflects: 0.85,
    glazing: { passes: 1, reflects: 0 },
    planes: sheets.map(({ outline, rearZMm, ...own }) => ({
      rearZMm,
      frontZMm: rearZMm + 3,
      frontReflects: 0.5,
      rearReflects: 0.85,
      passes: 0,
      solid: coverage(outline, area, grid.columns, grid.rows),
      ...own,
    })),
    grid,
    ...rest,
  };
};

/** A sheet over a whole box with an opening, so far in from its edges (mm). */
export const windowOf = (widthMm: number, heightMm: number, borderMm: number): Outline => [
  rectRing({ x: -widthMm / 2, y: -heightMm / 2, width: widthMm, height: heightMm }),
  [
    ...rectRing({
      x: borderMm - widthMm / 2,
      y: borderMm - heightMm / 2,
      width: widthMm - 2 * borderMm,
      height: heightMm - 2 * borderMm,
    }),
  ].reverse(),
];
