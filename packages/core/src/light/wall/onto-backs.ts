import type { Grid } from '../../base/raster/index.js';
import { byCosine } from './light-table.js';
import type { HaloScene } from './types.js';

const mm2PerM2 = 1e6;
/** Directions in which the light of an LED is followed up to the backs: steps of elevation, and round about. */
const elevations = 10;
const azimuths = 32;
/** Neighbours take steps between each other’s, so many of them in turn. */
const inTurn = 8;

/**
 * Illuminance of the letters’ backs straight from LEDs that look along the wall (lx), on a raster of the backs; null where
 * all LEDs face the wall, or stand higher than the backs. What meets no letter is lost to the room: `covered` is the share
 * of each cell that letters fill. Directions are solid angles with the mean intensity in them, so that what goes up is
 * counted whole.
 */
export const straightOntoBacks = (scene: HaloScene, grid: Grid, covered: ArrayLike<number>): Float64Array | null => {
  const { lights, standoffMm } = scene;
  const { count, x, y, z, nx, ny, nz, fluxLm, distribution } = lights;
  const ups = Array.from({ length: count }, (_, led) => nz[led]! > -1 && z[led]! < standoffMm);
  if (!ups.includes(true)) return null;
  const candelaAt = byCosine(distribution);
  const lumens = new Float64Array(grid.columns * grid.rows);
  for (let steps = 0; steps < inTurn * elevations; steps += 1) {
    const [first, step] = [steps % inTurn, Math.floor(steps / inTurn)];
    const between = (first + 0.5) / inTurn;
    // Equal steps of the sine of elevation are equal solid angles.
    const [sine, solid] = [(step + between) / elevations, (2 * Math.PI) / (elevations * azimuths)];
    const level = Math.sqrt(1 - sine * sine);
    for (let turn = 0; turn < azimuths; turn += 1) {
      const angle = (2 * Math.PI * (turn + ((3 * first) % inTurn) / inTurn)) / azimuths;
      const [dx, dy] = [level * Math.cos(angle), level * Math.sin(angle)];
      for (let led = first; led < count; led += inTurn) {
        if (!ups[led]) continue;
        const ahead = dx * nx[led]! + dy * ny[led]! + sine * nz[led]!;
        if (ahead <= 0) continue;
        const way = (standoffMm - z[led]!) / sine;
        const column = Math.floor((x[led]! + dx * way - grid.area.x) / grid.cellWidthMm);
        const row = Math.floor((y[led]! + dy * way - grid.area.y) / grid.cellHeightMm);
        if (column < 0 || row < 0 || column >= grid.columns || row >= grid.rows) continue;
        const cell = row * grid.columns + column;
        lumens[cell]! += covered[cell]! * solid * fluxLm[led]! * candelaAt(Math.min(1, ahead));
      }
    }
  }
  const perCell = mm2PerM2 / (grid.cellWidthMm * grid.cellHeightMm);
  return lumens.map((lm) => lm * perCell);
};
