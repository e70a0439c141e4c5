import type { Rect } from '../../../base/outlines/index.js';
import { evenWorking, previewFollowing, sheetLight, type Following } from '../../../light/sheet/index.js';
import type { PanelArtwork } from '../schema.js';
import { workedOf, type WorkedArea } from '../areas.js';
import { behindOf, towardViewer } from '../look.js';
import type { PanelResults } from '../results.js';
import { clearSheetOf, edgeFitOf, edgeLedsOf } from '../sheet-light.js';
import { givenBy, layersOver, rasterOver, sumOver, workedFaces, type SheetRaster } from '../worked.js';

/** The solver looks at so many cells along the sheet, in patches of so many: fine enough for what fades slowly. */
const cellsAlong = 60;
const patch = 3;
const rounds = 14;
/** Thinner fill than this is no fill. */
const leastShare = 0.02;
/** As for a preview, with fewer rays: patches even them out. */
const following: Following = { ...previewFollowing, azimuths: 48, rays: 1400 };

/** A graded fill that evens the artwork, and how even it makes it. */
export interface EvenFill {
  readonly graded: NonNullable<PanelArtwork['graded']>;
  readonly evenShare: number;
  /** Light of the dimmest part, as a multiple of what it is with the same fill everywhere. */
  readonly dimmestTimes: number;
}

/**
 * How dense the fill is to be, place by place, so that all that is worked gives off alike toward the viewer (`light/sheet/even`). For
 * fills that can be graded, all areas by one; null where nothing is worked.
 */
export const evenFill = (
  { assembly, geometry, materials, runs, share, design }: PanelResults,
  asked: readonly WorkedArea[],
): EvenFill | null => {
  const { sheet } = geometry;
  const areas = workedOf(asked);
  const raster = rasterOver(sheet, cellsAlong);
  const { columns, rows } = raster;
  const layers = layersOver(areas, sheet, raster);
  const wanted = sumOver(layers, 'wanted');
  const mask = Uint8Array.from({ length: columns * rows }, (_, cell) => ((wanted[cell] ?? 0) > 0.05 ? 1 : 0));
  if (!mask.includes(1)) return null;
  const clear = clearSheetOf(assembly, materials, geometry);
  const fit = edgeFitOf(assembly, materials);
  const leds = edgeLedsOf(runs, share, geometry, materials, design.brief.light, assembly.sheet);
  const behind = behindOf(assembly.sheet, materials.pane);
  const lightOf = (density: Float32Array): Float64Array => {
    const graded = layers.map(() => density);
    const shared = workedFaces(raster, layers, graded, behind === 'painted');
    const found = sheetLight(clear, fit, leds, shared.faces, following);
    const seen = new Float64Array(columns * rows);
    for (const layer of layers) {
      const toward = towardViewer(layer.engraving, layer.onBack, behind);
      givenBy(layer, density, shared, found).forEach((lm, cell) => (seen[cell]! += lm * toward));
    }
    return seen.map((lm, cell) => (wanted[cell]! > 0 ? lm / wanted[cell]! : 0));
  };
  const found = evenWorking(lightOf, { columns, rows, mask, patch, least: leastShare, rounds });
  return {
    graded: gradedOf(found.share, mask, raster, sheet),
    evenShare: found.evenness,
    dimmestTimes: found.dimmestTimes,
  };
};

/** Shares patch by patch; places with no artwork take those of the nearest that has some, so that nothing in between is pulled off. */
const gradedOf = (
  share: Float32Array,
  mask: Uint8Array,
  { columns, rows, cellMm }: SheetRaster,
  sheet: Rect,
): EvenFill['graded'] => {
  const [across, up] = [Math.ceil(columns / patch), Math.ceil(rows / patch)];
  const placeOf = (cell: number, lengthMm: number, count: number): number =>
    Math.min(count - 1, Math.floor((((cell + 0.5) * cellMm) / lengthMm) * count));
  const [sums, counts] = [new Float64Array(across * up), new Float64Array(across * up)];
  mask.forEach((worked, cell) => {
    if (worked === 0) return;
    const at =
      placeOf(Math.floor(cell / columns), sheet.height, up) * across + placeOf(cell % columns, sheet.width, across);
    sums[at]! += share[cell]!;
    counts[at]! += 1;
  });
  const known = [...counts.keys()].filter((at) => counts[at]! > 0);
  const shares = Array.from(counts, (count, at) => {
    if (count > 0) return sums[at]! / count;
    const [column, row] = [at % across, Math.floor(at / across)];
    const nearest = known.reduce((best, each) => {
      const away = (place: number): number => Math.hypot((place % across) - column, Math.floor(place / across) - row);
      return away(each) < away(best) ? each : best;
    });
    return sums[nearest]! / counts[nearest]!;
  });
  return { columns: across, rows: up, shares: shares.map((value) => Math.round(1000 * value) / 1000) };
};
