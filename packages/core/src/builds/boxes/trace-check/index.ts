import type { TraceReport } from '../../common/trace-report.js';
import type { BoxResults } from '../results.js';
import { colourOf, emittersOf } from '../../../light/glow/index.js';
import { rectRing } from '../../../base/outlines/index.js';
import { gridOver } from '../../../base/raster/index.js';
import { createTracer, type Scene, type Traced } from '../../../light/tracing/index.js';

const cellsAcross = 24;
/** Photons between reports: a few tens of milliseconds, so that a stop is heard at once. */
const photonsAStep = 4000;
const enoughError = 0.001;
const mostPhotons = 600_000;

/** The case of an evaluation as a scene for tracing: mirror shares and all. */
export const sceneOf = (evaluation: BoxResults, seed: number): Scene => {
  const { geometry, materials, runs, share, design, distribution, stack } = evaluation;
  const { widthMm, heightMm } = geometry.inside;
  const area = { x: -widthMm / 2, y: -heightMm / 2, width: widthMm, height: heightMm };
  const { lumensPerM } = colourOf(design.brief.light, materials.strip);
  const lining = { reflectance: materials.lining.reflectance, mirrorShare: materials.lining.mirrorShare ?? 0 };
  return {
    outline: [rectRing(area)],
    depthMm: geometry.lightDepthMm,
    back: lining,
    walls: lining,
    face: { reflectance: stack.innerReflectance, transmittance: stack.transmittance * stack.openShare },
    block: geometry.block,
    lights: emittersOf(runs, lumensPerM / materials.strip.ledsPerM, share.fluxShare, distribution, false),
    grid: gridOver(area, cellsAcross, Math.max(4, Math.round((cellsAcross * heightMm) / widthMm))),
    seed,
  };
};

const reportOf = (traced: Traced, { glow }: BoxResults, done: boolean): TraceReport => {
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
    quickOutLm: glow.balance.outLm,
    shares: [{ what: 'reflected', traced: mean > 0 ? 1 - direct / mean : 0, quick: glow.indirectShare }],
    minOverMean: mean > 0 ? cells.reduce((least, lux) => Math.min(least, lux), Infinity) / mean : 0,
    imbalanceShare: traced.emittedLm > 0 ? Math.abs(traced.emittedLm - accounted) / traced.emittedLm : 0,
    apartShare: glow.balance.outLm > 0 ? traced.outLm / glow.balance.outLm - 1 : 0,
  };
};

/**
 * Traces the light of a design, report by report, until the error of all that leaves is below 0.1 % or the photons run
 * out. What patches cannot know, a lining that is partly a mirror, shows as a difference.
 */
export function* traceCheck(evaluation: BoxResults, seed = 1): Generator<TraceReport, void> {
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
