import { distanceToOutline, measureLine, type Outline, type Point } from '../../base/outlines/index.js';
import { NearCells } from './near-cells.js';
import type { LitLine } from './lines.js';

/** A place where little is left beside a groove (mm). Less than nothing: two grooves run into each other. */
export interface TightPlace {
  readonly mm: number;
  readonly at: Point;
}

/** What is left beside grooves, at the tightest place of each kind; null where nothing is near. */
export interface Walls {
  /** Between two grooves that run side by side. */
  readonly between: TightPlace | null;
  /** Between a groove and the edge of its carrier. */
  readonly toEdge: TightPlace | null;
}

/** Lines are looked at this often (mm), and not more often than so many places in all allow. */
const lookMm = 1.5;
const mostPlaces = 12_000;
/** Lines that turn less than this against each other run side by side (cosine of 30°); others cross or join. */
const besideCosine = 0.866;
/** Where a line ends on another they join: so many widths of it are no wall. */
const joinWidths = 4;
/** Farther along a line than so many times the straight way it is another stroke of it. */
const otherStroke = 3;

interface Place {
  readonly at: Point;
  readonly along: Point;
  readonly line: number;
  readonly mm: number;
  readonly lengthMm: number;
  readonly closed: boolean;
}

const placesOf = (lines: readonly LitLine[]): readonly Place[] => {
  const total = lines.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const step = Math.max(lookMm, total / mostPlaces);
  return lines.flatMap(({ points, closed, number }) => {
    const line = measureLine(points, closed);
    const count = Math.max(2, Math.round(line.lengthMm / step));
    return Array.from({ length: count }, (_, at): Place => {
      // Of an open line its very ends are looked at too.
      const mm = closed ? ((at + 0.5) * line.lengthMm) / count : (at * line.lengthMm) / (count - 1);
      return { ...line.station(mm), line: number, mm, lengthMm: line.lengthMm, closed };
    });
  });
};

const nearEnd = ({ mm, lengthMm, closed }: Place, withinMm: number): boolean =>
  !closed && (mm < withinMm || lengthMm - mm < withinMm);

/** Whether two places are of strokes that run side by side: of one line, so far along it that it has come back. */
const sideBySide = (one: Place, other: Place, awayMm: number, widthMm: number): boolean => {
  if (Math.abs(one.along[0] * other.along[0] + one.along[1] * other.along[1]) < besideCosine) return false;
  if (one.line === other.line) {
    const direct = Math.abs(one.mm - other.mm);
    const round = one.closed ? Math.min(direct, one.lengthMm - direct) : direct;
    return round > otherStroke * Math.max(awayMm, widthMm);
  }
  return !nearEnd(one, joinWidths * widthMm) && !nearEnd(other, joinWidths * widthMm);
};

/** What is left beside grooves of this width: between those that lie nearer than `withinMm`, and to the edge of the carrier. */
export const wallsBeside = (lines: readonly LitLine[], outline: Outline, widthMm: number, withinMm: number): Walls => {
  const places = placesOf(lines);
  const reach = widthMm + withinMm;
  const cells = new NearCells(reach);
  places.forEach(({ at: [x, y] }, index) => cells.add(x, y, index));
  let between: TightPlace | null = null;
  let toEdge: TightPlace | null = null;
  places.forEach((one, index) => {
    const [x, y] = one.at;
    cells.near(x, y, (next) => {
      if (next <= index) return;
      const other = places[next]!;
      const away = Math.hypot(other.at[0] - x, other.at[1] - y);
      if (away - widthMm >= (between?.mm ?? withinMm) || !sideBySide(one, other, away, widthMm)) return;
      between = { mm: away - widthMm, at: [(x + other.at[0]) / 2, (y + other.at[1]) / 2] };
    });
    const edge = distanceToOutline(one.at, outline) - widthMm / 2;
    if (toEdge === null || edge < toEdge.mm) toEdge = { mm: edge, at: one.at };
  });
  return { between, toEdge };
};
