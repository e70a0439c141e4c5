import type { Brief } from '../../document/design/index.js';
import { emitterMmOf } from '../../document/catalogue/index.js';
import type { Point } from '../../base/outlines/index.js';
import { sum } from '../../base/maths/index.js';
import { gridOver, type Grid } from '../../base/raster/index.js';
import {
  colourOf,
  daylightOf,
  evennessOfPatches,
  hueDriftOf,
  luminanceOf,
  type Evenness,
  type Glow,
  type GridLimits,
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
  type SheetSide,
} from '../../light/sheet/index.js';
import { edgesFrom, edgesInto } from './edge-glow.js';
import { carriedOn, overNeighbours } from './map-smoothing.js';
import { judgePanel } from './verdict.js';
import type { PanelGeometry } from './geometry.js';
import { workedOf, type WorkedArea } from './areas.js';
import { behindOf, towardViewer, workedRgb } from './look.js';
import type { PanelMaterials } from './materials.js';
import { patchesOf, type Patches } from './patches.js';
import { litEdges } from './lit-edges.js';
import type { EdgeLitAssembly } from './schema.js';
import { atEdgesAlone, clearSheetOf, edgeFitOf, edgeLedsOf, letsInOf, underLmOf } from './sheet-light.js';
import { givenBy, gradedOver, layersOver, rasterArea, rasterOver, sumOver, workedFaces } from './worked.js';

/** Where single LEDs show as fans near a lit edge. */
export interface Fans {
  readonly touchMm: number;
  /** From where on their contrast is never more than a tenth. */
  readonly evenFromMm: number;
  /** From the nearest lit edge to the artwork; null where there is none. */
  readonly nearestMm: number | null;
  readonly nearestAt: Point;
  /** Which area and which edge that is; null where nothing is worked. */
  readonly nearest: { readonly place: number; readonly side: SheetSide } | null;
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
  /** Of strip under the case, which no balance of the sheet counts (lm). */
  readonly underLm: number;
  /** Mean luminance of each edge, seen edge on (cd/m²). */
  readonly edgesCdM2: Readonly<Record<SheetSide, number>>;
  readonly patches: Patches;
  readonly fans: Fans;
}

/** What of a design light depends on. */
export type LitDesign = Pick<EdgeLitAssembly, 'sheet' | 'light'>;

/** What the glow of an edge-lit sheet is worked out from. */
export interface PanelGlowInputs {
  readonly brief: Brief;
  readonly design: LitDesign;
  readonly areas: readonly WorkedArea[];
  readonly geometry: PanelGeometry;
  readonly materials: PanelMaterials;
  readonly runs: LightRuns;
  readonly share: LightShare;
  readonly limits: GridLimits;
}

/** Cells along the sheet for one cell along the longer side of a map: light in a sheet is smooth but for its fans. */
const cellsShare = 0.45;
const mostCellsAlong = 240;
/** From so many cells on light is followed to the end. */
const fullFrom = 200;

/** Less of a cell than this is no place to read a luminance from. */
const leastCovered = 0.02;

/** How large the map of a sheet is. */
export const cellsAlong = ({ longSide }: GridLimits): number =>
  Math.min(mostCellsAlong, Math.max(24, Math.round(cellsShare * longSide)));

/** Rays of single LEDs of less contrast than this are not told apart; of a wave the standard deviation is that by √2. */
export const fansUneven = 0.1;

