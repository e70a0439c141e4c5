import type { Point, Ring } from './types.js';

/** A corner that turns less than this is none (radians). */
const straightRad = 0.02;
/** Arcs are drawn this closely (mm). */
const flatMm = 0.005;

/** The arc that rounds the corner at `b` between `a` and `c`, at most `most` mm from it along both sides. */
const arcAt = (a: Point, b: Point, c: Point, radiusMm: number, most: number): Ring => {
  const [inLength, outLength] = [Math.hypot(b[0] - a[0], b[1] - a[1]), Math.hypot(c[0] - b[0], c[1] - b[1])];
  if (inLength === 0 || outLength === 0) return [b];
  const [ux, uy] = [(b[0] - a[0]) / inLength, (b[1] - a[1]) / inLength];
  const [vx, vy] = [(c[0] - b[0]) / outLength, (c[1] - b[1]) / outLength];
  const turn = Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy);
  if (Math.abs(turn) < straightRad || Math.abs(turn) > Math.PI - straightRad) return [b];
  const back = Math.min(radiusMm * Math.tan(Math.abs(turn) / 2), most);
  const radius = back / Math.tan(Math.abs(turn) / 2);
  const side = Math.sign(turn);
  const from: Point = [b[0] - ux * back, b[1] - uy * back];
  const centre: Point = [from[0] - uy * radius * side, from[1] + ux * radius * side];
  const step = 2 * Math.acos(Math.max(0, 1 - flatMm / Math.max(radius, flatMm)));
  const count = Math.max(2, Math.ceil(Math.abs(turn) / Math.max(step, 0.05)));
  const start = Math.atan2(from[1] - centre[1], from[0] - centre[0]);
  return Array.from({ length: count + 1 }, (_, at): Point => {
    const angle = start + (turn * at) / count;
    return [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)];
  });
};

/** A line with its corners rounded to a radius, or as far as half of the shorter side beside each allows; its ends stay. */
export const roundCorners = (points: Ring, closed: boolean, radiusMm: number): Ring => {
  const count = points.length;
  if (radiusMm <= 0 || count < 3) return points;
  const gap = (one: Point, other: Point): number => Math.hypot(one[0] - other[0], one[1] - other[1]);
  return points.flatMap((point, at): Ring => {
    if (!closed && (at === 0 || at === count - 1)) return [point];
    const [before, after] = [points[(at + count - 1) % count]!, points[(at + 1) % count]!];
    // The whole of a side that ends the line is free.
    const room = (other: Point, isEnd: boolean): number => gap(point, other) * (isEnd ? 1 : 0.5);
    const most = Math.min(room(before, !closed && at === 1), room(after, !closed && at === count - 2));
    return arcAt(before, point, after, radiusMm, most);
  });
};
