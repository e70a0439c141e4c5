import type { Point, Ring } from './types.js';

/** A place on a line: where, and the unit vector along it. */
export interface Station {
  readonly at: Point;
  readonly along: Point;
}

/** A line measured by its length, so that places on it can be asked for. */
export interface MeasuredLine {
  readonly lengthMm: number;
  /** The place `mm` from the start; held at the ends of an open line, round and round on a closed one. */
  readonly station: (mm: number) => Station;
}

/** Measures a ring, or an open line when `closed` is false. An empty line has length 0 and stands at the origin. */
export const measureLine = (points: Ring, closed: boolean): MeasuredLine => {
  const ends = closed && points.length > 0 ? [...points, points[0]!] : points;
  const upTo: number[] = [0];
  for (let at = 1; at < ends.length; at += 1)
    upTo.push(upTo[at - 1]! + Math.hypot(ends[at]![0] - ends[at - 1]![0], ends[at]![1] - ends[at - 1]![1]));
  const lengthMm = upTo[upTo.length - 1]!;
  const held = (mm: number): number =>
    closed && lengthMm > 0 ? ((mm % lengthMm) + lengthMm) % lengthMm : Math.min(lengthMm, Math.max(0, mm));
  const station = (mm: number): Station => {
    const wanted = held(mm);
    let [low, high] = [0, Math.max(1, upTo.length - 1)];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (upTo[middle]! <= wanted) low = middle;
      else high = middle;
    }
    const [from, to] = [ends[low] ?? [0, 0], ends[low + 1] ?? ends[low] ?? [0, 0]];
    const span = (upTo[low + 1] ?? lengthMm) - (upTo[low] ?? 0);
    const share = span > 0 ? (wanted - upTo[low]!) / span : 0;
    const along: Point = span > 0 ? [(to[0] - from[0]) / span, (to[1] - from[1]) / span] : [1, 0];
    return { at: [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share], along };
  };
  return { lengthMm, station };
};
