import type { Path, PathCommand } from 'opentype.js';
import type { Point, Ring } from '../outlines/index.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { ceil, hypot, max, min, sqrt } = Math;

/** How far a chord may stand off its curve (mm): below any cutter's accuracy. */
const flatnessMm = 0.02;
const maxChords = 64;

/** Chords for a curve whose second differences reach `bend` (mm): error of n chords is bend / (8 n²). */
const chordCount = (bend: number): number => min(maxChords, max(1, ceil(sqrt(bend / (8 * flatnessMm)))));

const secondDifference = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
  hypot(ax - 2 * bx + cx, ay - 2 * by + cy);

const quadratic = (a: Point, b: Point, c: Point): readonly Point[] => {
  const count = chordCount(2 * secondDifference(a, b, c));
  return Array.from({ length: count }, (_, index): Point => {
    const t = (index + 1) / count;
    const [wa, wb, wc] = [(1 - t) ** 2, 2 * t * (1 - t), t * t];
    return [wa * a[0] + wb * b[0] + wc * c[0], wa * a[1] + wb * b[1] + wc * c[1]];
  });
};

const cubic = (a: Point, b: Point, c: Point, d: Point): readonly Point[] => {
  const count = chordCount(6 * max(secondDifference(a, b, c), secondDifference(b, c, d)));
  return Array.from({ length: count }, (_, index): Point => {
    const t = (index + 1) / count;
    const [wa, wb, wc, wd] = [(1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t * t * (1 - t), t ** 3];
    return [wa * a[0] + wb * b[0] + wc * c[0] + wd * d[0], wa * a[1] + wb * b[1] + wc * c[1] + wd * d[1]];
  });
};

const chordsOf = (from: Point, command: PathCommand): readonly Point[] => {
  const to: Point = [command.x, -command.y];
  switch (command.type) {
    case 'Q':
      return quadratic(from, [command.x1, -command.y1], to);
    case 'C':
      return cubic(from, [command.x1, -command.y1], [command.x2, -command.y2], to);
    default:
      return [to];
  }
};

/** A glyph path (y down, mm) as closed rings of chords (y up, mm). */
export const flattenPath = (path: Path): readonly Ring[] => {
  const rings: Point[][] = [];
  for (const command of path.commands) {
    const ring = rings[rings.length - 1];
    const last = ring?.[ring.length - 1];
    if (command.type === 'M') rings.push([[command.x, -command.y]]);
    else if (command.type !== 'Z' && ring !== undefined && last !== undefined) ring.push(...chordsOf(last, command));
  }
  return rings.filter((ring) => ring.length > 2);
};
