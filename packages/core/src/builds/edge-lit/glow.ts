import type { Brief } from '../../document/design/index.js';
import { emitterMmOf } from '../../document/catalogue/index.js';
import { coverage, type Outline, type Point } from '../../base/outlines/index.js';
import { sum } from '../../base/maths/index.js';
import { gridOver, type Grid } from '../../base/raster/index.js';
import {
  colourOf,
  daylightOf,
  hueDriftOf,
  luminanceOf,
  thresholdFrom,
  vanishingDistance,
  type Evenness,
  type Glow,
  type GridLimits,
  type SeenRipple,
} from '../../light/glow/index.js';
import type { LightRuns, LightShare } from '../../light/runs/index.js';
import {
  edgeEntry,
  fanRipple,
  fansEvenFromMm,
  fansTouchMm,
  fullFollowing,
  previewFollowing,
  sheetLight,
  sheetSides,
  type SheetLight,
  type SheetSide,
} from '../../light/sheet/index.js';
import { judgePanel } from './verdict.js';
import type { PanelGeometry } from './geometry.js';
import { behindOf, towardViewer, workedRgb } from './look.js';
import type { PanelMaterials } from './materials.js';
import { patchesOf, type Patches } from './patches.js';
import { litEdges } from './runs.js';
import type { EdgeLitAssembly } from './schema.js';
import { clearSheetOf, edgeFitOf, edgeLedsOf, letsInOf } from './sheet-light.js';
import { gradedOver, rasterArea, rasterOver, workedFaces } from './worked.js';

/** Where single LEDs show as fans near a lit edge. */
export interface Fans {
  readonly touchMm: number;
  /** From where on their contrast is never more than a tenth. */
  readonly evenFromMm: number;
  /** From the nearest lit edge to the artwork; null where there is none. */
  readonly nearestMm: number | null;
  readonly nearestAt: Point;
}

/** Where the light of the LEDs goes (lm); all add up to what they emit. */
export interface PanelBalance {
  readonly emittedLm: number;
  readonly outLm: number;
  readonly absorbedFaceLm: number;
  readonly absorbedCaseLm: number;
}

/** What is seen of an edge-lit sheet, and where its light goes. */
export interface PanelGlow extends Glow {
  readonly balance: PanelBalance;
  /** Shares of what the LEDs give: enters the sheet, passes the edge, is thrown back by it. */
  readonly entry: { readonly entered: number; readonly missed: number; readonly thrownBack: number };
  /** Given off by the artwork, taken by paint, out at the edges, lost in the sheet (lm). */
  readonly workedLm: number;
  readonly paintLm: number;
  readonly edgesLm: Readonly<Record<SheetSide, number>>;
  readonly lostLm: number;
  /** Mean luminance of each edge, seen edge on (cd/m²). */
  readonly edgesCdM2: Readonly<Record<SheetSide, number>>;
  readonly patches: Patches;
  readonly fans: Fans;
}

/** What of a design light depends on. */
export type LitDesign = Pick<EdgeLitAssembly, 'artwork' | 'sheet' | 'light'>;

/** What the glow of an edge-lit sheet is worked out from. */
export interface PanelGlowInputs {
  readonly brief: Brief;
  readonly design: LitDesign;
  readonly geometry: PanelGeometry;
  readonly materials: PanelMaterials;
  readonly runs: LightRuns;
  readonly share: LightShare;
  readonly outline: Outline;
  readonly limits: GridLimits;
}

/** Cells along the sheet for one cell along the longer side of a map: light in a sheet is smooth but for its fans. */
const cellsShare = 0.45;
const mostCellsAlong = 240;
/** From so many cells on light is followed to the end. */
const fullFrom = 200;

/**
 * An edge is seen from the front by its arris alone: so wide (mm), and of the luminance that the edge has seen edge on it scatters so
 * much to the front; typical.
 */
export const arrisMm = 0.6;
const arrisScatters = 0.2;
/** Less of a cell than this is no place to read a luminance from. */
const leastCovered = 0.02;

/** How large the map of a sheet is. */
export const cellsAlong = ({ longSide }: GridLimits): number =>
  Math.min(mostCellsAlong, Math.max(24, Math.round(cellsShare * longSide)));

