import type { BoxedMaterials } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import type { CaseGeometry } from '../geometry/index.js';
import type { LightRuns, LightShare } from '../runs/index.js';
import { viewThrough, type FaceStack, type StackView } from '../optics/index.js';
import type { Distribution, PointSources } from '../photometry/index.js';
import type { Block } from '../radiosity/index.js';
import { blurMap, resample, type Grid } from '../../base/raster/index.js';
import { ambientLux, ambients } from './ambient.js';
import { colourOf, throughTint } from '../colour/index.js';
import { addImages, directLight, type DirectLight } from './direct/index.js';
import { emittersOf } from './emitters.js';
import { judgeEvenness } from './evenness.js';
import { chooseGrid, coarsestCell, rowsAreLines, sampleGrid, type GridLimits } from './grid.js';
import { indirectLight } from './indirect.js';
import { hueDriftOf } from './hue-drift.js';
import { findSpots } from './spots.js';
import type { BoxGlow, Daylight } from './types.js';
import { judge } from './verdict.js';

export { ambientLux, ambients } from './ambient.js';
export { brightnessLimit, surroundingsOf, wallBesideCdM2, wantedCdM2, type Surroundings } from './surroundings.js';
export { colourOf, linearOf, luminanceOf, planckianRgb, throughTint, type LinearRgb } from '../colour/index.js';
export { strongestRipple, type LineRipple, type RippleLine, type RippleProbe } from './along-lines.js';
export { addImages, directLight, type DirectMethod } from './direct/index.js';
export { emittersOf } from './emitters.js';
export { crossSection, histogram, valueAt, type CrossSection } from './cross-section.js';
export { contrastSensitivity, contrastThreshold, thresholdFrom, vanishingDistance, type SeenRipple } from './eye.js';
export { driftAt, hueDriftOf, type HueDrift } from './hue-drift.js';
export { judgeEvenness } from './evenness.js';
export { findSpots } from './spots.js';
export { evennessOfPatches, type PatchedLight } from './of-patches.js';
export { judge } from './verdict.js';
export { fullGrid, previewGrid, type GridLimits } from './grid.js';
export { findRipple } from './ripple.js';
export { shownFrom } from './shown-from.js';
export { blurredPitchShare } from './grid.js';
export type { Spot } from './spots.js';
export { darkCorners, evenEnough, type Verdict } from './verdict.js';
export type { BoxGlow, Daylight, Evenness, FluxBalance, Glow, Ripple } from './types.js';

/** Half the face's outer surface reflection that is there whatever the sheet (both surfaces of n = 1.49). */
const surfaceReflectance = 0.04;

/** What the glow stage works from. */
export interface GlowInputs {
  readonly brief: Brief;
  /** Letters are lit in an opaque mask; else they stand dark or coloured on a lit ground. */
  readonly litLetters: boolean;
  readonly geometry: CaseGeometry;
  readonly materials: BoxedMaterials;
  readonly stack: FaceStack;
  readonly distribution: Distribution;
  readonly runs: LightRuns;
  /** What the circuit lets its LEDs give. */
  readonly share: LightShare;
  /** Share of each cell that the letters cover. */
  readonly lettersOn: (grid: Grid) => Float32Array;
  readonly limits: GridLimits;
}

/** How a ground of this luminance stands up to each ambient light. */
export const daylightOf = (meanCdM2: number, faceReflectance: number): readonly Daylight[] =>
  ambients.map((ambient) => {
    const lux = ambientLux[ambient];
    const unlit = (lux * faceReflectance) / Math.PI;
    return { ambient, lux, litOverUnlit: (meanCdM2 + unlit) / unlit };
  });

/** Daylight given back by face and case together: the face's own share, and what enters, bounces and comes out again. */
export const faceReflectanceOf = (stack: FaceStack, { lining }: Pick<BoxedMaterials, 'lining'>): number =>
  Math.min(
    0.95,
    surfaceReflectance +
      stack.outerReflectance +
      (stack.transmittance ** 2 * lining.reflectance) / (1 - stack.innerReflectance * lining.reflectance),
  );

/** Where the places of `grid` lie on `coarse`, in cells from its first, along one axis. */
const placesOn = (count: number, from: number, cell: number, coarseFrom: number, coarseCell: number): Float64Array =>
  Float64Array.from({ length: count }, (_, index) => (from + (index + 0.5) * cell - coarseFrom) / coarseCell - 0.5);

