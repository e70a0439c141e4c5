import type { DxfEntity } from 'dxf';
import { arcChords, arcStart, bulgeChords, type EllipseArc } from '../../../base/curves/index.js';
import type { Point, Ring } from '../../../base/outlines/index.js';

type Fields = Readonly<Record<string, unknown>>;

const fieldsOf = (value: unknown): Fields => (value ?? {}) as Fields;
const list = (value: unknown): readonly Fields[] => (Array.isArray(value) ? (value as readonly Fields[]) : []);
const number = (value: unknown): number => (typeof value === 'number' ? value : NaN);
const point = (value: unknown): Point => [number(fieldsOf(value)['x']), number(fieldsOf(value)['y'])];
const radians = (degrees: unknown): number => (number(degrees) * Math.PI) / 180;

const ofPolyline = ({ points }: Fields, flatness: number): Ring => {
  const corners = list(points);
  return corners.flatMap((corner, at): readonly Point[] => {
    const next = corners[(at + 1) % corners.length]!;
    const bulge = number(corner['bulge']);
    return [point(corner), ...(bulge ? bulgeChords(point(corner), point(next), bulge, flatness).slice(0, -1) : [])];
  });
};

/** An edge of a boundary as points; null for a kind that is not read. */
const ofEdge = (edge: Fields, flatness: number): readonly Point[] | null => {
  if (edge['type'] === 'LINE') return [point(edge['start']), point(edge['end'])];
  if (edge['type'] !== 'ARC') return null;
  const turns = edge['counterClockWise'] === true || edge['counterClockWise'] === 1;
  const [from, to] = [radians(edge['startAngle']), radians(edge['endAngle'])];
  const radius = number(edge['radius']);
  // Clockwise arcs are told by their angles the other way round.
  const [fromRad, sweepRad] = turns ? [from, to - from] : [-from, from - to];
  const arc: EllipseArc = {
    centre: point(edge['center']),
    radiusX: radius,
    radiusY: radius,
    turnRad: 0,
    fromRad,
    sweepRad,
  };
  return radius > 0 ? [arcStart(arc), ...arcChords(arc, flatness)] : [];
};

/**
 * The rings that bound a hatch, in drawing units: polylines with bulges, and edges that are lines and arcs; null where an
 * edge is of another kind.
 */
export const hatchRings = (entity: DxfEntity, flatness: number): readonly Ring[] | null => {
  const rings: Ring[] = [];
  for (const loop of list(fieldsOf(entity['boundary'])['loops'])) {
    const edges = list(loop['entities']);
    if (edges.length === 1 && edges[0]!['type'] === 'POLYLINE') {
      rings.push(ofPolyline(edges[0]!, flatness));
      continue;
    }
    const points = edges.map((edge) => ofEdge(edge, flatness));
    if (points.some((each) => each === null)) return null;
    rings.push(points.flatMap((each) => each!));
  }
  return rings.filter((ring) => ring.length > 2);
};
