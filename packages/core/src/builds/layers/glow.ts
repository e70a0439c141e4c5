import { outlineBounds } from '../../base/outlines/index.js';
import { cellMiddle, gridOver, mapValue, type Grid } from '../../base/raster/index.js';
import type { Brief } from '../../document/design/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import {
  colourOf,
  daylightOf,
  emittersOf,
  evennessOfPatches,
  hueDriftOf,
  linearOf,
  luminanceOf,
  type BoxGlow,
  type Evenness,
  type GridLimits,
  type LinearRgb,
  type Verdict,
} from '../../light/glow/index.js';
import { lightScene } from '../../light/layers/index.js';
import { pitchLeft } from '../../light/line/index.js';
import type { Distribution } from '../../light/photometry/index.js';
import type { LightRuns, LightShare } from '../../light/runs/index.js';
import { meanRgb, passedAt } from '../common/picture.js';
import { composed } from './composed.js';
import { glows } from '../common/sheet-stock.js';
import type { LayersMaterials } from './materials.js';
import type { LitPlanes } from './planes.js';
import { nearestSeen } from './nearest-seen.js';
import { sceneLimits } from './scene-limits.js';
import type { Scene, StandingSheet } from './scene.js';
import type { SceneDesign } from './schema.js';
import { stepsOf, told, type Step } from './told-apart.js';

/** What is seen of one sheet, or of the back. */
export interface SeenSheet {
  /** Its place in the design’s list; null for the back. */
  readonly index: number | null;
  /** It is what is let into that sheet. */
  readonly inlay: boolean;
  readonly name: string;
  /** Share of the opening in which it is what is seen. */
  readonly seenShare: number;
  readonly meanCdM2: number;
  /** Light on what is seen of it (lx). */
  readonly meanLux: number;
  /** Where its middle is seen. */
  readonly at: readonly [number, number];
}

/** Light in a scene: the map of what is seen, and what of it is seen of each sheet. */
export interface LayersGlow extends BoxGlow {
  readonly seen: readonly SeenSheet[];
  readonly steps: readonly Step[];
  /** From the LEDs to what is seen of any sheet (mm), the least of all. */
  readonly nearestMm: number;
}

const rgbOf = ({ sheet, stock, inlay, print }: StandingSheet, isInlay: boolean): LinearRgb => {
  if (print !== null && !isInlay) return meanRgb(print.passes);
  const own = isInlay && inlay !== null ? inlay.stock : stock;
  return glows(own) ? [own.reflects, own.reflects, own.reflects] : linearOf(sheet.colour);
};

/** What a printed sheet gives back at a place of it; null where it is painted. */
const printOf = ({ print, outline }: StandingSheet): ((place: readonly [number, number]) => LinearRgb) | null => {
  const bounds = outlineBounds(outline);
  if (print === null || bounds === null) return null;
  const size = { widthMm: bounds.width, heightMm: bounds.height };
  const [midX, midY] = [bounds.x + bounds.width / 2, bounds.y + bounds.height / 2];
  return ([x, y]) => passedAt(print, size, [x - midX, y - midY]);
};

/** What the glow stage of a scene works from. */
export interface LayersGlowInputs {
  readonly brief: Brief;
  readonly design: SceneDesign;
  readonly scene: Scene;
  readonly planes: LitPlanes;
  readonly geometry: CaseGeometry;
  readonly materials: LayersMaterials;
  readonly distribution: Distribution;
  readonly runs: LightRuns;
  readonly share: LightShare;
  readonly limits: GridLimits;
}

const percent = (share: number): string => `${Math.round(100 * share)} %`;

/** What the eye makes of a scene, by what is least told apart. */
const verdictOf = (
  { meanCdM2, dots }: Evenness,
  steps: readonly Step[],
  stripSeen: number,
  readingDistanceMm: number,
): Verdict => {
  if (meanCdM2 <= 0) return { verdict: 'dark', sentence: 'It stays dark: no light reaches a sheet that is seen.' };
  const bright = `${Math.round(meanCdM2)} cd/m² over all`;
  if (stripSeen > 0)
    return {
      verdict: 'dots',
      sentence: `${percent(stripSeen)} of the LEDs are seen past the sheets from aside; ${bright}.`,
    };
  if (dots.vanishesAtMm > readingDistanceMm)
    return {
      verdict: 'dots',
      sentence: `Single LEDs show on what is near the strip: ${percent(dots.contrast)} of contrast where the eye sees ${percent(dots.threshold)}; ${bright}.`,
    };
  const least = steps.reduce<Step | null>(
    (worst, step) => (worst === null || told(step) < told(worst) ? step : worst),
    null,
  );
  return {
    verdict: 'even',
    sentence:
      least === null
        ? `One layer is all that is seen; ${bright}.`
        : `${steps.length} ${steps.length === 1 ? 'edge' : 'edges'} between layers, the weakest between ${least.front} and ${least.behind} (${percent(least.contrast)} of contrast); ${bright}.`,
  };
};

