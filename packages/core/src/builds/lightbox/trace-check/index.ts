import type { BoxEvaluation } from '../../../sign/evaluate/types.js';
import { colourOf, emittersOf } from '../../../light/glow/index.js';
import { rectRing } from '../../../base/outlines/index.js';
import { gridOver } from '../../../base/raster/index.js';
import { createTracer, type Scene, type Traced } from '../../../light/tracing/index.js';

/** Light of a design traced photon by photon, beside what patches gave. */
export interface TraceReport {
  readonly photons: number;
  readonly done: boolean;
  /** Standard errors, as shares: of all the light that leaves, and of one cell of 1/24 of the face’s width. */
  readonly outErrorShare: number;
  readonly cellErrorShare: number;
  readonly outLm: number;
  readonly patchesOutLm: number;
  /** Share of the light on the face that has been reflected at least once. */
  readonly reflectedShare: number;
  readonly patchesReflectedShare: number;
  /** Darkest cell over the mean of the light on the face. */
  readonly minOverMean: number;
  /** Emitted less everything accounted for, over emitted: what chance has made of the balance so far. */
  readonly imbalanceShare: number;
  /** How far both are apart, in standard errors of the tracing and as a share. */
  readonly apartShare: number;
}

const cellsAcross = 24;
/** Photons between reports: a few tens of milliseconds, so that a stop is heard at once. */
const photonsAStep = 4000;
const enoughError = 0.001;
const mostPhotons = 600_000;

/** The case of an evaluation as a scene for tracing: mirror shares and all. */
export const sceneOf = (evaluation: BoxEvaluation, seed: number): Scene => {
  const { geometry, materials, runs, circuit, design, distribution, stack } = evaluation;
  const { widthMm, heightMm } = geometry.inside;
  const area = { x: -widthMm / 2, y: -heightMm / 2, width: widthMm, height: heightMm };
  const { lumensPerM } = colourOf(design.brief.light, materials.strip);
  const lining = { reflectance: materials.lining.reflectance, mirrorShare: materials.lining.mirrorShare ?? 0 };
  return {
    outline: [rectRing(area)],
    depthMm: geometry.lightDepthMm,
    back: lining,
    walls: lining,
    face: { reflectance: stack.innerReflectance, transmittance: stack.transmittance },
    block: geometry.block,
    lights: emittersOf(runs, lumensPerM / materials.strip.ledsPerM, circuit.fluxShare, distribution, false),
    grid: gridOver(area, cellsAcross, Math.max(4, Math.round((cellsAcross * heightMm) / widthMm))),
    seed,
  };
};

const reportOf = (traced: Traced, { glow }: BoxEvaluation, done: boolean): TraceReport => {
  const cells = traced.directLux.map((lux, cell) => lux + traced.reflectedLux[cell]!);
  const mean = cells.reduce((sum, lux) => sum + lux, 0) / Math.max(1, cells.length);
  const direct = traced.directLux.reduce((sum, lux) => sum + lux, 0) / Math.max(1, cells.length);
  const accounted = traced.outLm + traced.absorbedCaseLm + traced.absorbedFaceLm;
  return {
    photons: traced.photons,
    done,
    outErrorShare: traced.outErrorShare,
    cellErrorShare: traced.cellErrorShare,
    outLm: traced.outLm,
    patchesOutLm: glow.balance.outLm,
    reflectedShare: mean > 0 ? 1 - direct / mean : 0,
    patchesReflectedShare: glow.indirectShare,
    minOverMean: mean > 0 ? cells.reduce((least, lux) => Math.min(least, lux), Infinity) / mean : 0,
    imbalanceShare: traced.emittedLm > 0 ? Math.abs(traced.emittedLm - accounted) / traced.emittedLm : 0,
    apartShare: glow.balance.outLm > 0 ? traced.outLm / glow.balance.outLm - 1 : 0,
  };
};

/**
 * Traces the light of a design, report by report, until the error of all that leaves is below 0.1 % or the photons run
 * out. What patches cannot know, a lining that is partly a mirror, shows as a difference.
 */
export function* traceCheck(evaluation: BoxEvaluation, seed = 1): Generator<TraceReport, void> {
  const tracer = createTracer(sceneOf(evaluation, seed));
  for (let photons = 0; photons < mostPhotons; photons += photonsAStep) {
    tracer.step(photonsAStep);
    const found = tracer.found();
    const last =
      photons + photonsAStep >= mostPhotons || (photons > 10 * photonsAStep && found.outErrorShare < enoughError);
    yield reportOf(found, evaluation, last);
    if (last) return;
  }
}
