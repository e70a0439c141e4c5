import { xK1 } from '../optics/index.js';
import { coverage } from '../outlines/index.js';
import { blurOver, gridOver, resample, type Grid } from '../raster/index.js';
import { directOnWall } from './direct.js';
import { sourcesOf, type Sources } from './sources.js';
import type { HaloScene, WallLight } from './types.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { ceil, floor, max, min } = Math;

const mm2PerM2 = 1e6;
/** How far light spreads between wall and letters, in standoffs. */
const spreadStandoffs = 8;
/** So many ways from wall to letters and back are worked out; the rest goes on shrinking as the last did. */
const bounces = 2;
/** Cells of the raster on which light bounces, in standoffs: what comes back is smooth over a standoff. */
const bouncedCell = 0.75;

/** Each cell of a raster as the mean of the cells of a finer one of the same area, whole numbers of them a cell. */
const gathered = (map: ArrayLike<number>, fine: Grid, coarse: Grid): Float64Array => {
  const sums = new Float64Array(coarse.columns * coarse.rows);
  const counts = new Float64Array(sums.length);
  for (let row = 0; row < fine.rows; row += 1)
    for (let column = 0; column < fine.columns; column += 1) {
      const cell =
        floor((row * coarse.rows) / fine.rows) * coarse.columns + floor((column * coarse.columns) / fine.columns);
      sums[cell]! += map[row * fine.columns + column]!;
      counts[cell]! += 1;
    }
  return sums.map((sum, cell) => sum / max(1, counts[cell]!));
};

const filledIn = (map: Float64Array, coarse: Grid, fine: Grid): Float64Array => {
  const places = (count: number, of: number): Float64Array =>
    Float64Array.from({ length: count }, (_, at) => ((at + 0.5) * of) / count - 0.5);
  return resample(
    map,
    coarse.columns,
    coarse.rows,
    places(fine.columns, coarse.columns),
    places(fine.rows, coarse.rows),
  );
};

/**
 * Light that comes to the wall again by way of the letters’ backs: two planes at the standoff that scatter every way. From
 * one plane to the other light spreads by the kernel s²/π(r²+s²)², which lets through 2πfs K₁(2πfs) of a ripple (as
 * between two sheets of a face).
 */
const bouncedOnWall = (scene: HaloScene, direct: Float64Array, hidden: Float32Array, fine: Grid): Float64Array => {
  const { standoffMm, wallReflectance, backReflectance } = scene;
  if (scene.outline.length === 0 || wallReflectance * backReflectance <= 0) return new Float64Array(direct.length);
  const cell = max(bouncedCell * standoffMm, fine.cellWidthMm, fine.cellHeightMm);
  const coarse = gridOver(fine.area, max(4, ceil(fine.area.width / cell)), max(4, ceil(fine.area.height / cell)));
  const covered = gathered(hidden, fine, coarse);
  const transfer = (f: number): number => xK1(2 * Math.PI * f * standoffMm);
  const across = blurOver(coarse, transfer, spreadStandoffs * standoffMm);
  const sum = new Float64Array(covered.length);
  let falling = gathered(direct, fine, coarse);
  let before = 0;
  for (let bounce = 0; bounce < bounces; bounce += 1) {
    const onBacks = across(falling.map((lux) => lux * wallReflectance));
    falling = across(onBacks.map((lux, at) => max(0, lux) * covered[at]! * backReflectance));
    const now = falling.reduce((all, lux) => all + max(0, lux), 0);
    const shrinks = before > 0 ? min(0.95, now / before) : 0;
    const tail = bounce === bounces - 1 ? 1 / (1 - shrinks) : 1;
    for (let at = 0; at < falling.length; at += 1) sum[at]! += max(0, falling[at]!) * tail;
    before = now;
  }
  return filledIn(sum, coarse, fine).map((lux) => max(0, lux));
};

/** Light on the wall behind halo letters: straight from the LEDs, and bounced between the wall and the letters’ backs. */
export const lightWall = (scene: HaloScene, grid: Grid, sources: Sources = sourcesOf(scene)): WallLight => {
  const directLux = directOnWall(sources, grid);
  const hidden = coverage(scene.outline, grid.area, grid.columns, grid.rows);
  const bouncedLux = bouncedOnWall(scene, directLux, hidden, grid);
  const cellM2 = (grid.cellWidthMm * grid.cellHeightMm) / mm2PerM2;
  const total = directLux.reduce((sum, lux, cell) => sum + lux + bouncedLux[cell]!, 0);
  return {
    grid,
    directLux,
    bouncedLux,
    hidden,
    emittedLm: scene.lights.fluxLm.reduce((sum, flux) => sum + flux, 0),
    onWallLm: total * cellM2,
  };
};
