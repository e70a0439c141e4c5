import { measureLine, type Point, type Ring } from '../../base/outlines/index.js';
import { NearCells } from './near-cells.js';
import type { LitLine } from './lines.js';

/** What of a line strip may lie on: a piece of it clear of the lines before it. */
export interface LinePiece {
  readonly line: number;
  readonly points: Ring;
  readonly closed: boolean;
  /** Whether it begins and ends where its line does. */
  readonly atStart: boolean;
  readonly atEnd: boolean;
}

/** Lines are looked at for others this often (mm). */
const lookMm = 1;

/** Places that lines before have taken; whether one is nearer to any than must be clear. */
const takenPlaces = (clearMm: number) => {
  const cells = new NearCells(clearMm);
  const places: Point[] = [];
  return {
    add: (place: Point): void => {
      cells.add(place[0], place[1], places.length);
      places.push(place);
    },
    near: ([x, y]: Point): boolean => {
      let found = false;
      cells.near(x, y, (at) => {
        const [px, py] = places[at]!;
        found ||= Math.hypot(px - x, py - y) < clearMm;
      });
      return found;
    },
  };
};

/** The points of a line from one place to another, both ends included (mm along it). */
const between = ({ points, closed }: Pick<LitLine, 'points' | 'closed'>, from: number, to: number): Ring => {
  const line = measureLine(points, closed);
  const inside: Point[] = [];
  const ring = closed ? [...points, points[0]!] : points;
  // A stretch may go over the start of a closed line.
  for (let round = 0; round <= (closed ? 1 : 0); round += 1) {
    let passed = round * line.lengthMm;
    for (let at = 0; at < ring.length; at += 1) {
      if (at > 0) passed += Math.hypot(ring[at]![0] - ring[at - 1]![0], ring[at]![1] - ring[at - 1]![1]);
      if (passed > from + 1e-6 && passed < to - 1e-6 && !(round > 0 && at === 0)) inside.push(ring[at]!);
    }
  }
  return [line.station(from).at, ...inside, line.station(to).at];
};

/**
 * Pieces of lines that lie `clearMm` clear of all lines before them: where lines meet or cross, the first goes through. Lines are followed
 * in their order, a millimetre at a time.
 */
export const clearStretches = (lines: readonly LitLine[], clearMm: number): readonly LinePiece[] => {
  const taken = takenPlaces(Math.max(1, clearMm));
  return lines.flatMap((line): readonly LinePiece[] => {
    const { points, closed, number } = line;
    const { lengthMm, station } = measureLine(points, closed);
    const count = Math.max(1, Math.ceil(lengthMm / lookMm));
    const at = (step: number): number => (step * lengthMm) / count;
    const places = Array.from({ length: count + 1 }, (_, step) => station(at(step)).at);
    const blocked = places.map((place) => taken.near(place));
    for (const place of places) taken.add(place);
    if (!blocked.includes(true)) return [{ line: number, points, closed, atStart: !closed, atEnd: !closed }];
    // Round a closed line the first free stretch may begin before its start.
    const start = closed ? blocked.indexOf(true) : 0;
    const pieces: LinePiece[] = [];
    let from: number | null = null;
    for (let step = start; step <= start + count; step += 1) {
      const index = closed ? step % count : step;
      const free = !blocked[index]!;
      if (free && from === null) from = step;
      const ends = !free || step === start + count;
      if (from === null || !ends) continue;
      const to = free ? step : step - 1;
      if (to > from)
        pieces.push({
          line: number,
          points: between(line, at(from), at(to)),
          closed: false,
          atStart: !closed && from === 0,
          atEnd: !closed && to === count,
        });
      from = null;
    }
    return pieces;
  });
};
