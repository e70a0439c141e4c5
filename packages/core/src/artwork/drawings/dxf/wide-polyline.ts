import { bandAlong, mapOutline, type Affine, type Point, type Ring } from '../../../base/outlines/index.js';
import { leastBandMm } from '../limits.js';
import type { DrawnPath } from '../types.js';
import { entityPath } from './entity-paths.js';
import type { DxfEntity } from 'dxf';
import type { Dropped } from './dropped-groups.js';

const oneWidth = (widths: Dropped['widths'], pieces: number): number | null => {
  const own = widths.slice(0, pieces);
  const [first] = own;
  return first !== undefined && own.every(([from, to]) => from === first[0] && to === first[0]) ? first[0] : null;
};

/** A piece from one point to the next that grows from one width to another. */
const wedge = ([ax, ay]: Point, [bx, by]: Point, from: number, to: number): Ring => {
  const length = Math.hypot(bx - ax, by - ay) || 1;
  const [nx, ny] = [-(by - ay) / length / 2, (bx - ax) / length / 2];
  return [
    [ax - nx * from, ay - ny * from],
    [bx - nx * to, by - ny * to],
    [bx + nx * to, by + ny * to],
    [ax + nx * from, ay + ny * from],
  ];
};

const lengthOf = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, [x, y], at) => sum + Math.hypot(x - points[at]![0], y - points[at]![1]), 0);

/** The wedges of one piece, straight or bowed, its width growing evenly along it. */
const wedges = (points: readonly Point[], from: number, to: number): readonly Ring[] => {
  const whole = lengthOf(points) || 1;
  let gone = 0;
  return points.slice(1).map((point, at) => {
    const before = points[at]!;
    const next = gone + Math.hypot(point[0] - before[0], point[1] - before[1]);
    const width = (along: number): number => from + ((to - from) * along) / whole;
    const ring = wedge(before, point, width(gone), width(next));
    gone = next;
    return ring;
  });
};

/** A polyline with a width as an area, and whether its width changes along it. */
export interface WideBand {
  readonly paths: readonly DrawnPath[];
  readonly tapers: boolean;
}

/**
 * The band that a polyline with a width covers, in mm: ends cut square, corners pointed. Where the width changes, piece by
 * piece. Null for one so narrow that it is a line.
 */
export const bandOf = (
  entity: DxfEntity,
  { widths, frames }: Dropped,
  path: DrawnPath,
  map: Affine,
  growthOfMap: number,
  flatness: number,
): WideBand | null => {
  const kept = widths.filter((_, at) => !frames.has(at));
  const pieces = path.closed ? kept.length : kept.length - 1;
  const widest = Math.max(0, ...kept.slice(0, pieces).flat()) * growthOfMap;
  if (!(widest >= leastBandMm)) return null;
  const asPaths = (rings: readonly Ring[]): readonly DrawnPath[] => rings.map((points) => ({ points, closed: true }));
  const width = oneWidth(kept, pieces);
  if (width !== null) {
    const lines = mapOutline([path.points], map);
    const band = bandAlong(lines, width * growthOfMap, path.closed, { ends: 'flat', corners: 'sharp' });
    return { paths: asPaths(band), tapers: false };
  }
  const vertices = (entity['vertices'] as readonly unknown[]).filter((_, at) => !frames.has(at));
  const rings = Array.from({ length: pieces }, (_, at): readonly Ring[] => {
    const own = { ...entity, closed: false, vertices: [vertices[at], vertices[(at + 1) % vertices.length]] };
    const piece = entityPath(own, flatness);
    const [from, to] = kept[at]!;
    return piece === null || piece === undefined ? [] : wedges(piece.points, from, to);
  }).flat();
  return { paths: asPaths(mapOutline(rings, map)), tapers: true };
};
