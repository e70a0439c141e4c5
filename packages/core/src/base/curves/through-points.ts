import type { Point } from '../outlines/types.js';
import { cubicChords } from './bezier.js';

/** Of a closed curve so many points are gone over again at both ends: what they are told there is forgotten by then. */
const gonePast = 24;

/** Slopes along one axis of the natural or clamped cubic spline through values at marks, by elimination (Thomas). */
const slopesOf = (
  values: readonly number[],
  steps: readonly number[],
  first: number | null,
  last: number | null,
): readonly number[] => {
  const count = values.length;
  const upper: number[] = [];
  const right: number[] = [];
  for (let at = 0; at < count; at += 1) {
    const [before, after] = [steps[at - 1], steps[at]];
    const rise = (from: number, step: number): number => (3 * (values[from + 1]! - values[from]!)) / step ** 2;
    let [low, own, high, wanted] = [
      before === undefined ? 0 : 1 / before,
      2 * ((before === undefined ? 0 : 1 / before) + (after === undefined ? 0 : 1 / after)),
      after === undefined ? 0 : 1 / after,
      (before === undefined ? 0 : rise(at - 1, before)) + (after === undefined ? 0 : rise(at, after)),
    ];
    const told = at === 0 ? first : at === count - 1 ? last : null;
    if (told !== null) [low, own, high, wanted] = [0, 1, 0, told];
    const pivot = own - low * (upper[at - 1] ?? 0);
    upper.push(high / pivot);
    right.push((wanted - low * (right[at - 1] ?? 0)) / pivot);
  }
  const slopes = [...right];
  for (let at = count - 2; at >= 0; at -= 1) slopes[at] = right[at]! - upper[at]! * slopes[at + 1]!;
  return slopes;
};

/** The directions in which a curve through points sets out and comes in; null: as it likes. */
export interface EndDirections {
  readonly first: Point | null;
  readonly last: Point | null;
}

/**
 * Points along the smoothest curve through points (both ends in): the cubic spline of continuous curvature whose marks lie as
 * far apart as the points (C. de Boor, A Practical Guide to Splines, 1978, IV). Points on top of each other count once.
 */
export const chordsThrough = (
  points: readonly Point[],
  closed: boolean,
  flatnessMm: number,
  { first, last }: EndDirections = { first: null, last: null },
): readonly Point[] => {
  const apart = points.filter(
    ([x, y], at) => at === 0 || Math.hypot(x - points[at - 1]![0], y - points[at - 1]![1]) > 0,
  );
  const [start, end] = [apart[0], apart[apart.length - 1]];
  const ring =
    closed && start !== undefined && start[0] === end![0] && start[1] === end![1] ? apart.slice(0, -1) : apart;
  if (ring.length < (closed ? 3 : 2)) return ring;
  const at = (index: number): Point => ring[((index % ring.length) + ring.length) % ring.length]!;
  const from = closed ? -gonePast : 0;
  const to = closed ? ring.length + gonePast : ring.length - 1;
  const run = Array.from({ length: to - from + 1 }, (_, index) => at(from + index));
  const steps = run.slice(1).map(([x, y], index) => Math.hypot(x - run[index]![0], y - run[index]![1]));
  const [alongX, alongY] = [0, 1].map((axis) =>
    slopesOf(
      run.map((point) => point[axis]!),
      steps,
      closed || first === null ? null : first[axis]!,
      closed || last === null ? null : last[axis]!,
    ),
  ) as [readonly number[], readonly number[]];
  const begin = -from;
  const pieces = closed ? ring.length : ring.length - 1;
  const found: Point[] = [run[begin]!];
  for (let index = begin; index < begin + pieces; index += 1) {
    const [a, d, third] = [run[index]!, run[index + 1]!, steps[index]! / 3];
    found.push(
      ...cubicChords(
        a,
        [a[0] + third * alongX[index]!, a[1] + third * alongY[index]!],
        [d[0] - third * alongX[index + 1]!, d[1] - third * alongY[index + 1]!],
        d,
        flatnessMm,
      ),
    );
  }
  return found;
};
