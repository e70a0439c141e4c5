import { roundOff } from '../maths/index.js';
import type { Point, Ring } from '../outlines/types.js';

/** A corner of a closed line, and how the way to the next one bows: the tangent of a quarter of its angle, 0 when straight. */
export interface BulgedPoint {
  readonly at: Point;
  readonly bulge: number;
}

/** A closed line with its arcs found again: a whole circle, or corners with straight and round ways between them. */
export type ArcRing =
  | { readonly kind: 'circle'; readonly centre: Point; readonly radius: number }
  | { readonly kind: 'line'; readonly points: readonly BulgedPoint[] };

/** Points of an arc stand off its circle by no more (mm): rounding to micrometres, twice over. */
const offMm = 0.004;
/** Chords of an arc stand off it by no more (mm); what is coarser was drawn with corners. */
const sagittaMm = 0.022;
const leastChords = 4;
/** An arc runs no farther round than this, so that its bulge stays sound (rad). */
const mostSweep = 1.8 * Math.PI;

interface Circle {
  readonly centre: Point;
  readonly radius: number;
}

const circleThrough = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): Circle | null => {
  const twice = 2 * ((bx - ax) * (cy - ay) - (by - ay) * (cx - ax));
  if (Math.abs(twice) < roundOff) return null;
  const [p, q] = [(bx - ax) * (bx + ax) + (by - ay) * (by + ay), (cx - ax) * (cx + ax) + (cy - ay) * (cy + ay)];
  const centre: Point = [((cy - ay) * p - (by - ay) * q) / twice, ((bx - ax) * q - (cx - ax) * p) / twice];
  return { centre, radius: Math.hypot(ax - centre[0], ay - centre[1]) };
};

/** Angle from one point of a circle to another, the way round that `sign` says. */
const sweepBetween = ({ centre }: Circle, from: Point, to: Point, sign: number): number => {
  const angle = Math.atan2(to[1] - centre[1], to[0] - centre[0]) - Math.atan2(from[1] - centre[1], from[0] - centre[0]);
  const turns = sign > 0 ? (angle < 0 ? angle + 2 * Math.PI : angle) : angle > 0 ? angle - 2 * Math.PI : angle;
  return turns;
};

const turnSign = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
  Math.sign((bx - ax) * (cy - by) - (by - ay) * (cx - bx));

/** The circle that the points from `from` to `to` all stand on, chords fine enough; `null` when there is none. */
const sharedCircle = (points: Ring, from: number, to: number): Circle | null => {
  const circle = circleThrough(points[from]!, points[(from + to) >> 1]!, points[to]!);
  if (circle === null) return null;
  const { centre, radius } = circle;
  const sign = turnSign(points[from]!, points[from + 1]!, points[from + 2]!);
  for (let at = from; at <= to; at += 1) {
    const [x, y] = points[at]!;
    if (Math.abs(Math.hypot(x - centre[0], y - centre[1]) - radius) > offMm) return null;
    if (at === from) continue;
    const chord = Math.hypot(x - points[at - 1]![0], y - points[at - 1]![1]);
    if (chord * chord > 8 * radius * sagittaMm) return null;
    if (at > from + 1 && turnSign(points[at - 2]!, points[at - 1]!, points[at]!) !== sign) return null;
  }
  return circle;
};

/** A turn this sharp is a corner (rad). */
const corner = 0.5;

/** Where a ring may be begun without cutting an arc in two: its sharpest corner, or else the end of its longest straight. */
const beginAt = (ring: Ring): number => {
  let [sharpest, cornerAt, longest, straightTo] = [corner, -1, 0, 0];
  ring.forEach((b, at) => {
    const [a, c] = [ring[(at + ring.length - 1) % ring.length]!, ring[(at + 1) % ring.length]!];
    const [inX, inY, outX, outY] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
    const turn = Math.abs(Math.atan2(inX * outY - inY * outX, inX * outX + inY * outY));
    if (turn > sharpest) [sharpest, cornerAt] = [turn, at];
    if (Math.hypot(inX, inY) > longest) [longest, straightTo] = [Math.hypot(inX, inY), at];
  });
  return cornerAt < 0 ? straightTo : cornerAt;
};

/** A ring all of whose points stand on one circle, chords fine enough. */
const fullCircle = (ring: Ring): Circle | null => {
  const third = Math.floor(ring.length / 3);
  const circle = circleThrough(ring[0]!, ring[third]!, ring[2 * third]!);
  if (circle === null) return null;
  const { centre, radius } = circle;
  const stands = ring.every(([x, y], at) => {
    const [nextX, nextY] = ring[(at + 1) % ring.length]!;
    const chord = Math.hypot(nextX - x, nextY - y);
    return (
      Math.abs(Math.hypot(x - centre[0], y - centre[1]) - radius) <= offMm && chord * chord <= 8 * radius * sagittaMm
    );
  });
  return stands ? circle : null;
};

/**
 * Finds the arcs of a ring of chords again, so that machines get arcs where arcs were drawn: runs of points that share a
 * circle to a few micrometres, with chords as fine as this program makes them. Every point stays within 0.005 mm of what
 * is returned.
 */
export const findArcs = (ring: Ring): ArcRing => {
  const whole = ring.length > 8 ? fullCircle(ring) : null;
  if (whole !== null) return { kind: 'circle', ...whole };
  const begin = beginAt(ring);
  return {
    kind: 'line',
    points: arcsAlong([...ring.slice(begin), ...ring.slice(0, begin), ring[begin]!]).slice(0, -1),
  };
};

/** Finds the arcs of an open line of chords again, as `findArcs` does those of a ring; its last point bows nowhere. */
export const arcsAlong = (points: Ring): readonly BulgedPoint[] => {
  const found: BulgedPoint[] = [];
  for (let from = 0; from < points.length - 1;) {
    let [to, circle] = [from + 1, null as Circle | null];
    for (let next = from + 2; next < points.length; next += 1) {
      const tried = sharedCircle(points, from, next);
      if (tried === null) break;
      const sign = turnSign(points[from]!, points[from + 1]!, points[from + 2]!);
      if (Math.abs(sweepBetween(tried, points[from]!, points[next]!, sign)) > mostSweep) break;
      [to, circle] = [next, tried];
    }
    if (circle === null || to - from < leastChords) {
      found.push({ at: points[from]!, bulge: 0 });
      from += 1;
      continue;
    }
    const sign = turnSign(points[from]!, points[from + 1]!, points[from + 2]!);
    const sweep = sweepBetween(circle, points[from]!, points[to]!, sign);
    found.push({ at: points[from]!, bulge: Math.tan(sweep / 4) });
    from = to;
  }
  const last = points.at(-1);
  return last === undefined ? found : [...found, { at: last, bulge: 0 }];
};
