import { xK1 } from '../optics/index.js';
import { coverage } from '../../base/outlines/index.js';
import { blurOver, finer, gridOver, powerOfTwo, type Grid } from '../../base/raster/index.js';
import { directOnWall } from './direct.js';
import { sourcesOf, type Sources } from './sources.js';
import type { HaloScene, WallLight } from './types.js';

const mm2PerM2 = 1e6;
/** The raster’s margin is all but dark already; so far beyond it light may come from, in standoffs. */
const beyondStandoffs = 2;
/** So many ways from wall to letters and back are worked out; the rest goes on shrinking as the last did. */
const bounces = 2;
/** Cells of the raster on which light bounces, in standoffs: what comes back is smooth over a standoff. */
const bouncedCell = 0.75;
/** They may be this much larger where that halves the work. */
const largestBouncedCell = 1;

/** Each cell of a raster as the mean of the cells of a finer one of the same area, whole numbers of them a cell. */
const gathered = (map: ArrayLike<number>, fine: Grid, coarse: Grid): Float64Array => {
  const sums = new Float64Array(coarse.columns * coarse.rows);
  const counts = new Float64Array(sums.length);
  const columnOf = Int32Array.from({ length: fine.columns }, (_, column) =>
    Math.floor((column * coarse.columns) / fine.columns),
  );
  for (let row = 0; row < fine.rows; row += 1) {
    const coarseRow = Math.floor((row * coarse.rows) / fine.rows) * coarse.columns;
    for (let column = 0; column < fine.columns; column += 1) {
      const cell = coarseRow + columnOf[column]!;
      sums[cell]! += map[row * fine.columns + column]!;
      counts[cell]! += 1;
    }
  }
  return sums.map((sum, cell) => sum / Math.max(1, counts[cell]!));
};

/** Cells along one side: a few less where a transform of half the length then holds them. */
const countAlong = (lengthMm: number, standoffMm: number, leastMm: number): number => {
  const wanted = Math.ceil(lengthMm / Math.max(bouncedCell * standoffMm, leastMm));
  const beyond = 2 * (Math.ceil(beyondStandoffs / bouncedCell) + 1);
  const half = powerOfTwo(wanted + beyond) / 2 - beyond;
  return Math.max(4, lengthMm <= half * largestBouncedCell * standoffMm ? half : wanted);
};

/**
 * Light that comes to the wall again by way of the letters’ backs: two planes at the standoff that scatter every way. From
 * one plane to the other light spreads by the kernel s²/π(r²+s²)², which lets through 2πfs K₁(2πfs) of a ripple (as
 * between two sheets of a face).
 */
const bouncedOnWall = (scene: HaloScene, direct: Float64Array, hidden: Float32Array, fine: Grid): Float64Array => {
  const { standoffMm, wallReflectance, backReflectance } = scene;
  if (scene.outline.length === 0 || wallReflectance * backReflectance <= 0) return new Float64Array(direct.length);
  const coarse = gridOver(
    fine.area,
    countAlong(fine.area.width, standoffMm, fine.cellWidthMm),
    countAlong(fine.area.height, standoffMm, fine.cellHeightMm),
  );
  const covered = gathered(hidden, fine, coarse);
  const transfer = (f: number): number => xK1(2 * Math.PI * f * standoffMm);
  const across = blurOver(coarse, transfer, beyondStandoffs * standoffMm);
  const sum = new Float64Array(covered.length);
  let falling = gathered(direct, fine, coarse);
  let before = 0;
  for (let bounce = 0; bounce < bounces; bounce += 1) {
    const onBacks = across(falling.map((lux) => lux * wallReflectance));
    falling = across(onBacks.map((lux, at) => Math.max(0, lux) * covered[at]! * backReflectance));
    const now = falling.reduce((all, lux) => all + Math.max(0, lux), 0);
    const shrinks = before > 0 ? Math.min(0.95, now / before) : 0;
    const tail = bounce === bounces - 1 ? 1 / (1 - shrinks) : 1;
    for (let at = 0; at < falling.length; at += 1) sum[at]! += Math.max(0, falling[at]!) * tail;
    before = now;
  }
  return finer(sum, coarse, fine).map((lux) => Math.max(0, lux));
};

/** Light on the wall behind halo letters: straight from the LEDs, and bounced between the wall and the letters’ backs. */
export const lightWall = (scene: HaloScene, grid: Grid, sources: Sources = sourcesOf(scene)): WallLight => {
  const directLux = directOnWall(sources, grid);
  const hidden = coverage(scene.outline, grid.area, grid.columns, grid.rows);
  const bouncedLux = bouncedOnWall(scene, directLux, hidden, grid);
  const cellM2 = (grid.cellWidthMm * grid.cellHeightMm) / mm2PerM2;
  let total = 0;
  for (let cell = 0; cell < directLux.length; cell += 1) total += directLux[cell]! + bouncedLux[cell]!;
  return {
    grid,
    directLux,
    bouncedLux,
    hidden,
    emittedLm: scene.lights.fluxLm.reduce((sum, flux) => sum + flux, 0),
    onWallLm: total * cellM2,
  };
};
