import {
  distanceToOutline,
  inOutline,
  lengthInside,
  outlineBounds,
  type Outline,
  type Point,
} from '../../base/outlines/index.js';

/** Cells along the longer side of a letter, and how near to its edge a wire may lie (mm). */
const cellsAlong = 48;
const clearMm = 2.5;

/** The first stretch that leaves the outline is avoided: places that the others see past are left out. */
const pulledTight = (way: readonly Point[], outline: Outline): readonly Point[] => {
  const kept: Point[] = [way[0]!];
  for (let at = 0; at < way.length - 1;) {
    let next = at + 1;
    for (let far = way.length - 1; far > next; far -= 1) {
      const [a, b] = [way[at]!, way[far]!];
      if (lengthInside(a, b, outline) >= Math.hypot(b[0] - a[0], b[1] - a[1]) - 0.01) {
        next = far;
        break;
      }
    }
    kept.push(way[next]!);
    at = next;
  }
  return kept;
};

/** Finds a way within a letter between two places of it, both left out; null when there is none that keeps off the edge. */
export type WayFinder = (from: Point, to: Point) => readonly Point[] | null;

/** Ways within a letter, by steps from cell to cell and then pulled tight; which cells are open is looked at once for all. */
export const wayFinder = (outline: Outline): WayFinder => {
  const bounds = outlineBounds(outline);
  if (bounds === null) return () => null;
  const cell = Math.max(2, Math.max(bounds.width, bounds.height) / cellsAlong);
  const [columns, rows] = [Math.ceil(bounds.width / cell) + 1, Math.ceil(bounds.height / cell) + 1];
  const middle = (index: number): Point => [
    bounds.x + (index % columns) * cell,
    bounds.y + Math.floor(index / columns) * cell,
  ];
  const clear = new Map<number, number>();
  /** From a cell to the edge (mm); none outside. */
  const clearOf = (index: number): number => {
    const known = clear.get(index);
    if (known !== undefined) return known;
    const place = middle(index);
    const away = inOutline(place, outline) ? distanceToOutline(place, outline) : 0;
    clear.set(index, away);
    return away;
  };
  const isOpen = (index: number): boolean => clearOf(index) >= clearMm;
  const sees = (a: Point, b: Point): boolean =>
    lengthInside(a, b, outline) >= Math.hypot(b[0] - a[0], b[1] - a[1]) - 0.01;
  /** Whether a step from cell to cell stays inside: slits are narrower than cells. */
  const steps = (a: number, b: number, mm: number): boolean => clearOf(a) >= mm || sees(middle(a), middle(b));
  /**
   * The open cell nearest to a place that is seen from there, looked for in squares that grow round it; one across a gap
   * only where none is seen.
   */
  const nearest = ([x, y]: Point): number => {
    let across = -1;
    const column = Math.round((x - bounds.x) / cell);
    const row = Math.round((y - bounds.y) / cell);
    for (let reach = 0; reach < 12; reach += 1)
      for (let dy = -reach; dy <= reach; dy += 1)
        for (let dx = -reach; dx <= reach; dx += 1) {
          const [c, r] = [column + dx, row + dy];
          const onRing = Math.max(Math.abs(dx), Math.abs(dy)) === reach;
          const index = r * columns + c;
          if (!onRing || c < 0 || r < 0 || c >= columns || r >= rows || !isOpen(index)) continue;
          if (sees([x, y], middle(index))) return index;
          if (across < 0) across = index;
        }
    return across;
  };
  return (from, to) => {
    const [start, goal] = [nearest(from), nearest(to)];
    if (start < 0 || goal < 0) return null;
    const cameFrom = new Map<number, number>([[start, start]]);
    let edge = [start];
    while (edge.length > 0 && !cameFrom.has(goal)) {
      const next: number[] = [];
      for (const index of edge)
        for (const [dx, dy] of [
          [1, 0],
          [-1, 0],
          [0, 1],
          [0, -1],
          [1, 1],
          [-1, 1],
          [1, -1],
          [-1, -1],
        ] as const) {
          const column = (index % columns) + dx;
          const row = Math.floor(index / columns) + dy;
          const there = row * columns + column;
          if (
            column < 0 ||
            row < 0 ||
            column >= columns ||
            row >= rows ||
            cameFrom.has(there) ||
            !isOpen(there) ||
            !steps(index, there, cell * Math.hypot(dx, dy))
          )
            continue;
          cameFrom.set(there, index);
          next.push(there);
        }
      edge = next;
    }
    if (!cameFrom.has(goal)) return null;
    const way: Point[] = [];
    for (let index = goal; index !== start; index = cameFrom.get(index)!) way.unshift(middle(index));
    way.unshift(middle(start));
    return pulledTight([from, ...way, to], outline).slice(1, -1);
  };
};
