import type { StackView } from '../../optics/index.js';
import type { Block } from '../../radiosity/index.js';
import type { Grid } from '../../../base/raster/index.js';
import type { PointSources } from '../../photometry/index.js';
import { convolve, layingError, spectrumSize, type Level } from './convolve.js';
import { addAny, addFacing } from './exact.js';
import { cutOffRadius, facingLaw, looksAtFace, type FacingLaw } from './law.js';
import { splat } from './splat.js';

export { addImages } from './images.js';

/** How a sum over LEDs is taken. */
export type DirectMethod = 'exact' | 'splat' | 'convolution';

/** Direct light on a raster, how it was summed, and the most that may have been lost or misplaced by that. */
export interface DirectLight {
  readonly map: Float64Array;
  readonly methods: readonly DirectMethod[];
  /** Bound on the error, as a share of the mean; 0 when exact. */
  readonly errorBound: number;
}

/** Errors up to this share of the light are taken for speed. */
const allowedError = 1e-3;
/** A splat may cut off this share of the light: where LEDs stand five times as dense as elsewhere, that is the allowed error. */
const cutOffShare = allowedError / 5;

/** Costs of one step in nanoseconds, measured on a usual machine; only their ratios matter. */
const cost = { square: 1.3, tabulated: 3, splat: 4, transform: 9 } as const;

/** Sources that look straight at the plane, by height; and the rest, by index. */
const sortSources = (emitters: PointSources, planeZ: number, block: Block | null) => {
  const levels = new Map<number, { h: number; x: number[]; y: number[]; flux: number[] }>();
  const rest: number[] = [];
  for (let source = 0; source < emitters.count; source += 1) {
    if (block !== null || !looksAtFace(emitters.distribution, emitters.nz[source]!)) {
      rest.push(source);
      continue;
    }
    const h = planeZ - emitters.z[source]!;
    const key = Math.round(h * 1000);
    const level = levels.get(key) ?? { h, x: [], y: [], flux: [] };
    levels.set(key, level);
    level.x.push(emitters.x[source]!);
    level.y.push(emitters.y[source]!);
    level.flux.push(emitters.fluxLm[source]!);
  }
  return { levels: [...levels.values()], rest };
};

interface Choice {
  readonly method: DirectMethod;
  readonly radiusMm: number;
  readonly error: number;
}

/** Whether all sources can be laid on the grid, with the cells that it takes round each. */
const liesWithin = ({ x, y }: Level, { area, cellWidthMm, cellHeightMm }: Grid): boolean =>
  x.every((place) => place >= area.x + 2 * cellWidthMm && place <= area.x + area.width - 2 * cellWidthMm) &&
  y.every((place) => place >= area.y + 2 * cellHeightMm && place <= area.y + area.height - 2 * cellHeightMm);

/** The cheapest way to sum a level within the allowed error. */
const choose = (level: Level, grid: Grid, law: FacingLaw, forced: DirectMethod | null): Choice => {
  const cells = grid.columns * grid.rows;
  const radiusMm = cutOffRadius(law, level.h, cutOffShare);
  const [width, height] = spectrumSize(grid);
  const laid = liesWithin(level, grid) ? layingError(law, level.h, grid) : Infinity;
  const within = Math.min(cells, (Math.PI * radiusMm * radiusMm) / (grid.cellWidthMm * grid.cellHeightMm));
  const choices = [
    {
      method: 'exact',
      radiusMm,
      error: 0,
      ns: level.x.length * cells * (law.squarePeak === null ? cost.tabulated : cost.square),
    },
    { method: 'splat', radiusMm, error: allowedError, ns: level.x.length * within * cost.splat },
    {
      method: 'convolution',
      radiusMm,
      error: laid,
      ns: laid <= allowedError ? width * height * Math.log2(width * height) * cost.transform : Infinity,
    },
  ] as const;
  const free = choices.reduce((best, each) => (each.ns < best.ns ? each : best));
  return choices.find(({ method }) => method === forced) ?? free;
};

/**
 * Luminance toward a viewer on the normal (cd/m²) from light that reaches a plane straight from the LEDs:
 * L = Σ I(θ) cos γ / d² · f(γ). Summed exactly, by splats cut off where less than a thousandth of the light is left, or
 * as a convolution by FFT, whichever is cheapest within the allowed error; `forced` asks for one of them.
 */
export const directLight = (
  emitters: PointSources,
  grid: Grid,
  planeZ: number,
  view: StackView,
  block: Block | null = null,
  forced: DirectMethod | null = null,
): DirectLight => {
  const map = new Float64Array(grid.columns * grid.rows);
  const { levels, rest } = sortSources(emitters, planeZ, block);
  const methods = new Set<DirectMethod>();
  let errorBound = 0;
  if (levels.length > 0) {
    const law = facingLaw(emitters.distribution, view);
    for (const level of levels) {
      const { method, radiusMm, error } = choose(level, grid, law, forced);
      methods.add(method);
      errorBound = Math.max(errorBound, error);
      if (method === 'convolution') convolve(map, grid, level, law);
      else
        level.x.forEach((x, source) => {
          const [y, flux] = [level.y[source]!, level.flux[source]!];
          if (method === 'exact') addFacing(map, grid, x, y, level.h, flux, law);
          else splat(map, grid, x, y, level.h, flux, law, radiusMm);
        });
    }
  }
  if (rest.length > 0) methods.add('exact');
  for (const source of rest) addAny(map, grid, emitters, source, planeZ, view, block);
  return { map, methods: [...methods], errorBound };
};
