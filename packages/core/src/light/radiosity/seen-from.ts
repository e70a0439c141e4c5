import type { Panel } from './patches.js';

type Place = readonly [number, number, number];

/** A small flat area: where it is, the axis that its normal lies along (0 x, 1 y, 2 z), and which way along it. */
export interface SmallArea {
  readonly at: Place;
  readonly axis: 0 | 1 | 2;
  readonly sign: 1 | -1;
}

/** Nothing is seen edge on from nearer than this (mm). */
const hairMm = 1e-3;

/**
 * Corner function of the light that a small Lambertian area sends to a rectangle parallel to it (Howell, B-3): u and v from
 * the foot of its normal, `away` along it.
 */
const parallelCorner = (u: number, v: number, away: number): number => {
  const [alongU, alongV] = [Math.sqrt(away * away + u * u), Math.sqrt(away * away + v * v)];
  return (u / alongU) * Math.atan(v / alongU) + (v / alongV) * Math.atan(u / alongV);
};

/** The same to a rectangle at a right angle (Howell, B-4): v along it, `ahead` along the normal, `aside` of it. */
const perpendicularCorner = (v: number, ahead: number, aside: number): number => {
  const away = Math.sqrt(ahead * ahead + aside * aside);
  return (-aside / away) * Math.atan(v / away);
};

/** Room for the corners of one panel, used again and again: an array for each would cost as much as the sums. */
let scratch = new Float64Array(0);

/**
 * Adds `flux` of a small Lambertian area to the patches of a panel by their shares, in closed form: what is behind the
 * area gets none. Over a closed case the shares add up to one. Mutates `received`.
 */
export const addSeenFrom = (
  received: Float64Array,
  panel: Panel,
  { at, axis, sign }: SmallArea,
  flux: number,
): void => {
  const { a, b, aEdges, bEdges, aCount, bCount, start } = panel;
  const across = (3 - a - b) as 0 | 1 | 2;
  const parallel = across === axis;
  const away = panel.at - at[across];
  if (parallel && sign * away <= 0) return;
  const distance = Math.max(hairMm, Math.abs(away));
  /** Along one axis of the panel: how far ahead of the area where that is its normal, else how far aside. */
  const from = (edge: number, of: 0 | 1 | 2): number =>
    of === axis ? Math.max(0, sign * (edge - at[of])) : edge - at[of];
  const wide = aCount + 1;
  if (scratch.length < wide * (bCount + 1)) scratch = new Float64Array(wide * (bCount + 1));
  const corners = scratch;
  for (let j = 0; j <= bCount; j += 1) {
    const v = from(bEdges[j]!, b);
    for (let i = 0; i <= aCount; i += 1) {
      const u = from(aEdges[i]!, a);
      corners[j * wide + i] = parallel
        ? parallelCorner(u, v, distance)
        : a === axis
          ? perpendicularCorner(v, u, distance)
          : perpendicularCorner(u, v, distance);
    }
  }
  const scale = flux / (2 * Math.PI);
  for (let j = 0; j < bCount; j += 1)
    for (let i = 0; i < aCount; i += 1) {
      const corner = j * wide + i;
      const share = corners[corner]! - corners[corner + 1]! - corners[corner + wide]! + corners[corner + wide + 1]!;
      received[start + j * aCount + i]! += scale * Math.abs(share);
    }
};
