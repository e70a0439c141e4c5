import { clamp, sum } from '../../base/maths/index.js';
import { gridOver, type Grid } from '../../base/raster/index.js';
import { intensityOf, type IntensityOf, type PointSources } from '../photometry/index.js';
import { levelsBetween, levelsOf, middlesOf, type Level } from './levels.js';
import { coarserMask, solidAt } from './open-share.js';
import type { LayeredScene } from './types.js';

const mm2PerM2 = 1e6;
/** Nearer than so many cells, a cell is summed over parts of it; higher above it than that, it need not be. */
const nearCells = 2;
const nearParts = 4;
/** Shade is cast by masks of so many cells to one of light along each side. */
const maskCells = 3;
/** Less than this is let by: shade. */
const shade = 1e-3;
/** Parts of a stretch of rim, along it and across, on which light is summed: near an LED and far from it. */
const rimParts = { near: 6, far: 2 } as const;

/** Light straight from the LEDs, in lux by the cells of `grid`; on the rim in lumens by its patches. */
export interface DirectLight {
  readonly grid: Grid;
  /** The back first, the opening last: on its front and on its rear side. */
  readonly front: readonly Float32Array[];
  readonly rear: readonly Float32Array[];
  /** By side of the rim (left, right, bottom, top), then by gap from the back on, then along it. */
  readonly rimLm: Float64Array;
  readonly closes: number;
}

/** What does not change from LED to LED. */
interface Stage {
  readonly levels: readonly Level[];
  readonly middles: readonly number[];
  readonly grid: Grid;
  /** Share of each cell that is solid, by level; all of back and opening. */
  readonly shares: readonly (Float32Array | null)[];
  /** What casts shade, by level, no finer than shade is seen on these cells. */
  readonly masks: readonly (Float32Array | null)[];
  readonly maskGrid: Grid;
  /** Patches along each side of the rim. */
  readonly rimAlong: readonly number[];
  readonly intensity: IntensityOf;
}

/** One LED, and what it gives per square metre of a place that looks along (ax, ay, az), past the levels between. */
interface Lamp {
  readonly led: number;
  readonly flux: number;
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly looks: readonly [number, number, number];
  readonly onto: (
    x: number,
    y: number,
    z: number,
    ax: number,
    ay: number,
    az: number,
    from: number,
    to: number,
  ) => number;
}

const lampOf = ({ masks, maskGrid, middles, intensity }: Stage, sources: PointSources, led: number): Lamp => {
  const flux = sources.fluxLm[led]!;
  const [lx, ly, lz] = [sources.x[led]!, sources.y[led]!, sources.z[led]!];
  const [nx, ny, nz] = [sources.nx[led]!, sources.ny[led]!, sources.nz[led]!];
  return {
    led,
    flux,
    x: lx,
    y: ly,
    z: lz,
    looks: [nx, ny, nz],
    onto: (x, y, z, ax, ay, az, from, to) => {
      const [dx, dy, dz] = [x - lx, y - ly, z - lz];
      const r2 = dx * dx + dy * dy + dz * dz;
      if (r2 < 1e-6) return 0;
      const r = Math.sqrt(r2);
      const ahead = (dx * nx + dy * ny + dz * nz) / r;
      if (ahead <= 0) return 0;
      const meets = -(dx * ax + dy * ay + dz * az) / r;
      if (meets <= 0) return 0;
      let open = 1;
      for (let level = from; level <= to; level += 1) {
        const t = (middles[level]! - lz) / dz;
        open *= 1 - solidAt(masks[level]!, maskGrid, lx + t * dx, ly + t * dy);
        if (open < shade) return 0;
      }
      return (flux * intensity(led, ahead, dx, dy, dz) * meets * open * mm2PerM2) / r2;
    },
  };
};

/**
 * Takes from what is let by to each cell of a row what a sheet between cuts off, a share `t` of the way from the LED: places
 * along a row lie on a line across the sheet, evenly apart.
 */
