import type { Grid } from '../../base/raster/index.js';
import { wallsOf, type SheetLight, type SheetSide } from '../../light/sheet/index.js';
import type { PanelGeometry } from './geometry.js';
import type { EdgeLitAssembly } from './schema.js';

/**
 * An edge is seen from the front by its arris alone: so wide (mm), and of the luminance that the edge has seen edge on it scatters so
 * much to the front; typical.
 */
export const arrisMm = 0.6;
const arrisScatters = 0.2;
/** An edge that gives off light toward the room: free, and not taped. */
export const showsEdge = (
  { sheet, light }: Pick<EdgeLitAssembly, 'sheet' | 'light'>,
  { holder }: PanelGeometry,
  side: SheetSide,
): boolean => {
  if (holder.kind !== 'base' || side === 'bottom' || light.edges.includes(side)) return false;
  const finish = sheet.unlit?.[side] ?? 'polished';
  return finish !== 'black' && finish !== 'white';
};

/** Mean luminance of what looks to each side, seen edge on; 0 where nothing does. */
export const edgesFrom = (
  light: SheetLight,
  { ring, thicknessMm }: PanelGeometry,
): Readonly<Record<SheetSide, number>> => {
  const long: Record<SheetSide, number> = { top: 0, right: 0, bottom: 0, left: 0 };
  for (const { side, x0, y0, x1, y1 } of wallsOf(ring)) long[side] += Math.hypot(x1 - x0, y1 - y0);
  const mean = (side: SheetSide): number =>
    long[side] > 0 ? (light.edges[side] * 1e6) / (Math.PI * long[side] * thicknessMm) : 0;
  return { top: mean('top'), right: mean('right'), bottom: mean('bottom'), left: mean('left') };
};

/** Free edges in the map: their cells shine as much as their arris is seen from the front. Mutates both maps. */
export const edgesInto = (
  design: Pick<EdgeLitAssembly, 'sheet' | 'light'>,
  geometry: PanelGeometry,
  grid: Grid,
  { edgeCells }: SheetLight,
  luminance: Float32Array,
  letters: Float32Array,
): void => {
  const { columns, rows, cellWidthMm: cellMm, area } = grid;
  // How much of the outline that is seen lies in each cell, and how much of it in all.
  const [shown, whole] = [new Float32Array(edgeCells.length), new Float32Array(edgeCells.length)];
  for (const { x0, y0, x1, y1, side } of wallsOf(geometry.ring)) {
    const shows = showsEdge(design, geometry, side);
    const length = Math.hypot(x1 - x0, y1 - y0);
    const steps = Math.max(1, Math.ceil((2 * length) / cellMm));
    for (let step = 0; step < steps; step += 1) {
      const at = (step + 0.5) / steps;
      const hold = (mm: number, most: number): number => Math.min(most, Math.max(0, Math.floor(mm / cellMm)));
      const column = hold(x0 + at * (x1 - x0) - area.x, columns - 1);
      const row = hold(y0 + at * (y1 - y0) - area.y, rows - 1);
      whole[row * columns + column]! += length / steps;
      if (shows) shown[row * columns + column]! += length / steps;
    }
  }
  for (let cell = 0; cell < edgeCells.length; cell += 1) {
    if (shown[cell] === 0) continue;
    const share = Math.min(1, (arrisMm * shown[cell]!) / cellMm ** 2);
    if (letters[cell]! > share) continue;
    const areaM2 = (whole[cell]! * geometry.thicknessMm) / 1e6;
    luminance[cell] = (arrisScatters * edgeCells[cell]!) / (Math.PI * areaM2);
    letters[cell] = share;
  }
};
