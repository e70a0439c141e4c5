import { seededRandom } from '../../base/maths/index.js';
import { directionSampler, type PointSources } from '../photometry/index.js';
import { levelsOf, middlesOf } from './levels.js';
import { solidAt } from './open-share.js';
import type { LayeredScene } from './types.js';

/** The same light photon by photon: what falls on each surface (lm), and the standard error of each. */
export interface TracedScene {
  readonly photons: number;
  readonly outLm: number;
  readonly rimLm: number;
  /** By level, the back first, the opening last. */
  readonly frontLm: readonly number[];
  readonly rearLm: readonly number[];
  readonly errorLm: { readonly out: number; readonly front: readonly number[]; readonly rear: readonly number[] };
}

/** Below this weight a photon lives on by chance. */
const faint = 0.05;

/**
 * Follows photons through the sheets: straight on through what is cut out, thrown back or spread through what is solid.
 * An independent account of `lightScene`, with its own walk and no patches.
 */
export const traceScene = (scene: LayeredScene, sources: PointSources, photons: number, seed: number): TracedScene => {
  const levels = levelsOf(scene);
  const middles = middlesOf(levels);
  const last = levels.length - 1;
  const random = seededRandom(seed);
  const sample = directionSampler(sources.distribution);
  const { area } = scene.grid;
  const [halfX, halfY] = [area.width / 2, area.height / 2];
  const emitted = sources.fluxLm.reduce((sum, lm) => sum + lm, 0);
  const summed = new Float64Array(sources.count + 1);
  sources.fluxLm.forEach((flux, led) => (summed[led + 1] = summed[led]! + flux));
  const frontLm = new Float64Array(last + 1);
  const rearLm = new Float64Array(last + 1);
  const front2 = new Float64Array(last + 1);
  const rear2 = new Float64Array(last + 1);
  let [outLm, out2, rimLm] = [0, 0, 0];
  const each = emitted / photons;
  for (let photon = 0; photon < photons; photon += 1) {
    const wanted = random() * emitted;
    let [low, high] = [0, sources.count];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (summed[middle]! <= wanted) low = middle;
      else high = middle;
    }
    const { ahead, azimuthRad } = sample(random(), random());
    const aside = Math.sqrt(Math.max(0, 1 - ahead * ahead));
    const [nx, ny, nz] = [sources.nx[low]!, sources.ny[low]!, sources.nz[low]!];
    const [ux, uy, uz] = [sources.ux[low]!, sources.uy[low]!, sources.uz[low]!];
    const [across, up] = [aside * Math.cos(azimuthRad), aside * Math.sin(azimuthRad)];
    let vx = nx * ahead + ux * across + (ny * uz - nz * uy) * up;
    let vy = ny * ahead + uy * across + (nz * ux - nx * uz) * up;
    let vz = nz * ahead + uz * across + (nx * uy - ny * ux) * up;
    let [x, y, z] = [sources.x[low]!, sources.y[low]!, sources.z[low]!];
    let weight = each;
    const onFront = new Float64Array(last + 1);
    const onRear = new Float64Array(last + 1);
    let out = 0;
    for (let bounce = 0; bounce < 500; bounce += 1) {
      // To the rim.
      let far = Infinity;
      let wall = 0;
      if (vx !== 0) {
        far = ((vx > 0 ? halfX : -halfX) - x) / vx;
        wall = vx > 0 ? 2 : 1;
      }
      if (vy !== 0) {
        const other = ((vy > 0 ? halfY : -halfY) - y) / vy;
        if (other < far) {
          far = other;
          wall = vy > 0 ? 4 : 3;
        }
      }
      // To the sheets, one after the other.
      let met = -1;
      const upward = vz > 0;
      if (vz !== 0)
        for (let step = 0; step <= last; step += 1) {
          const level = upward ? step : last - step;
          const surface = upward ? levels[level]!.rearZMm : levels[level]!.frontZMm;
          if (upward ? surface <= z + 1e-9 : surface >= z - 1e-9) continue;
          const t = (surface - z) / vz;
          if (t > far) break;
          const solid = levels[level]!.solid;
          const tMiddle = (middles[level]! - z) / vz;
          if (solid === null || random() < solidAt(solid, scene.grid, x + tMiddle * vx, y + tMiddle * vy)) {
            met = level;
            far = t;
            break;
          }
        }
      x += far * vx;
      y += far * vy;
      z += far * vz;
      let [ax, ay, az] = [0, 0, 0];
      if (met < 0) {
        rimLm += weight;
        weight *= scene.rimReflects;
        if (wall === 1) ax = 1;
        else if (wall === 2) ax = -1;
        else if (wall === 3) ay = 1;
        else ay = -1;
      } else {
        if (upward) onRear[met]! += weight;
        else onFront[met]! += weight;
        if (met === last) {
          out += weight * scene.glazing.passes;
          weight *= scene.glazing.reflects;
          az = -1;
        } else if (met === 0) {
          weight *= scene.backReflects;
          az = 1;
        } else {
          const plane = scene.planes[met - 1]!;
          const reflects = upward ? plane.rearReflects : plane.frontReflects;
          const goesOn = reflects + plane.passes;
          const through = goesOn > 0 && random() * goesOn < plane.passes;
          weight *= goesOn;
          const looksUp = upward === through;
          az = looksUp ? 1 : -1;
          z = looksUp ? plane.frontZMm : plane.rearZMm;
        }
      }
      if (weight < faint * each) {
        if (!(weight > 0) || random() > 0.2) break;
        weight *= 5;
      }
      // On, by the cosine law about what it met.
      const q = random();
      const [on, off] = [Math.sqrt(1 - q), Math.sqrt(q)];
      const turn = 2 * Math.PI * random();
      const [c, s] = [off * Math.cos(turn), off * Math.sin(turn)];
      if (az !== 0) [vx, vy, vz] = [c, s, az * on];
      else if (ax !== 0) [vx, vy, vz] = [ax * on, c, s];
      else [vx, vy, vz] = [c, ay * on, s];
    }
    outLm += out;
    out2 += out * out;
    for (let level = 0; level <= last; level += 1) {
      frontLm[level]! += onFront[level]!;
      rearLm[level]! += onRear[level]!;
      front2[level]! += onFront[level]! ** 2;
      rear2[level]! += onRear[level]! ** 2;
    }
  }
  const error = (total: number, squares: number): number => Math.sqrt(Math.max(0, squares - (total * total) / photons));
  return {
    photons,
    outLm,
    rimLm,
    frontLm: [...frontLm],
    rearLm: [...rearLm],
    errorLm: {
      out: error(outLm, out2),
      front: [...frontLm].map((total, level) => error(total, front2[level]!)),
      rear: [...rearLm].map((total, level) => error(total, rear2[level]!)),
    },
  };
};
