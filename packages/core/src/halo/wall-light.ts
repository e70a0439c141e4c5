import { xK1 } from '../optics/index.js';
import { coverage } from '../outlines/index.js';
import { blurMap, type Grid } from '../raster/index.js';
import { directOnWall } from './direct.js';
import type { HaloScene, WallLight } from './types.js';

const mm2PerM2 = 1e6;
/** How far light spreads between wall and letters, in standoffs. */
const spreadStandoffs = 8;
/** Of each way from wall to letters and back, what is left is so little that three are all. */
const bounces = 3;

/**
 * Light on the wall behind halo letters: straight from the LEDs, and bounced between the wall and the letters’ backs, two
 * planes at the standoff that scatter every way. From one plane to the other light spreads by the kernel
 * s²/π(r²+s²)², which lets through 2πfs K₁(2πfs) of a ripple (as between two sheets of a face).
 */
export const lightWall = (scene: HaloScene, grid: Grid): WallLight => {
  const { standoffMm, wallReflectance, backReflectance, lights } = scene;
  const directLux = directOnWall(scene, grid);
  const hidden = coverage(scene.outline, grid.area, grid.columns, grid.rows);
  const transfer = (f: number): number => xK1(2 * Math.PI * f * standoffMm);
  const across = (map: Float64Array): Float64Array => blurMap(map, grid, transfer, spreadStandoffs * standoffMm);
  const bouncedLux = new Float64Array(directLux.length);
  let falling = directLux;
  const comesBack = scene.outline.length > 0 && wallReflectance * backReflectance > 0;
  for (let bounce = 0; bounce < bounces && comesBack; bounce += 1) {
    const onBacks = across(falling.map((lux) => lux * wallReflectance));
    falling = across(onBacks.map((lux, cell) => Math.max(0, lux) * hidden[cell]! * backReflectance));
    for (let cell = 0; cell < falling.length; cell += 1) bouncedLux[cell]! += Math.max(0, falling[cell]!);
  }
  const cellM2 = (grid.cellWidthMm * grid.cellHeightMm) / mm2PerM2;
  const total = directLux.reduce((sum, lux, cell) => sum + lux + bouncedLux[cell]!, 0);
  return {
    grid,
    directLux,
    bouncedLux,
    hidden,
    emittedLm: lights.fluxLm.reduce((sum, flux) => sum + flux, 0),
    onWallLm: total * cellM2,
  };
};
