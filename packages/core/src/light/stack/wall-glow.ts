import { inOutline, outlineBounds, type Outline, type Rect } from '../../base/outlines/index.js';
import { gridOver, type Grid } from '../../base/raster/index.js';
import { stretchesOf, type Stretch } from './patches.js';
import { seenPolygon } from './seen-polygon.js';
import type { WallPlace } from './types.js';

/** A band at the edge of a stack, by its height over the wall behind (mm). */
export interface EdgeBand {
  readonly fromZMm: number;
  readonly toZMm: number;
}

/** What places on the wall see of the edge of a stack: a share of all that they see, by band, by cell and stretch. */
export interface EdgeViews {
  readonly grid: Grid;
  readonly stretches: readonly Stretch[];
  readonly shares: readonly Float32Array[];
}

/** How bright a band is round the edge (cd/m²), place by place. */
export interface GlowingEdge {
  readonly places: readonly Pick<WallPlace, 'x' | 'y'>[];
  readonly cdM2: Float64Array;
}

/** Light on the wall round a stack (lx). */
export interface WallGlow {
  readonly grid: Grid;
  readonly lux: Float32Array;
}

/** Stretches that the edge is taken in, and cells of the map. */
const mostStretches = 72;
const mostCells = 3200;

/**
 * What the wall round a stack sees of bands at its edge, each stretch of them exact (Lambert); what of the stack itself stands between
 * counts where it bulges out. Only the outline and the heights count.
 */
export const edgeViews = (outline: Outline, bands: readonly EdgeBand[], area: Rect): EdgeViews => {
  const side = Math.sqrt((area.width * area.height) / mostCells);
  const grid = gridOver(area, Math.max(8, Math.round(area.width / side)), Math.max(8, Math.round(area.height / side)));
  const count = grid.columns * grid.rows;
  if (outlineBounds(outline) === null) return { grid, stretches: [], shares: bands.map(() => new Float32Array(0)) };
  const roundMm = stretchesOf(outline, Infinity).reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const stretches = stretchesOf(outline, roundMm / mostStretches);
  const corners = bands.map(({ fromZMm, toZMm }) =>
    Float64Array.from(
      stretches.flatMap(({ from, to }) => [...from, fromZMm, ...to, fromZMm, ...to, toZMm, ...from, toZMm]),
    ),
  );
  const shares = bands.map(() => new Float32Array(count * stretches.length));
  for (let cell = 0; cell < count; cell += 1) {
    const x = area.x + ((cell % grid.columns) + 0.5) * grid.cellWidthMm;
    const y = area.y + (Math.floor(cell / grid.columns) + 0.5) * grid.cellHeightMm;
    if (inOutline([x, y], outline)) continue;
    for (let stretch = 0; stretch < stretches.length; stretch += 1) {
      const { from, out } = stretches[stretch]!;
      if ((x - from[0]) * out[0] + (y - from[1]) * out[1] <= 0) continue;
      for (let band = 0; band < bands.length; band += 1)
        shares[band]![cell * stretches.length + stretch] = seenPolygon(
          x,
          y,
          0,
          0,
          0,
          1,
          corners[band]!,
          4 * stretch,
          4,
        );
    }
  }
  return { grid, stretches, shares };
};

/** Mean luminance of the places that stand nearer to the middle of a stretch than its ends do; of the nearest where none does. */
const meanBeside = ({ from, to }: Stretch, { places, cdM2 }: GlowingEdge): number => {
  const [mx, my] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const away = places.map(({ x, y }) => Math.hypot(x - mx, y - my));
  const nearest = away.reduce((least, mm) => Math.min(least, mm), Infinity);
  const reach = nearest + Math.hypot(to[0] - from[0], to[1] - from[1]) / 2;
  let [sum, count] = [0, 0];
  away.forEach((mm, at) => {
    if (mm > reach) return;
    sum += cdM2[at]!;
    count += 1;
  });
  return count > 0 ? sum / count : 0;
};

/** Light that glowing bands throw on the wall behind. Beside a long straight one this is (πL/2)(cos β₀ − cos β₁). */
export const wallGlow = ({ grid, stretches, shares }: EdgeViews, bands: readonly GlowingEdge[]): WallGlow => {
  const lux = new Float32Array(grid.columns * grid.rows);
  bands.forEach((band, at) => {
    const own = stretches.map((stretch) => Math.PI * meanBeside(stretch, band));
    const seen = shares[at]!;
    for (let cell = 0; cell < lux.length; cell += 1)
      for (let stretch = 0; stretch < own.length; stretch += 1)
        lux[cell]! += seen[cell * own.length + stretch]! * own[stretch]!;
  });
  return { grid, lux };
};