/** Sums over each cell and its neighbours, twice over: rays are single, light is not. */
const overNeighbours = (map: Float32Array, columns: number, rows: number): Float32Array => {
  let now = map;
  for (let round = 0; round < 2; round += 1) {
    const across = now.map((value, cell) => {
      const column = cell % columns;
      return value + (column > 0 ? now[cell - 1]! : 0) + (column < columns - 1 ? now[cell + 1]! : 0);
    });
    now = across.map((value, cell) => {
      const row = Math.floor(cell / columns);
      return value + (row > 0 ? across[cell - columns]! : 0) + (row < rows - 1 ? across[cell + columns]! : 0);
    });
  }
  return now;
};

/** Luminance of worked places, carried on into cells beside them, so that sharp outlines laid over it are lit to their edge. */
const carriedOn = (map: Float32Array, known: Uint8Array, columns: number, rows: number): void => {
  for (let round = 0; round < 3; round += 1) {
    const before = known.slice();
    for (let cell = 0; cell < map.length; cell += 1) {
      if (before[cell] === 1) continue;
      const [column, row] = [cell % columns, Math.floor(cell / columns)];
      let [total, count] = [0, 0];
      for (const [dx, dy] of [
        [-1, 0],
        [1, 0],
        [0, -1],
        [0, 1],
        [-1, -1],
        [1, 1],
        [-1, 1],
        [1, -1],
      ] as const) {
        const [c, r] = [column + dx, row + dy];
        if (c < 0 || r < 0 || c >= columns || r >= rows || before[r * columns + c] === 0) continue;
        total += map[r * columns + c]!;
        count += 1;
      }
      if (count === 0) continue;
      map[cell] = total / count;
      known[cell] = 1;
    }
  }
};

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

const edgesFrom = (light: SheetLight, { sheet, thicknessMm }: PanelGeometry): Readonly<Record<SheetSide, number>> =>
  Object.fromEntries(
    sheetSides.map((side) => {
      const long = side === 'left' || side === 'right' ? sheet.height : sheet.width;
      return [side, (light.edges[side] * 1e6) / (Math.PI * long * thicknessMm)];
    }),
  ) as Record<SheetSide, number>;

/** Rays of single LEDs of less contrast than this are not told apart; of a wave the standard deviation is that by √2. */
export const fansUneven = 0.1;

const fansOf = (
  { geometry, materials, runs, design, outline }: PanelGlowInputs,
  entry: ReturnType<typeof edgeEntry>,
): Fans => {
  const { sheet } = geometry;
  let nearestMm = Infinity;
  let nearestAt: Point = [0, 0];
  for (const ring of outline)
    for (const [x, y] of ring)
      for (const side of litEdges(design.light)) {
        const away = {
          bottom: y - sheet.y,
          top: sheet.y + sheet.height - y,
          left: x - sheet.x,
          right: sheet.x + sheet.width - x,
        }[side];
        if (away < nearestMm) [nearestMm, nearestAt] = [away, [x, y]];
      }
  // Chips as wide as their pitch are no fans at all.
  const single = runs.ledPitchMm > emitterMmOf(materials.strip) && entry.entered > 0;
  return {
    touchMm: single ? fansTouchMm(entry, runs.ledPitchMm) : 0,
    evenFromMm: single ? fansEvenFromMm(entry, runs.ledPitchMm, fansUneven / Math.SQRT2) : 0,
    nearestMm: Number.isFinite(nearestMm) ? Math.max(0, nearestMm) : null,
    nearestAt,
  };
};

