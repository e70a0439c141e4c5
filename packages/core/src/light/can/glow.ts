import type { FacedMaterials } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import type { CansGeometry } from '../geometry/index.js';
import {
  addImages,
  hueDriftOf,
  colourOf,
  daylightOf,
  emittersOf,
  faceReflectanceOf,
  findSpots,
  judge,
  judgeEvenness,
  strongestRipple,
  thresholdFrom,
  throughTint,
  valueAt,
  vanishingDistance,
  type Evenness,
  type FluxBalance,
  type Glow,
  type GridLimits,
} from '../glow/index.js';
import type { LetterRuns, LightShare } from '../runs/index.js';
import { viewThrough, type FaceStack, type StackView } from '../optics/index.js';
import { coverage, measureLine, outlineBounds, simplify, type Outline } from '../../base/outlines/index.js';
import type { Distribution, PointSources } from '../photometry/index.js';
import { gridOver, type Grid } from '../../base/raster/index.js';
import { cansOf } from './can.js';
import { directInCans, directNear } from './direct.js';
import { reflectedInCans, type TraceCan } from './reflected.js';

/** What the faces of letters show, and where their light goes. */
export interface CansGlow extends Glow {
  readonly balance: FluxBalance;
  /** Standard error of the light that leaves, as a share of it: what tracing leaves open. */
  readonly errorShare: number;
  /** Share of the light on the faces that has been reflected inside at least once. */
  readonly indirectShare: number;
}

/** What the glow of letters with lit faces is worked out from. */
export interface CansGlowInputs {
  readonly brief: Brief;
  readonly outline: Outline;
  /** The inside of the returns. */
  readonly inside: Outline;
  /** Of that, what counts for evenness: not what lies against the returns. */
  readonly lit: Outline;
  readonly geometry: CansGeometry;
  readonly materials: FacedMaterials;
  readonly stack: FaceStack;
  readonly distribution: Distribution;
  readonly runs: LetterRuns;
  /** What the circuit lets its LEDs give. */
  readonly share: LightShare;
  readonly limits: GridLimits;
  /** Traces a case; may be memoized from design to design. */
  readonly trace: TraceCan;
}

/** Shown of the wall round the letters (mm). */
const aroundMm = 24;
/** Cells wanted over the height of the LEDs under the face: dots are judged apart, by their places. */
const cellsPerHeight = 10;
/** Photons bounce between walls drawn this closely (mm). */
const tracedMm = 0.4;

const gridFor = (outline: Outline, geometry: CansGeometry, { maxCells }: GridLimits): Grid => {
  const bounds = outlineBounds(outline) ?? { x: -10, y: -10, width: 20, height: 20 };
  const area = {
    x: bounds.x - aroundMm,
    y: bounds.y - aroundMm,
    width: bounds.width + 2 * aroundMm,
    height: bounds.height + 2 * aroundMm,
  };
  const heightMm = geometry.depthInsideMm - geometry.ledZMm;
  const cell = Math.max(heightMm / cellsPerHeight, Math.sqrt((area.width * area.height) / maxCells));
  return gridOver(area, Math.max(8, Math.round(area.width / cell)), Math.max(8, Math.round(area.height / cell)));
};

/** A face that lets so much of an LED’s picture through shows it as a dot whatever the rest. */
const imageSeen = 0.01;

/** The faces’ evenness with the dots that LEDs make along the strip. */
const withDots = (
  faces: Evenness,
  { brief, runs, geometry }: CansGlowInputs,
  grid: Grid,
  ground: Float32Array,
  lights: PointSources,
  view: StackView,
  share: number,
): Evenness => {
  const straight = directNear(lights, geometry.depthInsideMm - geometry.ledZMm, view.towardNormal);
  const found = strongestRipple(
    runs.segments.map(({ path }) => ({
      line: measureLine(
        path.map(([x, y]) => [x, y] as const),
        false,
      ),
      closed: false,
    })),
    {
      pitchMm: runs.ledPitchMm,
      directAt: (at) => share * straight(at),
      allAt: (at) => valueAt(ground, grid, at[0], at[1]),
    },
  );
  const contrast = view.imageShare > imageSeen ? 1 : Math.min(1, found.contrast);
  const seen = {
    pitchMm: runs.ledPitchMm,
    luminance: faces.meanCdM2,
    faceMm: Math.sqrt(grid.area.width * grid.area.height),
  };
  const dots = {
    pitchMm: runs.ledPitchMm,
    contrast,
    threshold: thresholdFrom(seen, brief.readingDistanceMm),
    vanishesAtMm: vanishingDistance(seen, contrast),
    at: found.at,
  };
  return { ...faces, dots, bands: null, dotContrast: contrast, dotsVanishAtMm: dots.vanishesAtMm };
};

