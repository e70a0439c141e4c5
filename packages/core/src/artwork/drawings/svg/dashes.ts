import type { Point, Ring } from '../../../base/outlines/index.js';
import type { DrawnPath } from '../types.js';

/** The lengths of dashes and gaps in turn; null where a line is whole. */
export const dashPattern = (lengths: readonly (number | null)[]): readonly number[] | null => {
  if (lengths.length === 0 || lengths.some((each) => each === null || each < 0)) return null;
  const sound = lengths as readonly number[];
  // An odd list is read twice.
  const pattern = sound.length % 2 === 0 ? sound : [...sound, ...sound];
  return pattern.reduce((sum, each) => sum + each, 0) > 0 ? pattern : null;
};

/** How many dashes some lines have by a pattern, about. */
export const dashCount = (paths: readonly DrawnPath[], pattern: readonly number[]): number => {
  const whole = pattern.reduce((sum, each) => sum + each, 0);
  const length = paths.reduce(
    (sum, { points }) =>
      sum +
      points.reduce(
        (own, [x, y], at) => own + (at === 0 ? 0 : Math.hypot(x - points[at - 1]![0], y - points[at - 1]![1])),
        0,
      ),
    0,
  );
  return ((length / whole) * pattern.length) / 2;
};

/** The dashes of a line: pieces of it by a pattern of lengths that begins so far in. */
export const dashesOf = ({ points, closed }: DrawnPath, pattern: readonly number[], from: number): readonly Ring[] => {
  const whole = pattern.reduce((sum, each) => sum + each, 0);
  let place = 0;
  let left = ((from % whole) + whole) % whole;
  while (left >= pattern[place]!) {
    left -= pattern[place]!;
    place = (place + 1) % pattern.length;
  }
  let rest = pattern[place]! - left;
  const pieces: Point[][] = [];
  let piece: Point[] | null = place % 2 === 0 ? [points[0]!] : null;
  const line = closed ? [...points, points[0]!] : points;
  for (let at = 1; at < line.length; at += 1) {
    const [x0, y0] = line[at - 1]!;
    const [x1, y1] = line[at]!;
    const length = Math.hypot(x1 - x0, y1 - y0);
    let gone = 0;
    while (length - gone > rest) {
      gone += rest;
      const here: Point = [x0 + ((x1 - x0) * gone) / length, y0 + ((y1 - y0) * gone) / length];
      if (piece !== null) pieces.push([...piece, here]);
      place = (place + 1) % pattern.length;
      piece = place % 2 === 0 ? [here] : null;
      rest = pattern[place]!;
    }
    rest -= length - gone;
    piece?.push([x1, y1]);
  }
  if (piece !== null && piece.length > 1) pieces.push(piece);
  return pieces.filter((each) => each.some(([x, y]) => x !== each[0]![0] || y !== each[0]![1]));
};
