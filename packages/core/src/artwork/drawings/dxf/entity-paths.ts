import { roundOff, tiny } from '../../../base/maths/index.js';
import type { DxfEntity } from 'dxf';
import {
  arcChords,
  arcStart,
  bulgeChords,
  chordsThrough,
  ellipseRing,
  isSpline,
  splineChords,
  type EllipseArc,
} from '../../../base/curves/index.js';
import type { Point } from '../../../base/outlines/index.js';
import type { DrawnPath } from '../types.js';
import type { Dropped } from './dropped-groups.js';

const number = (value: unknown, otherwise = 0): number => (typeof value === 'number' ? value : otherwise);
const list = (value: unknown): readonly Readonly<Record<string, unknown>>[] =>
  Array.isArray(value) ? (value as readonly Readonly<Record<string, unknown>>[]) : [];
const point = (value: unknown): Point => {
  const { x, y } = (value ?? {}) as Readonly<Record<string, unknown>>;
  return [number(x, NaN), number(y, NaN)];
};

/** From `from` anticlockwise to `to`, a full turn when they are the same. */
const turnBetween = (from: number, to: number): number => {
  const turn = (to - from) % (2 * Math.PI);
  return turn <= tiny ? turn + 2 * Math.PI : turn;
};

const closedLoop = (arc: EllipseArc, flatness: number): DrawnPath =>
  Math.abs(arc.sweepRad - 2 * Math.PI) < roundOff
    ? { points: arcChords(arc, flatness), closed: true }
    : { points: [arcStart(arc), ...arcChords(arc, flatness)], closed: false };

const polyline = (entity: DxfEntity, flatness: number, frames: ReadonlySet<number>): DrawnPath => {
  const vertices = list(entity['vertices']).filter((_, at) => !frames.has(at));
  const closed = entity['closed'] === true;
  const points = vertices.flatMap((vertex, at): readonly Point[] => {
    const before = vertices[at - 1];
    return before === undefined
      ? [point(vertex)]
      : bulgeChords(point(before), point(vertex), number(before['bulge']), flatness);
  });
  const [first, last] = [vertices[0], vertices[vertices.length - 1]];
  return closed && first !== undefined && last !== undefined && number(last['bulge']) !== 0
    ? { points: [...points, ...bulgeChords(point(last), point(first), number(last['bulge']), flatness)], closed }
    : { points, closed };
};

const ellipse = (entity: DxfEntity, flatness: number): DrawnPath => {
  const [majorX, majorY] = [number(entity['majorX']), number(entity['majorY'])];
  const radiusX = Math.hypot(majorX, majorY);
  const fromRad = number(entity['startAngle']);
  return closedLoop(
    {
      centre: point(entity),
      radiusX,
      radiusY: radiusX * Math.abs(number(entity['axisRatio'], 1)),
      turnRad: Math.atan2(majorY, majorX),
      fromRad,
      sweepRad: turnBetween(fromRad, number(entity['endAngle'], 2 * Math.PI)),
    },
    flatness,
  );
};

const spline = (entity: DxfEntity, flatness: number, dropped: Dropped | undefined): DrawnPath | null => {
  const weights = entity['weights'] as readonly number[] | undefined;
  const wanted = {
    degree: number(entity['degree'], 3),
    knots: (entity['knots'] ?? []) as readonly number[],
    points: list(entity['controlPoints']).map(point),
    ...(weights === undefined ? {} : { weights }),
  };
  const closed = entity['closed'] === true;
  if (isSpline(wanted)) return { points: splineChords(wanted, flatness), closed };
  const through = dropped?.fitPoints ?? [];
  if (through.length < 2 || wanted.points.length > 0) return null;
  const ends = { first: dropped?.firstDirection ?? null, last: dropped?.lastDirection ?? null };
  return { points: chordsThrough(through, closed, flatness, ends), closed };
};

/** The lines of one DXF entity in drawing units; `undefined` for kinds that draw no outline, `null` for broken ones. */
export const entityPath = (entity: DxfEntity, flatness: number, dropped?: Dropped): DrawnPath | null | undefined => {
  switch (entity.type) {
    case 'LINE':
      return { points: [point(entity['start']), point(entity['end'])], closed: false };
    case 'LWPOLYLINE':
    case 'POLYLINE':
      return polyline(entity, flatness, dropped?.frames ?? new Set());
    case 'CIRCLE': {
      const radius = number(entity['r']);
      return radius > 0 ? { points: ellipseRing(point(entity), radius, radius, 0, flatness), closed: true } : null;
    }
    case 'ARC': {
      const [radius, fromRad] = [number(entity['r']), number(entity['startAngle'])];
      const sweepRad = turnBetween(fromRad, number(entity['endAngle']));
      return radius > 0
        ? closedLoop(
            { centre: point(entity), radiusX: radius, radiusY: radius, turnRad: 0, fromRad, sweepRad },
            flatness,
          )
        : null;
    }
    case 'SOLID': {
      const [a, b, c, d] = list(entity['corners']).map(point);
      // Its third and fourth corner stand crosswise; a triangle names its last one twice.
      return a === undefined ? null : { points: [a, b!, d!, c!], closed: true };
    }
    case 'ELLIPSE':
      return ellipse(entity, flatness);
    case 'SPLINE':
      return spline(entity, flatness, dropped);
    default:
      return undefined;
  }
};