/** Direct light on the raster: summed on a coarser one that carries all its detail, and filled in by splines. */
const directOn = (
  grid: Grid,
  emitters: PointSources,
  planeZ: number,
  leastHeightMm: number,
  view: StackView,
  block: Block | null,
): DirectLight => {
  // A block casts sharp shadows, which no spline carries.
  const coarse = block === null ? sampleGrid(grid, leastHeightMm, view.narrowestRad) : null;
  if (coarse === null) return directLight(emitters, grid, planeZ, view, block);
  const light = directLight(emitters, coarse, planeZ, view);
  const map = resample(
    light.map,
    coarse.columns,
    coarse.rows,
    placesOn(grid.columns, grid.area.x, grid.cellWidthMm, coarse.area.x, coarse.cellWidthMm),
    placesOn(grid.rows, grid.area.y, grid.cellHeightMm, coarse.area.y, coarse.cellHeightMm),
  );
  return { ...light, map };
};

/**
 * The glow stage: luminance of the face toward a viewer on the normal, and what the eye makes of it. Direct light is a
 * sum over the LEDs; reflected light is settled between the patches of the case (`indirect.ts`); letters are a coverage
 * map.
 */
export const glowOf = (inputs: GlowInputs): BoxGlow => {
  const { geometry, materials, runs, share, brief, stack, distribution, limits } = inputs;
  const { inside, lightDepthMm, block } = geometry;
  const box = { ...inside, depthMm: lightDepthMm };
  const view = viewThrough(stack, runs.throwMm + stack.intoCaseMm);
  const lines = rowsAreLines(runs, view.imageShare > 0.01 * stack.transmittance);
  const colour = colourOf(brief.light, materials.strip);
  const tinted = throughTint(colour.hue, stack.tint);
  const fluxPerLedLm = colour.lumensPerM / materials.strip.ledsPerM;
  const emitters = emittersOf(runs, fluxPerLedLm, share.fluxShare, distribution, lines);
  const grid = chooseGrid(box.widthMm, box.heightMm, runs, lines, emitters.count, limits);
  const planeZ = inside.depthMm - view.planeBehindMm;
  const direct = directOn(grid, emitters, planeZ, runs.throwMm + planeZ - lightDepthMm, view, block);
  const indirect = indirectLight(emitters, box, block, materials, stack, grid, limits);
  const even = (tinted.luminanceShare * stack.transmittance) / Math.PI;
  let shown = direct.map;
  for (let cell = 0; cell < shown.length; cell += 1)
    shown[cell] = Math.max(0, shown[cell]! * tinted.luminanceShare) + indirect.lux[cell]! * even;
  if (view.blur !== null) shown = blurMap(shown, grid, view.blur.transfer, view.blur.reachMm);
  if (view.imageShare > 0) addImages(shown, grid, emitters, view.imageShare * tinted.luminanceShare);
  const ground = new Float32Array(shown);
  const letters = inputs.lettersOn(grid);
  const hasLetters = letters.some((share) => share > 0.5);
  const litLetters = inputs.litLetters && hasLetters;
  const counts = (index: number): boolean => !hasLetters || letters[index]! > 0.5 === litLetters;
  const evenness = judgeEvenness(ground, grid, runs, {
    counts,
    readingDistanceMm: brief.readingDistanceMm,
    borderMm: materials.face.thicknessMm,
    lines,
  });
  const faceReflectance = faceReflectanceOf(stack, materials);
  const daylight = daylightOf(evenness.meanCdM2, faceReflectance);
  return {
    grid,
    luminance: ground,
    letters,
    hue: tinted.hue,
    drift: hueDriftOf(runs, share, materials.strip, grid),
    balance: indirect.balance,
    incidentLm: indirect.incidentLm,
    methods: direct.methods,
    errorBound: direct.errorBound,
    indirectShare: indirect.onFaceLm > 0 ? indirect.reflectedLm / indirect.onFaceLm : 0,
    evenness,
    verdict: judge(evenness, daylight, brief),
    spots: findSpots(ground, grid, runs, evenness.meanCdM2, counts),
    daylight,
    faceReflectance,
    unlitRgb: [faceReflectance, faceReflectance, faceReflectance],
    emittedLm: indirect.balance.emittedLm,
    resolved: Math.max(grid.cellWidthMm, grid.cellHeightMm) <= coarsestCell(runs, lines) * 1.3,
  };
};