/**
 * The glow stage of letters with lit faces: what each LED shows straight through its own face, what is hidden by returns left
 * out, and what is reflected inside, traced in the outline (seeded; the error is stated).
 */
export const cansGlowOf = (inputs: CansGlowInputs): CansGlow => {
  const { brief, outline, inside, geometry, materials, stack, distribution, runs, share, limits } = inputs;
  const heightMm = geometry.depthInsideMm - geometry.ledZMm;
  const view = viewThrough(stack, heightMm);
  const colour = colourOf(brief.light, materials.strip);
  const tinted = throughTint(colour.hue, stack.tint);
  const perLed = colour.lumensPerM / materials.strip.ledsPerM;
  const lights = emittersOf(runs, perLed, share.fluxShare, distribution, view.imageShare === 0);
  const grid = gridFor(outline, geometry, limits);
  // Dots are looked for with every LED by itself.
  const each = emittersOf(runs, perLed, share.fluxShare, distribution, false);
  const walls = simplify(inside, tracedMm);
  const cans = cansOf(walls, lights, grid, 2 * geometry.wallMm);
  const surface = { reflectance: materials.lining.reflectance, mirrorShare: materials.lining.mirrorShare ?? 0 };
  const insides = {
    depthMm: geometry.depthInsideMm,
    back: surface,
    walls: surface,
    face: { reflectance: stack.innerReflectance, transmittance: stack.transmittance },
  };
  const known = cans.map((can) => inputs.trace(can, insides, limits.maxCells));
  const horizons = known.map((can) => can.horizons);
  const shown = directInCans(cans, horizons, grid, heightMm, view.towardNormal);
  const traced = reflectedInCans(cans, known, grid);
  const even = (tinted.luminanceShare * stack.transmittance) / Math.PI;
  const letters = coverage(outline, grid.area, grid.columns, grid.rows);
  const lit = coverage(inputs.lit, grid.area, grid.columns, grid.rows);
  let [direct, all] = [0, 0];
  for (let place = 0; place < shown.length; place += 1) {
    const straight = shown[place]! * tinted.luminanceShare;
    const bounced = letters[place]! > 0 ? traced.lux[place]! * even : 0;
    direct += straight;
    all += straight + bounced;
    shown[place] = straight + bounced;
  }
  if (view.imageShare > 0) addImages(shown, grid, lights, view.imageShare * tinted.luminanceShare);
  const ground = new Float32Array(shown);
  const counts = (index: number): boolean => lit[index]! > 0.5;
  const faces = judgeEvenness(ground, grid, runs, {
    counts,
    readingDistanceMm: brief.readingDistanceMm,
    borderMm: 0,
    // Dots are looked for along the strip, which turns with the letters.
    lines: true,
  });
  const evenness = withDots(faces, inputs, grid, ground, each, view, tinted.luminanceShare);
  const faceReflectance = faceReflectanceOf(stack, materials);
  const daylight = daylightOf(evenness.meanCdM2, faceReflectance);
  return {
    grid,
    luminance: ground,
    letters,
    hue: tinted.hue,
    drift: hueDriftOf(runs, share, materials.strip, grid),
    evenness,
    verdict: judge(evenness, daylight, brief),
    spots: findSpots(ground, grid, runs, evenness.meanCdM2, counts, false),
    daylight,
    faceReflectance,
    unlitRgb: [faceReflectance, faceReflectance, faceReflectance],
    emittedLm: traced.emittedLm,
    resolved: true,
    balance: {
      emittedLm: traced.emittedLm,
      outLm: traced.outLm,
      absorbedFaceLm: traced.absorbedFaceLm,
      absorbedCaseLm: traced.absorbedCaseLm,
    },
    errorShare: traced.outErrorShare,
    indirectShare: all > 0 ? 1 - direct / all : 0,
  };
};