const shadeRow = (
  open: Float64Array,
  solid: Float32Array,
  { columns: wide, rows: high, area, cellWidthMm, cellHeightMm }: Grid,
  cells: Grid,
  t: number,
  lx: number,
  ly: number,
  dy: number,
): void => {
  const held = (place: number, most: number): number => (place < 0 ? 0 : place > most ? most : place);
  const v = held((ly + t * dy - area.y) / cellHeightMm - 0.5, high - 1.001);
  const low = (v | 0) * wide;
  const up = v - (v | 0);
  const first = (lx + t * (cells.area.x + cells.cellWidthMm / 2 - lx) - area.x) / cellWidthMm - 0.5;
  const step = (t * cells.cellWidthMm) / cellWidthMm;
  for (let column = 0; column < open.length; column += 1) {
    if (open[column] === 0) continue;
    const u = held(first + step * column, wide - 1.001);
    const at = low + (u | 0);
    const right = u - (u | 0);
    const below = solid[at]! + right * (solid[at + 1]! - solid[at]!);
    const above = solid[at + wide]! + right * (solid[at + wide + 1]! - solid[at + wide]!);
    const left = open[column]! * (1 - below - up * (above - below));
    open[column] = left < shade ? 0 : left;
  }
};

/** Light of one LED on the side of a level that looks at it (lx), which side that is, and the flux that its solid parts get. */
interface OnLevel {
  readonly level: number;
  readonly side: 'front' | 'rear';
  readonly lux: Float32Array;
  readonly lm: number;
}

const onLevel = (
  { levels, middles, grid, shares, masks, maskGrid, intensity }: Stage,
  lamp: Lamp,
  level: number,
): OnLevel | null => {
  const { frontZMm, rearZMm } = levels[level]!;
  const { led, x: lx, y: ly, z: lz, flux, looks } = lamp;
  const below = lz >= frontZMm;
  // Within the sheet itself, or past the opening.
  if ((!below && lz > rearZMm) || (below && level === levels.length - 1)) return null;
  const { columns, rows, area, cellWidthMm, cellHeightMm } = grid;
  const z = below ? frontZMm : rearZMm;
  const [from, to] = levelsBetween(middles, middles[level]!, lz);
  const share = shares[level]!;
  const lux = new Float32Array(columns * rows);
  const size = nearCells * Math.max(cellWidthMm, cellHeightMm);
  const dz = z - lz;
  const nearMm = Math.abs(dz) < size ? size : 0;
  const open = new Float64Array(columns);
  let lm = 0;
  for (let row = 0; row < rows; row += 1) {
    const y = area.y + (row + 0.5) * cellHeightMm;
    const dy = y - ly;
    const ahead0 = dy * looks[1] + dz * looks[2];
    open.fill(1);
    for (let between = from; between <= to; between += 1)
      shadeRow(open, masks[between]!, maskGrid, grid, (middles[between]! - lz) / dz, lx, ly, dy);
    for (let column = 0; column < columns; column += 1) {
      const cell = row * columns + column;
      if (share !== null && share[cell]! <= 0) continue;
      const x = area.x + (column + 0.5) * cellWidthMm;
      const dx = x - lx;
      let value = 0;
      if (Math.abs(dy) < nearMm && Math.abs(dx) < nearMm) {
        for (let part = 0; part < nearParts * nearParts; part += 1) {
          const px = x + (((part % nearParts) + 0.5) / nearParts - 0.5) * cellWidthMm;
          const py = y + ((Math.floor(part / nearParts) + 0.5) / nearParts - 0.5) * cellHeightMm;
          value += lamp.onto(px, py, z, 0, 0, below ? 1 : -1, from, to);
        }
        value /= nearParts * nearParts;
      } else {
        const ahead = dx * looks[0] + ahead0;
        if (ahead <= 0 || open[column]! <= 0) continue;
        const r2 = dx * dx + dy * dy + dz * dz;
        const r = Math.sqrt(r2);
        value = (flux * intensity(led, ahead / r, dx, dy, dz) * Math.abs(dz) * mm2PerM2 * open[column]!) / (r * r2);
      }
      lux[cell] = value;
      lm += value * (share === null ? 1 : share[cell]!);
    }
  }
  return { level, side: below ? 'front' : 'rear', lux, lm: (lm * cellWidthMm * cellHeightMm) / mm2PerM2 };
};

