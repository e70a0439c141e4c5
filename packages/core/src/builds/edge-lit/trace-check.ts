import { seededRandom, sum } from '../../base/maths/index.js';
import { traceSlab, type SlabTrace } from '../../light/sheet/index.js';
import type { TraceReport } from '../common/trace-report.js';
import { workedOf } from './areas.js';
import { behindOf } from './look.js';
import type { PanelResults } from './results.js';
import { clearSheetOf, edgeFitOf, edgeLedsOf, letsInOf } from './sheet-light.js';
import { gradedOver, layersOver, rasterOver, workedFaces } from './worked.js';

/** Cells along the sheet, photons between reports, and how many there are at most. */
const cellsAlong = 60;
const photonsAStep = 6000;
const mostPhotons = 240_000;
const enoughError = 0.004;

type Tally = Omit<SlabTrace, 'byCell'>;
const nothing: Tally = { photons: 0, out: 0, missed: 0, thrownBack: 0, edges: 0, faces: 0, lost: 0 };

/** Two tallies as one, each by its photons. */
const together = (one: Tally, other: Tally): Tally => {
  const photons = one.photons + other.photons;
  const mean = (of: keyof Tally): number => (one[of] * one.photons + other[of] * other.photons) / photons;
  return {
    photons,
    out: mean('out'),
    missed: mean('missed'),
    thrownBack: mean('thrownBack'),
    edges: mean('edges'),
    faces: mean('faces'),
    lost: mean('lost'),
  };
};

const reportOf = (found: Tally, { glow, assembly }: PanelResults, done: boolean): TraceReport => {
  const { workedLm, paintLm } = glow;
  // Photons know flat edges alone: what a rough one scatters beside itself is none of theirs.
  const emittedLm = glow.emittedLm * letsInOf(assembly.sheet);
  const error = (share: number): number => (share > 0 ? Math.sqrt(((1 - share) * share) / found.photons) / share : 1);
  const quickOut = workedLm + paintLm;
  const quick = (lm: number): number => (emittedLm > 0 ? lm / emittedLm : 0);
  return {
    photons: found.photons,
    done,
    outErrorShare: error(found.out),
    cellErrorShare: error(found.out / cellsAlong),
    outLm: found.out * emittedLm,
    quickOutLm: quickOut,
    shares: [
      { what: 'out at the edges', traced: found.edges + found.faces, quick: quick(sum(Object.values(glow.edgesLm))) },
      { what: 'past the lit edge', traced: found.missed, quick: glow.entry.missed },
      { what: 'lost in the sheet', traced: found.lost, quick: quick(glow.lostLm) },
    ],
    minOverMean: 0,
    imbalanceShare: Math.abs(1 - found.out - found.missed - found.thrownBack - found.edges - found.faces - found.lost),
    apartShare: quickOut > 0 ? (found.out * emittedLm) / quickOut - 1 : 0,
  };
};

/** Follows single photons through the sheet of a design, report by report, until the error is small or they run out. */
export function* panelTrace(results: PanelResults, seed = 1): Generator<TraceReport, void> {
  const { assembly, geometry, materials, runs, share, design } = results;
  const { sheet } = geometry;
  const raster = rasterOver(sheet, cellsAlong);
  const areas = workedOf(results.areas);
  const { faces } = workedFaces(
    raster,
    layersOver(areas, sheet, raster),
    areas.map(({ artwork }) => gradedOver(artwork, sheet, raster)),
    behindOf(assembly.sheet, materials.pane) === 'painted',
  );
  const clear = clearSheetOf(assembly, materials, geometry);
  const fit = edgeFitOf(assembly, materials);
  const leds = edgeLedsOf(runs, share, geometry, materials, design.brief.light, assembly.sheet);
  const random = seededRandom(seed);
  let found = nothing;
  for (;;) {
    found = together(found, traceSlab(clear, fit, leds, faces, photonsAStep, random));
    const { outErrorShare } = reportOf(found, results, false);
    const done = found.photons >= mostPhotons || (found.photons > 5 * photonsAStep && outErrorShare < enoughError);
    yield reportOf(found, results, done);
    if (done) return;
  }
}