/** What the eye makes of the artwork: patches for the slow fall, fans for what repeats with the LEDs. */
const evennessOf = (
  { brief, runs }: PanelGlowInputs,
  grid: Grid,
  patches: Patches,
  fans: Fans,
  entry: ReturnType<typeof edgeEntry>,
): Evenness => {
  const { meanCdM2: mean } = patches;
  const faceMm = Math.sqrt(grid.area.width * grid.area.height);
  const seen = (pitchMm: number): SeenRipple => ({ pitchMm, luminance: mean, faceMm });
  const [min, max] = [patches.dimmest.cdM2, patches.brightest.cdM2];
  const reaches = fans.nearestMm !== null && fans.nearestMm < 2 * fans.evenFromMm && mean > 0;
  // Of a wave the contrast is √2 of its standard deviation by its mean.
  const contrast = reaches
    ? Math.min(1, Math.SQRT2 * fanRipple(entry, runs.ledPitchMm, Math.max(0.05 * runs.ledPitchMm, fans.nearestMm)))
    : 0;
  const ripple = seen(runs.ledPitchMm);
  const dots = {
    pitchMm: runs.ledPitchMm,
    contrast,
    threshold: thresholdFrom(ripple, brief.readingDistanceMm),
    vanishesAtMm: vanishingDistance(ripple, contrast),
    at: fans.nearestAt,
  };
  return {
    meanCdM2: mean,
    minCdM2: min,
    maxCdM2: max,
    minOverMean: mean > 0 ? min / mean : 0,
    minOverMax: max > 0 ? min / max : 0,
    lowCdM2: min,
    highCdM2: max,
    darkestAt: patches.dimmest.at,
    fallOff: {
      contrast: max + min > 0 ? (max - min) / (max + min) : 0,
      threshold: thresholdFrom(seen(faceMm), brief.readingDistanceMm),
    },
    dots,
    bands: null,
    dotContrast: contrast,
    dotsVanishAtMm: dots.vanishesAtMm,
  };
};

/**
 * The glow stage of an edge-lit sheet: its light followed from every LED over a raster (`light/sheet`), the luminance of worked
 * places toward a viewer on the normal (what they give off toward the viewer / π and their area, Lambert), of the edges, and what the eye makes of
 * it. Where a cell is worked in part, the map tells the luminance of that part.
 */
export const panelGlowOf = (inputs: PanelGlowInputs): PanelGlow => {
  const { brief, design, geometry, materials, runs, share, outline, limits } = inputs;
  const { sheet } = geometry;
  const along = cellsAlong(limits);
  const raster = rasterOver(sheet, along);
  const { cellMm, columns, rows } = raster;
  const grid = gridOver(rasterArea(sheet, raster), columns, rows);
  const covered = coverage(outline, grid.area, columns, rows);
  const behind = behindOf(design.sheet, materials.pane);
  const painted = behind === 'painted';
  const onBack = design.artwork.mirrored === true;
  const faces = workedFaces(
    raster,
    covered,
    gradedOver(design.artwork, sheet, raster),
    design.artwork,
    materials.engraving,
    painted,
  );
  const clear = clearSheetOf(design, materials);
  const fit = edgeFitOf(design, materials);
  const following = along >= fullFrom ? fullFollowing : previewFollowing;
  const leds = edgeLedsOf(runs.leds, runs, share, geometry, materials, brief.light, design.sheet);
  const light = sheetLight(clear, fit, leds, faces, following);
  const entry = edgeEntry(clear, fit, following.slopes);
  // A rough edge scatters the rest out beside itself: light of the LEDs, though none of the sheet.
  const letsIn = letsInOf(design.sheet);
  const emittedLm = light.emitted / letsIn;
  const toward = towardViewer(materials.engraving, onBack, behind);
  const cellM2 = cellMm ** 2 / 1e6;
  const luminance = new Float32Array(columns * rows);
  const known = new Uint8Array(columns * rows);
  const given = new Float32Array(columns * rows);
  let [workedLm, paintLm] = [0, 0];
  for (let cell = 0; cell < given.length; cell += 1) {
    const back = light.backOut[cell]!;
    const paint = painted ? 1 - covered[cell]! : 0;
    const ofPaint = paint > 0 && back > 0 ? (back * paint) / faces.back![cell]! : 0;
    given[cell] = onBack ? back - ofPaint : light.frontOut[cell]!;
    workedLm += given[cell]!;
    paintLm += ofPaint;
  }
  const [smoothLight, smoothArea] = [overNeighbours(given, columns, rows), overNeighbours(covered, columns, rows)];
  for (let cell = 0; cell < given.length; cell += 1) {
    if (covered[cell]! < leastCovered) continue;
    luminance[cell] = (smoothLight[cell]! * toward) / (Math.PI * cellM2 * smoothArea[cell]!);
    known[cell] = 1;
  }
  const patches = patchesOf({ luminance, covered, grid, lit: litEdges(design.light), pitchMm: runs.ledPitchMm, sheet });
  carriedOn(luminance, known, columns, rows);
  const edgesCdM2 = edgesFrom(light, geometry);
  const letters = covered.slice();
  edgesInto(inputs, grid, light, luminance, letters);
  const fans = fansOf(inputs, entry);
  const evenness = evennessOf(inputs, grid, patches, fans, entry);
  const unlitRgb = workedRgb(behind);
  const faceReflectance = luminanceOf(unlitRgb);
  const daylight = daylightOf(evenness.meanCdM2, faceReflectance);
  const edgesLm = sum(Object.values(light.edges));
  const shown = seenPart(grid, geometry, [luminance, letters]);
  return {
    grid: shown.grid,
    luminance: shown.maps[0]!,
    letters: shown.maps[1]!,
    hue: colourOf(brief.light, materials.strip).hue,
    drift: hueDriftOf(runs, share, materials.strip, grid),
    balance: {
      emittedLm,
      outLm: workedLm + edgesLm,
      absorbedFaceLm: paintLm + light.lost + light.left,
      absorbedCaseLm: light.missed + light.thrownBack + emittedLm - light.emitted,
    },
    entry: { entered: entry.entered * letsIn, missed: entry.missed, thrownBack: entry.thrownBack },
    workedLm,
    paintLm,
    edgesLm: light.edges,
    lostLm: light.lost + light.left,
    edgesCdM2,
    patches,
    fans,
    evenness,
    verdict: judgePanel(patches, daylight, brief),
    spots: [],
    daylight,
    faceReflectance,
    unlitRgb,
    emittedLm,
    resolved: true,
  };
};

