import type { Grid } from '../../base/raster/index.js';
import type { DirectLight } from './direct.js';
import { levelsOf } from './levels.js';
import type { Exchange, Net, Surface } from './net.js';
import { coarser, coarserMask } from './open-share.js';
import { solveLinear } from '../../base/maths/index.js';
import type { LayeredScene } from './types.js';

const mm2PerM2 = 1e6;
/** What may stay unsettled, as a share of the first reflection. */
const tolerance = 3e-4;

/** Light settled between the patches. */
export interface SettledLight {
  readonly grid: Grid;
  /** What falls on places after at least one reflection (lx), by level: front and rear side. */
  readonly front: readonly Float32Array[];
  readonly rear: readonly Float32Array[];
  readonly outLm: number;
  readonly backLm: number;
  readonly rimLm: number;
  readonly backTakesLm: number;
  readonly planesTakeLm: readonly number[];
  readonly rimTakesLm: number;
  readonly glazingTakesLm: number;
  readonly reflectedLm: number;
}

/** Direct light summed over the patches, solid parts alone (lm). */
const firstLight = (scene: LayeredScene, direct: DirectLight, net: Net): Float64Array => {
  const first = new Float64Array(net.count);
  const { grid: fine } = direct;
  const { columns, rows } = net.grid;
  const cellM2 = (fine.cellWidthMm * fine.cellHeightMm) / mm2PerM2;
  const each = (fine.columns * fine.rows) / (columns * rows);
  const add = (own: Surface | null, lux: Float32Array, share: Float32Array | null): void => {
    if (own === null) return;
    const lm = lux.map((value, cell) => value * cellM2 * (share === null ? 1 : share[cell]!));
    coarser(lm, fine, columns, rows).forEach((mean, patch) => (first[own.start + patch]! += mean * each));
  };
  levelsOf(scene).forEach(({ solid }, at) => {
    const share = solid === null ? null : coarserMask(solid, scene.grid, fine.columns, fine.rows);
    add(net.fronts[at]!, direct.front[at]!, share);
    add(net.rears[at]!, direct.rear[at]!, share);
  });
  let place = 0;
  for (const { start, count } of net.rims.flat())
    for (let piece = 0; piece < count; piece += 1) first[start + piece]! += direct.rimLm[place++]!;
  return first;
};

/** What of each patch is solid. */
const solidOf = (net: Net, surfaces: readonly Surface[]): Float64Array => {
  const solid = new Float64Array(net.count);
  for (const { start, count, solid: own } of surfaces)
    for (let patch = 0; patch < count; patch += 1) solid[start + patch] = own === null ? 1 : own[patch]!;
  return solid;
};

/** Adds to every patch the sum over its pairs of exchange areas times what the other end has. */
const addSeen = (into: Float64Array, { patch, starts, others, areas }: Exchange, has: Float64Array): Float64Array => {
  for (let row = 0; row < patch.length; row += 1) {
    const own = patch[row]!;
    const back = has[own]!;
    const end = starts[row + 1]!;
    let arrives = 0;
    for (let at = starts[row]!; at < end; at += 1) {
      const [other, area] = [others[at]!, areas[at]!];
      arrives += area * has[other]!;
      into[other]! += area * back;
    }
    into[own]! += arrives;
  }
  return into;
};

/**
 * Diffuse exchange in the gaps between sheets, with the rim, and through what is cut out of them. What a patch sends is made
 * to arrive whole, so that energy is conserved.
 */
export const settleScene = (scene: LayeredScene, direct: DirectLight, net: Net): SettledLight => {
  const { fronts, rears, rims, count } = net;
  const surfaces = [...fronts, ...rears, ...rims.flat()].filter((each): each is Surface => each !== null);
  const solid = solidOf(net, surfaces);
  const first = firstLight(scene, direct, net);
  const seen = (has: Float64Array): Float64Array => addSeen(new Float64Array(count), net.exchange, has);
  /** What each patch sees of solid surfaces: its light is shared out by that. */
  const sent = addSeen(seen(solid), net.besides, solid);

  const reflected = (incident: Float64Array): Float64Array => {
    const leaving = new Float64Array(count);
    for (const { start, count: patches, reflects } of surfaces)
      for (let patch = start; patch < start + patches; patch += 1) leaving[patch] = incident[patch]! * reflects;
    scene.planes.forEach(({ passes }, at) => {
      if (passes === 0) return;
      const [front, rear] = [fronts[at + 1]!, rears[at + 1]!];
      for (let patch = 0; patch < front.count; patch += 1) {
        leaving[front.start + patch]! += incident[rear.start + patch]! * passes;
        leaving[rear.start + patch]! += incident[front.start + patch]! * passes;
      }
    });
    return leaving;
  };
  const shared = (leaving: Float64Array): Float64Array =>
    leaving.map((lm, patch) => (sent[patch]! > 0 ? lm / sent[patch]! : 0));
  const arrives = (leaving: Float64Array): Float64Array =>
    seen(shared(leaving)).map((value, patch) => value * solid[patch]!);

  const once = reflected(first);
  // Where a cell of direct light reaches over the edge of a patch, some falls on one that has nothing solid: it is sent on once.
  const aside = addSeen(new Float64Array(count), net.besides, shared(once)).map(
    (value, patch) => value * solid[patch]!,
  );
  const begun = reflected(aside).map((lm, patch) => lm + once[patch]!);
  const leaving = solveLinear((lm) => reflected(arrives(lm)), begun, tolerance);
  /** Light that reaches places per square millimetre, solid or not. */
  const shares = shared(leaving);
  const onto = addSeen(seen(shares), net.besides, shares);
  const later = onto.map((value, patch) => value * solid[patch]!);
  const all = first.map((lm, patch) => lm + later[patch]!);
  const over = ({ start, count: patches }: Surface): number =>
    all.subarray(start, start + patches).reduce((sum, lm) => sum + lm, 0);
  const last = fronts.length - 1;
  const [backLm, frontLm] = [over(fronts[0]!), over(rears[last]!)];
  const rimLm = rims.flat().reduce((sum, each) => sum + over(each), 0);
  const mapOf = (own: Surface | null): Float32Array =>
    own === null
      ? new Float32Array(net.grid.columns * net.grid.rows)
      : Float32Array.from(onto.subarray(own.start, own.start + own.count), (value) => (value * mm2PerM2) / own.areaMm2);
  return {
    grid: net.grid,
    front: fronts.map(mapOf),
    rear: rears.map(mapOf),
    outLm: frontLm * scene.glazing.passes,
    glazingTakesLm: frontLm * (1 - scene.glazing.passes - scene.glazing.reflects),
    backLm,
    rimLm,
    backTakesLm: backLm * (1 - scene.backReflects),
    planesTakeLm: scene.planes.map(
      (plane, at) =>
        over(fronts[at + 1]!) * (1 - plane.frontReflects - plane.passes) +
        over(rears[at + 1]!) * (1 - plane.rearReflects - plane.passes),
    ),
    rimTakesLm: rimLm * (1 - scene.rimReflects),
    reflectedLm: later.reduce((sum, lm) => sum + lm, 0),
  };
};
