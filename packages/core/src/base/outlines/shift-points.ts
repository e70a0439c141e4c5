import type { Point, Ring } from './types.js';

/** A point of a line, by its index, and how far it is moved. */
export interface PointShift {
  readonly point: number;
  readonly by: Point;
}

/**
 * A line with some of its points moved, and what lies between two of them, or between one and an end, moved in proportion to how near it is
 * along the line. The ends of an open line stay unless they are among those that move.
 */
export const shiftPoints = (points: Ring, closed: boolean, shifts: readonly PointShift[]): Ring => {
  const moved = shifts.filter(({ point }) => point >= 0 && point < points.length);
  if (moved.length === 0 || points.length < 2) return points;
  const upTo = [0];
  for (let at = 1; at < points.length; at += 1) upTo.push(upTo[at - 1]! + apart(points[at - 1]!, points[at]!));
  const whole = upTo.at(-1)! + (closed ? apart(points.at(-1)!, points[0]!) : 0);
  const anchors = moved.map(({ point, by }) => ({ at: upTo[point]!, by })).sort((one, other) => one.at - other.at);
  const [first, last] = [anchors[0]!, anchors.at(-1)!];
  const still: Point = [0, 0];
  const round = closed
    ? [{ ...last, at: last.at - whole }, ...anchors, { ...first, at: first.at + whole }]
    : [
        ...(first.at > 0 ? [{ at: 0, by: still }] : []),
        ...anchors,
        ...(last.at < whole ? [{ at: whole, by: still }] : []),
      ];
  let next = 1;
  return points.map(([x, y], index): Point => {
    const at = upTo[index]!;
    while (next < round.length - 1 && round[next]!.at < at) next += 1;
    const [from, to] = [round[next - 1]!, round[next] ?? round[next - 1]!];
    const share = to.at > from.at ? Math.min(1, Math.max(0, (at - from.at) / (to.at - from.at))) : 0;
    return [x + from.by[0] + (to.by[0] - from.by[0]) * share, y + from.by[1] + (to.by[1] - from.by[1]) * share];
  });
};

const apart = ([ax, ay]: Point, [bx, by]: Point): number => Math.hypot(ax - bx, ay - by);
