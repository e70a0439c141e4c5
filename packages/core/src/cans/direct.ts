import { intensityAt, type PointSources } from '../photometry/index.js';
import { coverage, outlineBounds, solidParts, inRing, type Outline, type Point } from '../outlines/index.js';
import type { Grid } from '../raster/index.js';
import { horizonFrom, turnOf, wallsOf } from '../tracing/index.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { acos, ceil, floor, max, min, PI, sqrt } = Math;

const mm2PerM2 = 1e6;

/** How many LED heights away light still counts at a place over the strip. */
const reachHeights = 4;

/** Light straight from the LEDs at any place near them (cd/m²), returns left out of account. */
export const directNear =
  (lights: PointSources, heightMm: number, towardNormal: (cosSquared: number) => number) =>
  ([px, py]: Point): number => {
    const { distribution } = lights;
    const reach2 = (reachHeights * heightMm) ** 2;
    let shown = 0;
    for (let led = 0; led < lights.count; led += 1) {
      const flat2 = (px - lights.x[led]!) ** 2 + (py - lights.y[led]!) ** 2;
      if (flat2 > reach2) continue;
      const d2 = flat2 + heightMm * heightMm;
      const ahead2 = (heightMm * heightMm) / d2;
      const ahead = sqrt(ahead2);
      shown +=
        ((lights.fluxLm[led]! * mm2PerM2 * intensityAt(distribution, acos(min(1, ahead))) * ahead) / d2) *
        towardNormal(ahead2);
    }
    return shown;
  };

/** LEDs that stand in a part: its outer ring holds them. */
const ledsIn = (part: Outline, lights: PointSources): readonly number[] =>
  Array.from({ length: lights.count }, (_, led) => led).filter((led) =>
    inRing([lights.x[led]!, lights.y[led]!], part[0]!),
  );

/**
 * What the faces of letter-shaped cases show of light straight from the LEDs (cd/m²): each LED lights its own letter only,
 * and there what no return hides from it. `towardNormal` is the luminance for each lux by the square of the cosine of
 * incidence; `heightMm` from the LEDs to the face.
 */
export const directInCans = (
  outline: Outline,
  lights: PointSources,
  grid: Grid,
  heightMm: number,
  towardNormal: (cosSquared: number) => number,
): Float64Array => {
  const shown = new Float64Array(grid.columns * grid.rows);
  const { distribution } = lights;
  const straight = distribution.kind === 'cosine' && distribution.exponent === 1;
  const h2 = heightMm * heightMm;
  for (const part of solidParts(outline)) {
    const bounds = outlineBounds(part)!;
    const [firstColumn, lastColumn] = [
      max(0, floor((bounds.x - grid.area.x) / grid.cellWidthMm)),
      min(grid.columns - 1, ceil((bounds.x + bounds.width - grid.area.x) / grid.cellWidthMm)),
    ];
    const [firstRow, lastRow] = [
      max(0, floor((bounds.y - grid.area.y) / grid.cellHeightMm)),
      min(grid.rows - 1, ceil((bounds.y + bounds.height - grid.area.y) / grid.cellHeightMm)),
    ];
    const covered = coverage(part, grid.area, grid.columns, grid.rows);
    const walls = wallsOf(part);
    for (const led of ledsIn(part, lights)) {
      const [x, y, flux] = [lights.x[led]!, lights.y[led]!, lights.fluxLm[led]! * mm2PerM2];
      const horizon = horizonFrom(walls, x, y);
      // Nearer than the nearest return nothing is hidden.
      let nearest = Infinity;
      for (let turn = 0; turn < horizon.length; turn += 1) nearest = min(nearest, horizon[turn]!);
      const free2 = nearest * nearest;
      for (let row = firstRow; row <= lastRow; row += 1) {
        const dy = grid.area.y + (row + 0.5) * grid.cellHeightMm - y;
        for (let column = firstColumn; column <= lastColumn; column += 1) {
          const cell = row * grid.columns + column;
          if (covered[cell]! <= 0) continue;
          const dx = grid.area.x + (column + 0.5) * grid.cellWidthMm - x;
          const flat2 = dx * dx + dy * dy;
          if (flat2 > free2 && horizon[turnOf(dx, dy)]! < sqrt(flat2)) continue;
          const d2 = flat2 + h2;
          const ahead2 = h2 / d2;
          const ahead = sqrt(ahead2);
          const candela = straight ? ahead / PI : intensityAt(distribution, acos(min(1, ahead)));
          shown[cell]! += ((flux * candela * ahead) / d2) * towardNormal(ahead2);
        }
      }
    }
  }
  return shown;
};