const fansOf = (
  { geometry, materials, runs, design, areas }: PanelGlowInputs,
  entry: ReturnType<typeof edgeEntry>,
): Fans => {
  const { sheet } = geometry;
  let nearestMm = Infinity;
  let nearestAt: Point = [0, 0];
  let nearest: Fans['nearest'] = null;
  for (const { place, lettering } of areas)
    for (const [x, y] of lettering.outline.flat())
      for (const side of litEdges(design.light)) {
        const away = {
          bottom: y - sheet.y,
          top: sheet.y + sheet.height - y,
          left: x - sheet.x,
          right: sheet.x + sheet.width - x,
        }[side];
        if (away < nearestMm) [nearestMm, nearestAt, nearest] = [away, [x, y], { place, side }];
      }
  // Chips as wide as their pitch are no fans at all.
  const single = runs.ledPitchMm > emitterMmOf(materials.strip) && entry.entered > 0;
  return {
    touchMm: single ? fansTouchMm(entry, runs.ledPitchMm) : 0,
    evenFromMm: single ? fansEvenFromMm(entry, runs.ledPitchMm, fansUneven / Math.SQRT2) : 0,
    nearestMm: Number.isFinite(nearestMm) ? Math.max(0, nearestMm) : null,
    nearestAt,
    nearest,
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
  const [min, max] = [patches.dimmest.cdM2, patches.brightest.cdM2];
  const reaches = fans.nearestMm !== null && fans.nearestMm < 2 * fans.evenFromMm && mean > 0;
  // Of a wave the contrast is √2 of its standard deviation by its mean.
  const contrast = reaches
    ? Math.min(1, Math.SQRT2 * fanRipple(entry, runs.ledPitchMm, Math.max(0.05 * runs.ledPitchMm, fans.nearestMm)))
    : 0;
  return evennessOfPatches(
    {
      meanCdM2: mean,
      minCdM2: min,
      maxCdM2: max,
      lowCdM2: min,
      highCdM2: max,
      darkestAt: patches.dimmest.at,
      faceMm,
      fallOffMm: faceMm,
      pitchMm: runs.ledPitchMm,
      contrast,
      dotsAt: fans.nearestAt,
    },
    brief,
  );
};

/**
 * The glow stage of an edge-lit sheet: its light followed from every LED over a raster (`light/sheet`), the luminance of worked
 * places toward a viewer on the normal (what they give off toward the viewer / π and their area, Lambert), of the edges, and what the eye makes of
 * it. Where a cell is worked in part, the map tells the luminance of that part.
 */
export const panelGlowOf = (inputs: PanelGlowInputs): PanelGlow => {
  const { brief, design, geometry, materials, runs, share, limits } = inputs;
  const { sheet } = geometry;
  const along = cellsAlong(limits);
  const raster = rasterOver(sheet, along);
  const { cellMm, columns, rows } = raster;
  const grid = gridOver(rasterArea(sheet, raster), columns, rows);
  const behind = behindOf(design.sheet, materials.pane);
  const painted = behind === 'painted';
  const areas = workedOf(inputs.areas);
  const layers = layersOver(areas, sheet, raster);
  const graded = areas.map(({ artwork }) => gradedOver(artwork, sheet, raster));
  const shared = workedFaces(raster, layers, graded, painted);
  const clear = clearSheetOf(design, materials, geometry);
  const fit = edgeFitOf(design, materials);
  const following = along >= fullFrom ? fullFollowing : previewFollowing;
  const leds = edgeLedsOf(runs, share, geometry, materials, brief.light, design.sheet);
  const light = sheetLight(clear, fit, leds, shared.faces, following);
  const entry = edgeEntry(clear, fit, following.slopes);
  // A rough edge scatters the rest out beside itself: light of the LEDs, though none of the sheet.
  const letsIn = letsInOf(design.sheet);
  const emittedLm = light.emitted / letsIn;
  const cellM2 = cellMm ** 2 / 1e6;
  const cells = columns * rows;
  const covered = layers.length === 0 ? new Float32Array(cells) : sumOver(layers, 'covered');
  const wanted = layers.some((layer) => layer.wanted !== layer.covered) ? sumOver(layers, 'wanted') : covered;
  // What each area gives off, and what of that goes toward the viewer.
  const toViewer = new Float32Array(cells);
  let workedLm = 0;
  layers.forEach((layer, at) => {
    const toward = towardViewer(layer.engraving, layer.onBack, behind);
    givenBy(layer, graded[at]!, shared, light).forEach((lm, cell) => {
      workedLm += lm;
      toViewer[cell]! += lm * toward;
    });
  });
  const paintLm = painted ? Math.max(0, light.out - workedLm) : 0;
  const known = new Uint8Array(cells);
  const smooth = overNeighbours(toViewer, columns, rows);
  /** What is seen of places, by what of them is worked. */
  const luminanceBy = (worked: Float32Array): Float32Array => {
    const area = overNeighbours(worked, columns, rows);
    return smooth.map((lm, cell) => (worked[cell]! < leastCovered ? 0 : lm / (Math.PI * cellM2 * area[cell]!)));
  };
  const luminance = luminanceBy(covered);
  for (let cell = 0; cell < cells; cell += 1) if (covered[cell]! >= leastCovered) known[cell] = 1;
  const patches = patchesOf({
    // A photograph is meant to be darker where it is dark: it is judged by what it wants.
    luminance: wanted === covered ? luminance : luminanceBy(wanted),
    covered: wanted,
    grid,
    lit: litEdges(design.light),
    pitchMm: runs.ledPitchMm,
    sheet,
  });
  carriedOn(luminance, known, columns, rows);
  const edgesCdM2 = edgesFrom(light, geometry);
  const letters = covered.slice();
  edgesInto(design, geometry, grid, light, luminance, letters);
  const fans = fansOf(inputs, entry);
  const evenness = evennessOf(inputs, grid, patches, fans, entry);
  const unlitRgb = workedRgb(behind);
  const faceReflectance = luminanceOf(unlitRgb);
  const daylight = daylightOf(evenness.meanCdM2, faceReflectance);
  const edgesLm = sum(Object.values(light.edges));
  // Of a photograph by day its dots are seen, and the clear sheet between them.
  const frosted =
    wanted === covered ? null : wanted.map((share, cell) => (covered[cell]! > 0 ? share / covered[cell]! : 1));
  const shown = seenPart(grid, geometry, [luminance, letters, ...(frosted === null ? [] : [frosted])]);
  return {
    grid: shown.grid,
    luminance: shown.maps[0]!,
    letters: shown.maps[1]!,
    hue: colourOf(brief.light, materials.strip).hue,
    drift: hueDriftOf(runs, atEdgesAlone(runs, share), materials.strip, grid),
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
    underLm: underLmOf(runs, share, materials, brief.light),
    edgesCdM2,
    patches,
    fans,
    evenness,
    verdict: judgePanel(patches, daylight, brief),
    spots: [],
    daylight,
    faceReflectance,
    unlitRgb,
    ...(shown.maps[2] === undefined ? {} : { unlitShare: shown.maps[2] }),
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