/** Light of one LED on the patches of the rim (lm): by side, then by gap from the back on, then along it. */
const onRim = ({ levels, middles, grid: { area }, rimAlong }: Stage, lamp: Lamp): readonly number[] =>
  rimAlong.flatMap((along, side) => {
    const upright = side < 2;
    const lengthMm = upright ? area.height : area.width;
    const way = side % 2 === 0 ? -1 : 1;
    const fixed = (way * (upright ? area.width : area.height)) / 2;
    const lit = (s: number, z: number, from: number, to: number): number =>
      upright ? lamp.onto(fixed, s, z, -way, 0, 0, from, to) : lamp.onto(s, fixed, z, 0, -way, 0, from, to);
    return levels.slice(1).flatMap(({ rearZMm }, gap) => {
      const low = levels[gap]!.frontZMm;
      const high = Math.max(low, rearZMm);
      const [from, to] = levelsBetween(middles, lamp.z, (low + high) / 2);
      return Array.from({ length: along }, (_, piece): number => {
        const middle = ((piece + 0.5) / along - 0.5) * lengthMm;
        const away = upright
          ? Math.hypot(fixed - lamp.x, middle - lamp.y)
          : Math.hypot(middle - lamp.x, fixed - lamp.y);
        const split = away > (2 * lengthMm) / along ? rimParts.far : rimParts.near;
        let lux = 0;
        for (let part = 0; part < split * split; part += 1)
          lux += lit(
            ((piece + ((part % split) + 0.5) / split) / along - 0.5) * lengthMm,
            low + ((Math.floor(part / split) + 0.5) / split) * (high - low),
            from,
            to,
          );
        return ((lux / (split * split)) * (lengthMm / along) * (high - low)) / mm2PerM2;
      });
    });
  });

/** The rim may be wrong so far near an LED, and is put right by that. */
const rimOff = 3;

/**
 * Light straight from the LEDs on the back, on both sides of every sheet, on the rim and out of the opening: for each LED and
 * each place, what the sheets between let by. Each LED’s light is made to come out whole: what the sum over the rim lacks
 * near an LED is given to the rim, the rest is shared by all.
 */
export const directScene = (
  scene: LayeredScene,
  sources: PointSources,
  columns: number,
  rows: number,
  [alongX, alongY]: readonly [number, number],
): DirectLight => {
  const grid = gridOver(scene.grid.area, columns, rows);
  const levels = levelsOf(scene);
  const [wide, high] = [Math.min(maskCells * columns, scene.grid.columns), Math.min(maskCells * rows, scene.grid.rows)];
  const stage: Stage = {
    levels,
    middles: middlesOf(levels),
    grid,
    shares: levels.map(({ solid }) => (solid === null ? null : coarserMask(solid, scene.grid, columns, rows))),
    masks: levels.map(({ solid }) => (solid === null ? null : coarserMask(solid, scene.grid, wide, high))),
    maskGrid: gridOver(scene.grid.area, wide, high),
    rimAlong: [alongY, alongY, alongX, alongX],
    intensity: intensityOf(sources),
  };
  const maps = {
    front: levels.map(() => new Float32Array(columns * rows)),
    rear: levels.map(() => new Float32Array(columns * rows)),
  };
  const rimLm = new Float64Array((levels.length - 1) * 2 * (alongX + alongY));
  let closes = 0;
  for (let led = 0; led < sources.count; led += 1) {
    if (!(sources.fluxLm[led]! > 0)) continue;
    const lamp = lampOf(stage, sources, led);
    const sheets = levels.flatMap((_, level) => onLevel(stage, lamp, level) ?? []);
    const rim = onRim(stage, lamp);
    const [given, toRim] = [sum(sheets.map(({ lm }) => lm)), sum(rim)];
    closes = Math.max(closes, Math.abs(given + toRim - lamp.flux) / lamp.flux);
    const rimScale = toRim > 0 ? clamp((lamp.flux - given) / toRim, 1 / rimOff, rimOff) : 1;
    const all = given + toRim * rimScale;
    const scale = all > 0 ? lamp.flux / all : 0;
    for (const { level, side, lux } of sheets) {
      const map = maps[side][level]!;
      for (let cell = 0; cell < map.length; cell += 1) map[cell]! += lux[cell]! * scale;
    }
    rim.forEach((lm, patch) => (rimLm[patch]! += lm * rimScale * scale));
  }
  return { grid, ...maps, rimLm, closes };
};
