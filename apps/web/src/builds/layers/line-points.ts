import type { Point } from '@vitrum/core';

const held = (share: number): number => Math.min(1, Math.max(0, share));

/** A line with one point elsewhere, on the picture. */
export const movedPoint = (points: readonly Point[], at: number, [x, y]: Point): readonly Point[] =>
  points.map((point, place) => (place === at ? [held(x), held(y)] : point));

/** So near to the line, a click puts a point into it (as a share of the picture’s height). */
const nearShare = 0.03;

/** From a place to a stretch of the line, both sides in shares of the height. */
const away = ([px, py]: Point, [ax, ay]: Point, [bx, by]: Point, aspect: number): number => {
  const [x, y] = [(px - ax) * aspect, py - ay];
  const [dx, dy] = [(bx - ax) * aspect, by - ay];
  const length2 = dx * dx + dy * dy;
  const share = length2 > 0 ? Math.min(1, Math.max(0, (x * dx + y * dy) / length2)) : 0;
  return Math.hypot(x - share * dx, y - share * dy);
};

/**
 * A line with a point more, and which one that is: between two where it was set on the line between them, else the last. The
 * stretch that closes the line does not count until there are three: it is not drawn yet.
 */
export const pointAdded = (
  points: readonly Point[],
  [x, y]: Point,
  aspect: number,
): { readonly points: readonly Point[]; readonly at: number } => {
  const place: Point = [held(x), held(y)];
  const stretches = points.length < 3 ? points.length - 1 : points.length;
  let [nearest, after] = [nearShare, -1];
  for (let at = 0; at < stretches; at += 1) {
    const far = away(place, points[at]!, points[(at + 1) % points.length]!, aspect);
    if (far < nearest) [nearest, after] = [far, at];
  }
  const at = after < 0 ? points.length : after + 1;
  return { points: [...points.slice(0, at), place, ...points.slice(at)], at };
};
