import type { Materials } from '../catalogue/index.js';
import type { Circuit } from '../circuit/index.js';
import type { Artwork, Brief } from '../design/index.js';
import type { CaseGeometry } from '../geometry/index.js';
import type { LightRuns } from '../light-runs/index.js';
import { coverage, type Outline } from '../outlines/index.js';
import { ambientLux, ambients } from './ambient.js';
import { colourOf } from './colour.js';
import { faceView } from './configuration.js';
import { diffuserOf } from './diffuser.js';
import { directLuminance } from './direct.js';
import { emittersOf, type Emitters } from './emitters.js';
import { judgeEvenness } from './evenness.js';
import { firstLight } from './first-light.js';
import { sides, type Box } from './form-factors.js';
import { chooseGrid, coarsestCell, rowsAreLines, type GridWish } from './grid.js';
import { settle, type SettledLight } from './interreflection.js';
import type { Daylight, Glow, Grid } from './types.js';

export { ambientLux, ambients } from './ambient.js';
export { colourOf, luminanceOf, planckianRgb, type LinearRgb } from './colour.js';
export { cosineExponent } from './emitters.js';
export { contrastSensitivity, contrastThreshold, vanishingDistance } from './eye.js';
export { boxFactors, parallelFactor, perpendicularFactor, sideAreas, sides } from './form-factors.js';
export { fullGrid, previewGrid, type GridWish } from './grid.js';
export { settle } from './interreflection.js';
export { findRipple } from './ripple.js';
export type { Daylight, Evenness, FluxBalance, Glow, Grid, Ripple } from './types.js';

/** Half the face's outer surface reflection that is there whatever the sheet (both surfaces of n = 1.49). */
const surfaceReflectance = 0.04;

/** What the glow stage works from. */
export interface GlowInputs {
  readonly brief: Brief;
  readonly mode: Artwork['mode'];
  readonly geometry: CaseGeometry;
  readonly materials: Materials;
  readonly runs: LightRuns;
  readonly circuit: Circuit;
  readonly lettering: Outline;
  readonly wish: GridWish;
}

/** Reflected light on each cell of the face (lx), from sides each evenly bright; scaled to carry exactly `fluxLm`. */
const reflectedIlluminance = (grid: Grid, box: Box, { radiosity }: SettledLight, fluxLm: number): Float64Array => {
  const view = faceView(grid, box);
  const [back, , left, right, bottom, top] = radiosity as [number, number, number, number, number, number];
  const { columns, rows } = grid;
  const map = new Float64Array(columns * rows);
  let sum = 0;
  for (let row = 0, at = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1, at += 1) {
      const toLeft = view.left[at]!;
      const toRight = view.left[row * columns + (columns - 1 - column)]!;
      const toBottom = view.bottom[at]!;
      const toTop = view.bottom[(rows - 1 - row) * columns + column]!;
      const rest = 1 - toLeft - toRight - toBottom - toTop;
      const lux = left * toLeft + right * toRight + bottom * toBottom + top * toTop + back * rest;
      map[at] = lux;
      sum += lux;
    }
  const carried = (sum * grid.cellWidthMm * grid.cellHeightMm) / 1e6;
  const scale = carried > 0 ? fluxLm / carried : 0;
  return map.map((lux) => lux * scale);
};

const daylightOf = (meanCdM2: number, faceReflectance: number): readonly Daylight[] =>
  ambients.map((ambient) => {
    const lux = ambientLux[ambient];
    const unlit = (lux * faceReflectance) / Math.PI;
    return { ambient, lux, litOverUnlit: (meanCdM2 + unlit) / unlit };
  });

/** Daylight given back by face and case together: the face's own share, and what enters, bounces and comes out again. */
const faceReflectanceOf = ({ face, lining }: Materials): number =>
  Math.min(
    0.95,
    surfaceReflectance +
      face.reflectance +
      (face.transmittance ** 2 * lining.reflectance) / (1 - face.reflectance * lining.reflectance),
  );

interface Settled {
  readonly emittedLm: number;
  readonly light: SettledLight;
  readonly reflectedOnFaceLm: number;
}

const settleCase = (emitters: Emitters, box: Box, { face, lining }: Materials): Settled => {
  const first = firstLight(emitters, box);
  const finishes = sides.map((side) =>
    side === 'face'
      ? { reflectance: face.reflectance, transmittance: face.transmittance }
      : { reflectance: lining.reflectance, transmittance: 0 },
  );
  const light = settle(box, first, finishes);
  return {
    emittedLm: emitters.fluxLm.reduce((sum, flux) => sum + flux, 0),
    light,
    reflectedOnFaceLm: (light.incidentLm[1] ?? 0) - (first[1] ?? 0),
  };
};

/**
 * The glow stage: luminance of the face toward a viewer on the normal, and what the eye makes of it. Direct light is an
 * exact sum over the LEDs; reflected light is zonal (see `interreflection.ts`); letters are a coverage map.
 */
export const glowOf = (inputs: GlowInputs): Glow => {
  const { geometry, materials, runs, circuit, brief } = inputs;
  const { strip, face, lining } = materials;
  const box: Box = geometry.inside;
  const diffuser = diffuserOf(face);
  const lines = rowsAreLines(runs, diffuser.imageShare > 0);
  const colour = colourOf(brief.light);
  const fluxPerLedLm = (strip.lumensPerM / strip.ledsPerM) * colour.fluxShare;
  const emitters = emittersOf(runs, fluxPerLedLm, circuit.fluxShare, strip.beamAngleDeg, lines);
  const grid = chooseGrid(box.widthMm, box.heightMm, runs, lines, emitters.count, inputs.wish);
  const direct = directLuminance(emitters, grid, box.depthMm, diffuser);
  const { emittedLm, light, reflectedOnFaceLm } = settleCase(emitters, box, materials);
  const reflected = reflectedIlluminance(grid, box, light, reflectedOnFaceLm);
  const ground = Float32Array.from(direct, (own, at) => own + (reflected[at]! * face.transmittance) / Math.PI);
  const letters = coverage(inputs.lettering, grid.area, grid.columns, grid.rows);
  const hasLetters = letters.some((share) => share > 0.5);
  const litLetters = inputs.mode === 'lit-letters' && hasLetters;
  const counts = (index: number): boolean => !hasLetters || letters[index]! > 0.5 === litLetters;
  const evenness = judgeEvenness(ground, grid, runs, {
    counts,
    readingDistanceMm: brief.readingDistanceMm,
    borderMm: face.thicknessMm,
    lines,
  });
  const onFace = light.incidentLm[1] ?? 0;
  const faceReflectance = faceReflectanceOf(materials);
  return {
    grid,
    ground,
    letters,
    balance: {
      emittedLm,
      outLm: onFace * face.transmittance,
      absorbedFaceLm: onFace * (1 - face.transmittance - face.reflectance),
      absorbedCaseLm: light.incidentLm.reduce(
        (sum, flux, side) => sum + (side === 1 ? 0 : flux * (1 - lining.reflectance)),
        0,
      ),
    },
    indirectShare: onFace > 0 ? reflectedOnFaceLm / onFace : 0,
    evenness,
    daylight: daylightOf(evenness.meanCdM2, faceReflectance),
    faceReflectance,
    resolved: Math.max(grid.cellWidthMm, grid.cellHeightMm) <= coarsestCell(runs, lines) * 1.3,
  };
};