/** The glow stage of a scene: light on every sheet, what is seen of it from the front, and how its layers are told apart. */
export const layersGlowOf = (inputs: LayersGlowInputs): LayersGlow => {
  const { brief, design, scene, geometry, materials, distribution, runs, share, limits } = inputs;
  const { inside } = geometry;
  const { planes, net, of } = inputs.planes;
  const { grid } = planes;
  const { area } = grid;
  const colour = colourOf(brief.light, materials.strip);
  const emitters = emittersOf(runs, colour.lumensPerM / materials.strip.ledsPerM, share.fluxShare, distribution, false);
  const lit = lightScene(planes, emitters, sceneLimits(limits), net);

  const count = grid.columns * grid.rows;
  const glazing = materials.face.transmittance;
  const colours = of.map(({ sheet, inlay }) => rgbOf(scene.sheets[sheet]!, inlay));
  const backRgb = linearOf(design.backColour);
  const { luminance, factors, unlit, top, sums } = composed({
    planes: planes.planes,
    grid,
    lit,
    colours,
    prints: of.map(({ sheet, inlay }) => (inlay ? null : printOf(scene.sheets[sheet]!))),
    backRgb,
    hue: colour.hue,
    glazing,
  });
  const nameOf = (plane: number): string => {
    if (plane < 0) return 'the back';
    const { sheet, inlay } = of[plane]!;
    const { name } = scene.sheets[sheet]!.sheet;
    return inlay ? `${name}, inlays` : name;
  };
  const indexOf = (plane: number): number => scene.sheets[of[plane]!.sheet]!.index;
  const seen = sums.map((sum, place): SeenSheet => ({
    index: place === 0 ? null : indexOf(place - 1),
    inlay: place > 0 && of[place - 1]!.inlay,
    name: nameOf(place - 1),
    seenShare: sum.cells / count,
    meanCdM2: sum.cells > 0 ? sum.cdM2 / sum.cells : 0,
    meanLux: sum.cells > 0 ? sum.lux / sum.cells : 0,
    at: sum.cells > 0 ? [sum.x / sum.cells, sum.y / sum.cells] : [0, 0],
  }));
  const steps = stepsOf({ top, luminance }, grid, {
    colourOf: (plane) => (plane < 0 ? backRgb : colours[plane]!),
    indexOf,
    nameOf,
  });
  const nearest = nearestSeen(runs, planes.planes, top, grid);
  const sorted = luminance.slice().sort();
  const quantile = (share: number): number => sorted[Math.min(count - 1, Math.floor(share * count))] ?? 0;
  const meanCdM2 = luminance.reduce((sum, value) => sum + value, 0) / count;
  const darkest = luminance.indexOf(sorted[0]!);
  const evenness = evennessOfPatches(
    {
      meanCdM2,
      minCdM2: sorted[0] ?? 0,
      maxCdM2: sorted[count - 1] ?? 0,
      lowCdM2: quantile(0.05),
      highCdM2: quantile(0.95),
      darkestAt: cellMiddle(grid, Math.max(0, darkest)),
      faceMm: Math.sqrt(area.width * area.height),
      fallOffMm: Math.sqrt(area.width * area.height),
      pitchMm: runs.ledPitchMm,
      contrast: runs.leds.count === 0 ? 0 : Math.min(1, pitchLeft(runs.ledPitchMm, nearest.mm)),
      dotsAt: nearest.at,
    },
    brief,
  );
  const day = luminanceOf(meanRgb(unlit));
  const reflects = Math.min(0.95, 0.04 + glazing ** 2 * day);
  const rims = { left: inside.heightMm, right: inside.heightMm, bottom: inside.widthMm, top: inside.widthMm };
  const round = 2 * (inside.widthMm + inside.heightMm);
  const onRim = (side: keyof typeof rims): number => (lit.rimLm * rims[side]) / round;
  return {
    grid,
    luminance,
    letters: new Float32Array(count),
    hue: colour.hue,
    drift: {
      columns: grid.columns,
      rows: grid.rows,
      factors: mixed(factors, grid, hueDriftOf(runs, share, materials.strip, grid)),
    },
    evenness,
    verdict: verdictOf(evenness, steps, scene.stripSeen, brief.readingDistanceMm),
    spots: [],
    daylight: daylightOf(meanCdM2, reflects),
    faceReflectance: reflects,
    unlitRgb: [glazing ** 2, glazing ** 2, glazing ** 2],
    unlitTint: unlit,
    emittedLm: lit.emittedLm,
    resolved: true,
    balance: {
      emittedLm: lit.emittedLm,
      outLm: lit.outLm,
      absorbedFaceLm: lit.glazingTakesLm,
      absorbedCaseLm: lit.backTakesLm + lit.rimTakesLm + lit.planesTakeLm.reduce((sum, lm) => sum + lm, 0),
    },
    incidentLm: {
      back: lit.backLm,
      face: glazing > 0 ? lit.outLm / glazing : 0,
      left: onRim('left'),
      right: onRim('right'),
      bottom: onRim('bottom'),
      top: onRim('top'),
      block: 0,
    },
    methods: [],
    errorBound: 0,
    indirectShare: lit.indirectShare,
    seen,
    steps,
    nearestMm: nearest.mm,
  };
};

/** Colours of the sheets, with the drift of mixed light over them. */
const mixed = (factors: Float32Array, grid: Grid, drift: ReturnType<typeof hueDriftOf>): Float32Array => {
  if (drift === null) return factors;
  const over: Grid = gridOver(grid.area, drift.columns, drift.rows);
  const parts = [0, 1, 2].map((part) =>
    Float32Array.from({ length: drift.columns * drift.rows }, (_, at) => drift.factors[3 * at + part]!),
  );
  return factors.map((value, at) => value * mapValue(parts[at % 3]!, over, cellMiddle(grid, Math.floor(at / 3))));
};
