import type { Outline } from '../../base/outlines/index.js';

/** Directions in which the first wall is looked for; a multiple of four. */
const directions = 400;
const perQuarter = directions / 4;

/**
 * How far round a way lies, counted along the sides of a square that stands on its corner: 0 to the right, 1 up, 2 to the
 * left, 3 down. It grows with the angle, and costs a division where that would cost an arc tangent.
 */
const roundSquare = (dx: number, dy: number): number => {
  const rise = dy / (Math.abs(dx) + Math.abs(dy));
  if (dx < 0) return 2 - rise;
  return rise < 0 ? 4 + rise : rise;
};

/** Unit vectors in the middle of each direction. */
const middles = Array.from({ length: directions }, (_, index): readonly [number, number] => {
  const round = (index + 0.5) / perQuarter;
  const dx = round < 2 ? 1 - round : round - 3;
  const dy = round < 1 ? round : round < 3 ? 2 - round : round - 4;
  const length = Math.hypot(dx, dy);
  return [dx / length, dy / length];
});

/** Which of the directions of a horizon a way lies in; 0 for no way at all. */
export const turnOf = (dx: number, dy: number): number =>
  Math.min(directions - 1, (roundSquare(dx, dy) * perQuarter) | 0);

/** Brings the horizon down to one wall, given from the place looked from. Mutates `horizon`. */
const lowerTo = (horizon: Float64Array, ax: number, ay: number, bx: number, by: number): void => {
  const turn = ax * by - ay * bx;
  if (turn === 0) return;
  const [from, to] = turn > 0 ? [roundSquare(ax, ay), roundSquare(bx, by)] : [roundSquare(bx, by), roundSquare(ax, ay)];
  const first = Math.ceil(from * perQuarter - 0.5);
  const last = Math.floor((to < from ? to + 4 : to) * perQuarter - 0.5);
  const [ex, ey] = [bx - ax, by - ay];
  for (let index = first; index <= last; index += 1) {
    const at = index % directions;
    const [ux, uy] = middles[at]!;
    // A wall that runs along the way itself is met nowhere in particular.
    const across = ux * ey - uy * ex;
    if (across !== 0) horizon[at] = Math.min(horizon[at]!, turn / across);
  }
};

/** How far it is from a place to the first wall of an outline, direction by direction (mm); `Infinity` where there is none. */
export const horizonFrom = (outline: Outline, x: number, y: number): Float64Array => {
  const horizon = new Float64Array(directions).fill(Infinity);
  for (const ring of outline) {
    let [px, py] = ring[ring.length - 1] ?? [x, y];
    for (const [qx, qy] of ring) {
      lowerTo(horizon, px - x, py - y, qx - x, qy - y);
      [px, py] = [qx, qy];
    }
  }
  return horizon;
};