/** What of maps over the sheet is seen: the rest stands in its holder. */
const seenPart = (
  { area, columns, rows, cellWidthMm: cellMm }: Grid,
  { seen }: PanelGeometry,
  maps: readonly Float32Array[],
): { readonly grid: Grid; readonly maps: readonly Float32Array[] } => {
  const first = (from: number): number => Math.max(0, Math.round(from / cellMm));
  const left = Math.min(columns - 1, first(seen.x - area.x));
  const low = Math.min(rows - 1, first(seen.y - area.y));
  const across = Math.max(1, Math.min(columns - left, first(seen.x + seen.width - area.x) - left));
  const up = Math.max(1, Math.min(rows - low, first(seen.y + seen.height - area.y) - low));
  return {
    grid: gridOver(
      { x: area.x + left * cellMm, y: area.y + low * cellMm, width: across * cellMm, height: up * cellMm },
      across,
      up,
    ),
    maps: maps.map((map) =>
      Float32Array.from(
        { length: across * up },
        (_, cell) => map[(low + Math.floor(cell / across)) * columns + left + (cell % across)]!,
      ),
    ),
  };
};

/** Free edges in the map: their cells shine as much as their arris is seen from the front. Mutates both maps. */
const edgesInto = (
  { design, geometry }: PanelGlowInputs,
  { columns, rows, cellWidthMm: cellMm }: Grid,
  { edgeOut }: SheetLight,
  luminance: Float32Array,
  letters: Float32Array,
): void => {
  const share = Math.min(1, arrisMm / cellMm);
  const areaM2 = (cellMm * geometry.thicknessMm) / 1e6;
  for (const side of sheetSides) {
    if (!showsEdge(design, geometry, side)) continue;
    const bins = edgeOut[side];
    const upright = side === 'left' || side === 'right';
    for (let bin = 0; bin < bins.length; bin += 1) {
      const column = upright ? (side === 'left' ? 0 : columns - 1) : bin;
      const row = upright ? bin : side === 'bottom' ? 0 : rows - 1;
      const cell = row * columns + column;
      const own = (arrisScatters * bins[bin]!) / (Math.PI * areaM2);
      if (letters[cell]! > share) continue;
      luminance[cell] = own;
      letters[cell] = share;
    }
  }
};
