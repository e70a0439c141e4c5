import { xK1 } from '../optics/index.js';
import { coverage, outlineBounds } from '../../base/outlines/index.js';
import { blurOver, finer, gathered, gridOver, powerOfTwo, type Grid } from '../../base/raster/index.js';
import { directOnWall } from './direct.js';
import { straightOntoBacks } from './onto-backs.js';
import { sourcesOf, type Sources } from './sources.js';
import type { HaloScene, WallLight } from './types.js';

const mm2PerM2 = 1e6;
/** The raster’s margin is all but dark already; so far beyond it light may come from, in standoffs. */
const beyondStandoffs = 2;
/** Cells of a raster on which light bounces, in standoffs, and how large they may be where that halves the work. */
interface Fineness {
  readonly cell: number;
  readonly largest: number;
}

/** Of the ways from wall to letters and back the first counts most; after the last the rest goes on shrinking as it did. */
const firstBounce: Fineness = { cell: 0.45, largest: 0.5 };
const laterBounces: Fineness = { cell: 0.75, largest: 1 };
const bounces = 3;
/** Cells of the raster of the backs, which end sharply where letters do, in standoffs, and how many there may be. */
const backCell = 0.2;
const leastBackCellMm = 1;
const mostBackCells = 60_000;

/** Cells along one side: a few less where a transform of half the length then holds them. */
const countAlong = (lengthMm: number, standoffMm: number, { cell, largest }: Fineness, leastMm: number): number => {
  const wanted = Math.ceil(lengthMm / Math.max(cell * standoffMm, leastMm));
  const beyond = 2 * (Math.ceil(beyondStandoffs / cell) + 1);
  const half = powerOfTwo(wanted + beyond) / 2 - beyond;
  return Math.max(4, lengthMm <= half * largest * standoffMm ? half : wanted);
};

/** How close LEDs that look along the wall stand to the backs, and to the edge of what they light there (mm). */
const gapToBacks = ({ lights, standoffMm }: HaloScene): number =>
  lights.z.reduce(
    (least, z, led) => (lights.nz[led]! > -1 && z < standoffMm ? Math.min(least, standoffMm - z) : least),
    Infinity,
  );

/** The letters’ backs, as a raster over nothing else. */
const backsOf = (scene: HaloScene): { readonly grid: Grid; readonly covered: Float32Array } => {
  const { outline, standoffMm } = scene;
  const area = outlineBounds(outline)!;
  const wantedMm = Math.min(backCell * standoffMm, Math.max(leastBackCellMm, gapToBacks(scene) / 2));
  const cellMm = Math.max(wantedMm, Math.sqrt((area.width * area.height) / mostBackCells));
  const grid = gridOver(
    area,
    Math.max(2, Math.ceil(area.width / cellMm)),
    Math.max(2, Math.ceil(area.height / cellMm)),
  );
  return { grid, covered: coverage(outline, area, grid.columns, grid.rows) };
};

/**
 * From one of two planes at the standoff that scatter every way to the other, light spreads by the kernel s²/π(r²+s²)²,
 * which lets through 2πfs K₁(2πfs) of a ripple (as between two sheets of a face). What cells of the raster take away, since
 * they hold means, is given back.
 */
const acrossGap = (standoffMm: number, { cellWidthMm, cellHeightMm }: Grid) => {
  const cell2 = cellWidthMm * cellHeightMm;
  return (f: number): number =>
    xK1(2 * Math.PI * f * standoffMm) * Math.exp(Math.min(1, (Math.PI ** 2 * f * f * cell2) / 3));
};

/** A raster for bounces, and the way from one plane to the other on it. */
const gapOn = ({ area, cellWidthMm, cellHeightMm }: Grid, standoffMm: number, fineness: Fineness) => {
  const grid = gridOver(
    area,
    countAlong(area.width, standoffMm, fineness, cellWidthMm),
    countAlong(area.height, standoffMm, fineness, cellHeightMm),
  );
  return { grid, across: blurOver(grid, acrossGap(standoffMm, grid), beyondStandoffs * standoffMm) };
};

const total = (map: Float64Array): number => map.reduce((all, lux) => all + Math.max(0, lux), 0);

/**
 * Light that comes to the wall by way of the letters’ backs: what the wall gives them, and what LEDs that look along the
 * wall do.
 */
const bouncedOnWall = (scene: HaloScene, direct: Float64Array, fine: Grid): Float64Array => {
  const { outline, standoffMm, wallReflectance, backReflectance } = scene;
  const dark = new Float64Array(direct.length);
  if (outline.length === 0 || backReflectance <= 0) return dark;
  const backs = backsOf(scene);
  const straight = straightOntoBacks(scene, backs.grid, backs.covered);
  if (wallReflectance <= 0 && straight === null) return dark;
  const [first, later] = [gapOn(fine, standoffMm, firstBounce), gapOn(fine, standoffMm, laterBounces)];
  /** Once to the backs and to the wall again. */
  const bounced = ({ grid, across }: typeof first, onWall: Float64Array, alsoOnBacks: Float64Array | null) => {
    const onBacks = finer(across(onWall.map((lux) => lux * wallReflectance)), grid, backs.grid);
    const back = onBacks.map(
      (lux, at) => (Math.max(0, lux) * backs.covered[at]! + (alsoOnBacks?.[at] ?? 0)) * backReflectance,
    );
    return across(gathered(back, backs.grid, grid));
  };
  const once = bounced(first, gathered(direct, fine, first.grid), straight);
  let falling = gathered(once, first.grid, later.grid);
  const more = new Float64Array(falling.length);
  for (let bounce = 2; bounce <= bounces; bounce += 1) {
    const before = total(falling);
    falling = bounced(later, falling, null);
    const shrinks = before > 0 ? Math.min(0.95, total(falling) / before) : 0;
    const tail = bounce === bounces ? 1 / (1 - shrinks) : 1;
    for (let at = 0; at < falling.length; at += 1) more[at]! += Math.max(0, falling[at]!) * tail;
  }
  const rest = finer(more, later.grid, fine);
  return finer(once, first.grid, fine).map((lux, at) => Math.max(0, lux) + Math.max(0, rest[at]!));
};

/** Light on the wall behind halo letters: straight from the LEDs, and bounced between the wall and the letters’ backs. */
export const lightWall = (scene: HaloScene, grid: Grid, sources: Sources = sourcesOf(scene)): WallLight => {
  const directLux = directOnWall(sources, grid);
  const hidden = coverage(scene.outline, grid.area, grid.columns, grid.rows);
  const bouncedLux = bouncedOnWall(scene, directLux, grid);
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
