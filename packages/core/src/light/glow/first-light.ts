import { clamp, evenPoint, roundOff } from '../../base/maths/index.js';
import { directionSampler, type Distribution, type PointSources } from '../photometry/index.js';
import { addSeenFrom, patchHit, type Enclosure, type SmallArea } from '../radiosity/index.js';

/** Beyond so many LEDs neighbours are taken together for the closed forms, each of which costs as much as many rays. */
const mostClosed = 800;
/** They then lie within this share of the depth: less than light in a case changes over. */
const togetherDepths = 0.5;
/** Whether the first light of LEDs has a closed form: Lambert’s has. Else it takes rays, of which small patches get too few. */
export const hasClosedForm = (distribution: Distribution): boolean =>
  distribution.kind === 'cosine' && Math.abs(distribution.exponent - 1) < roundOff;

/** The way LEDs look, where that is along an axis. */
const axisOf = ({ nx, ny, nz }: PointSources, led: number): Pick<SmallArea, 'axis' | 'sign'> | null => {
  const way = [nx[led]!, ny[led]!, nz[led]!];
  const axis = way.findIndex((part) => Math.abs(part) > 1 - roundOff);
  return axis < 0 ? null : { axis: axis as 0 | 1 | 2, sign: way[axis]! > 0 ? 1 : -1 };
};

/** LEDs from one on, up to another or the first that looks another way or stands too far off, at their centre of light. */
const centreOf = (
  { x, y, z, nx, ny, nz, fluxLm }: PointSources,
  from: number,
  most: number,
  mostMm: number,
): { readonly at: SmallArea['at']; readonly flux: number; readonly to: number } => {
  let [flux, sumX, sumY, sumZ] = [0, 0, 0, 0];
  let to = from;
  for (; to < most; to += 1) {
    const far = Math.hypot(x[to]! - x[from]!, y[to]! - y[from]!, z[to]! - z[from]!);
    if (far > mostMm || nx[to] !== nx[from] || ny[to] !== ny[from] || nz[to] !== nz[from]) break;
    flux += fluxLm[to]!;
    sumX += fluxLm[to]! * x[to]!;
    sumY += fluxLm[to]! * y[to]!;
    sumZ += fluxLm[to]! * z[to]!;
  }
  const centre = [sumX / flux, sumY / flux, sumZ / flux] as const;
  return { at: flux > 0 ? centre : [x[from]!, y[from]!, z[from]!], flux, to };
};

/** Rays of one LED, each with its share of the light: an even (quasi-random, repeatable) spread of the density of the light. */
const rayed = (emitters: PointSources, enclosure: Enclosure, each: number) => {
  const sample = directionSampler(emitters.distribution);
  return (received: Float64Array, source: number): void => {
    const [nx, ny, nz] = [emitters.nx[source]!, emitters.ny[source]!, emitters.nz[source]!];
    const [ux, uy, uz] = [emitters.ux[source]!, emitters.uy[source]!, emitters.uz[source]!];
    const [vx, vy, vz] = [ny * uz - nz * uy, nz * ux - nx * uz, nx * uy - ny * ux];
    const [x, y, z] = [emitters.x[source]!, emitters.y[source]!, emitters.z[source]!];
    const share = emitters.fluxLm[source]! / each;
    for (let ray = 0; ray < each; ray += 1) {
      const [a, b] = evenPoint(source * each + ray);
      const { ahead, azimuthRad } = sample(a, b);
      const aside = Math.sqrt(Math.max(0, 1 - ahead * ahead));
      const [across, up] = [aside * Math.cos(azimuthRad), aside * Math.sin(azimuthRad)];
      const patch = patchHit(
        enclosure,
        x,
        y,
        z,
        nx * ahead + ux * across + vx * up,
        ny * ahead + uy * across + vy * up,
        nz * ahead + uz * across + vz * up,
      );
      received[patch]! += share;
    }
  };
};

/**
 * Flux (lm) that each patch of the case receives straight from the LEDs: in closed form in an empty case where they shine by
 * Lambert’s law along an axis, else by about `rays` rays. Either way all of it lands, so that the shares add up to what is
 * emitted.
 */
export const firstLight = (emitters: PointSources, enclosure: Enclosure, rays: number): Float64Array => {
  const received = new Float64Array(enclosure.count);
  const { count } = emitters;
  const throwRays = rayed(emitters, enclosure, clamp(Math.ceil(rays / Math.max(1, count)), 8, 8192));
  const closed = enclosure.block === null && hasClosedForm(emitters.distribution);
  const together = Math.max(1, Math.ceil(count / mostClosed));
  const mostMm = togetherDepths * enclosure.box.depthMm;
  for (let from = 0; from < count;) {
    const looks = closed ? axisOf(emitters, from) : null;
    if (looks === null) {
      throwRays(received, from);
      from += 1;
      continue;
    }
    const { at, flux, to } = centreOf(emitters, from, Math.min(count, from + together), mostMm);
    for (const panel of enclosure.panels) addSeenFrom(received, panel, { at, ...looks }, flux);
    from = to;
  }
  return received;
};
