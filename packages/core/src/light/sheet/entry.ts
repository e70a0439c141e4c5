import { boundedCache } from '../../base/maths/index.js';
import { thrownBackAt } from './fresnel.js';
import type { ClearSheet, EdgeFit } from './types.js';

/** Directions in a sheet: azimuths of equal flux from the normal of the edge, each with slopes of equal flux across the sheet. */
export interface RayFan {
  /** Azimuths at the limits of `slopes.length` equal shares, ascending from 0 (rad). */
  readonly limits: Float64Array;
  /** For each share, tangents of the slope against the faces, each of the same flux. */
  readonly tangents: readonly Float64Array[];
}

/** What enters a sheet by an edge, and how it goes on. Shares of what the LED gives. */
export interface EdgeEntry {
  readonly entered: number;
  readonly thrownBack: number;
  readonly missed: number;
  readonly fan: RayFan;
}

interface Sample {
  readonly azimuth: number;
  readonly tangent: number;
  readonly flux: number;
}

/** Samples of equal flux each, as near as whole samples allow, by their mean. */
const shared = <T>(samples: readonly T[], fluxOf: (sample: T) => number, count: number): readonly (readonly T[])[] => {
  const total = samples.reduce((sum, sample) => sum + fluxOf(sample), 0);
  const groups: T[][] = Array.from({ length: count }, () => []);
  let passed = 0;
  for (const sample of samples) {
    const flux = fluxOf(sample);
    groups[Math.min(count - 1, Math.floor(((passed + flux / 2) / total) * count))]!.push(sample);
    passed += flux;
  }
  return groups;
};

const mean = (samples: readonly Sample[], of: (sample: Sample) => number): number => {
  const total = samples.reduce((sum, { flux }) => sum + flux, 0);
  return samples.reduce((sum, sample) => sum + of(sample) * sample.flux, 0) / total;
};

const fanOf = (samples: readonly Sample[], azimuths: number, slopes: number): RayFan => {
  const byAzimuth = [...samples].sort((a, b) => a.azimuth - b.azimuth);
  const groups = shared(byAzimuth, ({ flux }) => flux, azimuths);
  const last = byAzimuth.at(-1)?.azimuth ?? 0;
  const limits = Float64Array.from([0, ...groups.slice(1).map((group) => group[0]!.azimuth), last]);
  const tangents = groups.map((group) =>
    Float64Array.from(
      shared(
        [...group].sort((a, b) => a.tangent - b.tangent),
        ({ flux }) => flux,
        slopes,
      ).map((part) => mean(part, ({ tangent }) => tangent)),
    ),
  );
  return { limits, tangents };
};

/** What of an emitter meets the edge, where its rays have risen by `riseMm` on their way over the gap (share). */
const meets = (thicknessMm: number, { emitterMm, offsetMm }: EdgeFit, riseMm: number): number => {
  const low = Math.max(offsetMm - emitterMm / 2 + riseMm, -thicknessMm / 2);
  const high = Math.min(offsetMm + emitterMm / 2 + riseMm, thicknessMm / 2);
  return Math.max(0, high - low) / emitterMm;
};

/** Shares of azimuths that have slopes of their own. */
const azimuthShares = 64;
/** The fan of no light at all. */
const straightOn: RayFan = { limits: Float64Array.of(0, 0), tangents: [Float64Array.of(0)] };

/** Rings and sectors of a quarter of the disc of direction cosines. */
const rings = 120;
const sectors = 120;

const enter = (
  { index, thicknessMm }: Pick<ClearSheet, 'index' | 'thicknessMm'>,
  fit: EdgeFit,
  slopes: number,
): EdgeEntry => {
  const samples: Sample[] = [];
  const each = 1 / (rings * sectors);
  let [entered, thrownBack] = [0, 0];
  for (let ring = 0; ring < rings; ring += 1) {
    const radius = Math.sqrt((ring + 0.5) / rings);
    const forward = Math.sqrt(1 - radius * radius);
    const back = thrownBackAt(forward, 1 / index);
    for (let sector = 0; sector < sectors; sector += 1) {
      const angle = ((sector + 0.5) / sectors) * (Math.PI / 2);
      const [along, across] = [radius * Math.cos(angle), radius * Math.sin(angle)];
      const rise = (fit.gapMm * across) / forward;
      const share = (meets(thicknessMm, fit, rise) + meets(thicknessMm, fit, -rise)) / 2;
      const flux = each * share * (1 - back);
      entered += flux;
      thrownBack += each * share * back;
      if (flux === 0) continue;
      const [inAlong, inAcross] = [along / index, across / index];
      const inPlane = Math.sqrt(1 - inAcross * inAcross);
      samples.push({ azimuth: Math.asin(inAlong / inPlane), tangent: inAcross / inPlane, flux });
    }
  }
  // Where hardly anything enters there are few directions to tell apart.
  const shares = Math.max(1, Math.min(azimuthShares, Math.floor(samples.length / (4 * slopes))));
  const fan = samples.length === 0 ? straightOn : fanOf(samples, shares, samples.length < 4 * slopes ? 1 : slopes);
  return { entered, thrownBack, missed: 1 - entered - thrownBack, fan };
};

const entries = boundedCache<EdgeEntry>(16);

/**
 * Light of a Lambertian emitter that enters a sheet by a flat polished edge much longer than the gap. A Lambertian source is
 * even over the unit disc of the two direction cosines along the edge; the gap carries each ray up or down past the edge, the
 * edge throws some back (Fresnel), and refraction divides both cosines by the index. Rays in the sheet keep their own slopes:
 * a mean slope meets the faces at a wrong rate.
 */
export const edgeEntry = (sheet: Pick<ClearSheet, 'index' | 'thicknessMm'>, fit: EdgeFit, slopes = 8): EdgeEntry =>
  entries([sheet.index, sheet.thicknessMm, fit.emitterMm, fit.gapMm, fit.offsetMm, slopes].join(), () =>
    enter(sheet, fit, slopes),
  );

interface EdgeScatter {
  readonly kept: number;
  readonly fan: RayFan;
}

const scatterIn = (index: number, slopes: number): EdgeScatter => {
  const steepest = Math.sqrt(1 - 1 / (index * index));
  const samples: Sample[] = [];
  for (let ring = 0; ring < rings; ring += 1)
    for (let sector = 0; sector < sectors; sector += 1) {
      const radius = Math.sqrt((ring + 0.5) / rings);
      const angle = ((sector + 0.5) / sectors) * (Math.PI / 2);
      const [along, across] = [radius * Math.cos(angle), radius * Math.sin(angle)];
      if (across >= steepest) continue;
      const inPlane = Math.sqrt(1 - across * across);
      samples.push({ azimuth: Math.asin(along / inPlane), tangent: across / inPlane, flux: 1 });
    }
  return { kept: samples.length / (rings * sectors), fan: fanOf(samples, azimuthShares, slopes) };
};

const scatterings = boundedCache<EdgeScatter>(8);

/**
 * Light that an edge scatters back into the sheet as a Lambertian source there: the share that both faces keep by total
 * reflection, and its directions. The rest leaves by the faces beside the edge.
 */
export const edgeScatter = (index: number, slopes = 8): EdgeScatter =>
  scatterings([index, slopes].join(), () => scatterIn(index, slopes));
