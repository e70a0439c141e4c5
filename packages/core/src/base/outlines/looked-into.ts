import type { Outline, Point } from './types.js';

/** An outline made ready to be asked about a great many places. */
export interface LookedInto {
  /** Whether a place lies in its solid part: in an odd number of its rings. */
  readonly has: (place: Point) => boolean;
  /** Whether its nearest edge is nearer than so much (mm). */
  readonly edgeWithin: (place: Point, mm: number) => boolean;
}

/** About so many edges are to be looked at for a place; more bands than this are not worth their room. */
const edgesEach = 4;
const mostBands = 512;

type Edge = readonly [number, number, number, number];

const edgesOf = (outline: Outline): readonly Edge[] =>
  outline.flatMap((ring) =>
    ring.map(([qx, qy], at): Edge => {
      const [px, py] = ring[at === 0 ? ring.length - 1 : at - 1]!;
      return [px, py, qx, qy];
    }),
  );

const isNearer = ([px, py, qx, qy]: Edge, x: number, y: number, mm2: number): boolean => {
  const [dx, dy] = [qx - px, qy - py];
  const length2 = dx * dx + dy * dy;
  const share = length2 > 0 ? Math.min(1, Math.max(0, ((x - px) * dx + (y - py) * dy) / length2)) : 0;
  const [ox, oy] = [x - px - share * dx, y - py - share * dy];
  return ox * ox + oy * oy < mm2;
};

/** Edges are sorted into level bands, so that of a drawing with thousands only those at the height of a place are looked at. */
export const lookedInto = (outline: Outline): LookedInto => {
  const edges = edgesOf(outline);
  let [low, high] = [Infinity, -Infinity];
  for (const [, py] of edges) {
    low = Math.min(low, py);
    high = Math.max(high, py);
  }
  const count = Math.max(1, Math.min(mostBands, Math.floor(edges.length / edgesEach)));
  const bandMm = Math.max(1e-9, (high - low) / count);
  const bandAt = (y: number): number => Math.min(count - 1, Math.max(0, Math.floor((y - low) / bandMm)));
  const bands: Edge[][] = Array.from({ length: count }, () => []);
  for (const edge of edges) {
    const last = bandAt(Math.max(edge[1], edge[3]));
    for (let band = bandAt(Math.min(edge[1], edge[3])); band <= last; band += 1) bands[band]!.push(edge);
  }
  return {
    has: ([x, y]) => {
      if (!(y >= low && y <= high)) return false;
      let inside = false;
      for (const [px, py, qx, qy] of bands[bandAt(y)]!)
        if (py > y !== qy > y && x < px + ((qx - px) * (y - py)) / (qy - py)) inside = !inside;
      return inside;
    },
    edgeWithin: ([x, y], mm) => {
      if (!(y > low - mm && y < high + mm)) return false;
      const last = bandAt(y + mm);
      for (let band = bandAt(y - mm); band <= last; band += 1)
        if (bands[band]!.some((edge) => isNearer(edge, x, y, mm * mm))) return true;
      return false;
    },
  };
};
