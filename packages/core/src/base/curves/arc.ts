import { roundOff } from '../maths/index.js';
import type { Point } from '../outlines/types.js';
import { maxChords } from './flatness.js';

/** Part of an ellipse; a circle when both radii are alike. */
export interface EllipseArc {
  readonly centre: Point;
  readonly radiusX: number;
  readonly radiusY: number;
  /** How far its first axis is turned from x. */
  readonly turnRad: number;
  /** Where it starts, by its own parameter, and how far it runs; positive is anticlockwise. */
  readonly fromRad: number;
  readonly sweepRad: number;
}

const pointAt = ({ centre, radiusX, radiusY, turnRad }: EllipseArc, angle: number): Point => {
  const [x, y] = [radiusX * Math.cos(angle), radiusY * Math.sin(angle)];
  return [
    centre[0] + x * Math.cos(turnRad) - y * Math.sin(turnRad),
    centre[1] + x * Math.sin(turnRad) + y * Math.cos(turnRad),
  ];
};

/** Chords of a full turn come in fours, so that a circle is as wide and as high as it should be. */
const chordCount = ({ radiusX, radiusY, sweepRad }: EllipseArc, flatnessMm: number): number => {
  const radius = Math.max(radiusX, radiusY);
  const step = radius > flatnessMm ? 2 * Math.acos(1 - flatnessMm / radius) : Math.PI / 2;
  const count = Math.min(maxChords, Math.max(1, Math.ceil(Math.abs(sweepRad) / step)));
  return Math.abs(Math.abs(sweepRad) - 2 * Math.PI) < roundOff ? 4 * Math.ceil(count / 4) : count;
};

/** Points along the arc; its start left out, its end in. */
export const arcChords = (arc: EllipseArc, flatnessMm: number): readonly Point[] => {
  const count = chordCount(arc, flatnessMm);
  return Array.from({ length: count }, (_, index) => pointAt(arc, arc.fromRad + (arc.sweepRad * (index + 1)) / count));
};

/** Where the arc starts. */
export const arcStart = (arc: EllipseArc): Point => pointAt(arc, arc.fromRad);

/** All the way round from a point on the first axis: a closed ring. */
export const ellipseRing = (
  centre: Point,
  radiusX: number,
  radiusY: number,
  turnRad: number,
  flatnessMm: number,
): readonly Point[] => arcChords({ centre, radiusX, radiusY, turnRad, fromRad: 0, sweepRad: 2 * Math.PI }, flatnessMm);

/** Less of a bulge is none: its circle would be out of reach. */
const straight = roundOff;

/** From `from` to `to` by a bulge: the tangent of a quarter of the angle, positive anticlockwise. Start left out, end in. */
export const bulgeChords = (from: Point, to: Point, bulge: number, flatnessMm: number): readonly Point[] => {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  if (Math.abs(bulge) < straight || Math.hypot(dx, dy) === 0) return [to];
  const off = (1 - bulge * bulge) / (4 * bulge);
  const centre: Point = [(from[0] + to[0]) / 2 - dy * off, (from[1] + to[1]) / 2 + dx * off];
  const radius = Math.hypot(from[0] - centre[0], from[1] - centre[1]);
  const arc: EllipseArc = {
    centre,
    radiusX: radius,
    radiusY: radius,
    turnRad: 0,
    fromRad: Math.atan2(from[1] - centre[1], from[0] - centre[0]),
    sweepRad: 4 * Math.atan(bulge),
  };
  return [...arcChords(arc, flatnessMm).slice(0, -1), to];
};

/** What an elliptical arc between two points is told by, as in SVG path data. */
export interface EndpointArc {
  readonly from: Point;
  readonly to: Point;
  readonly radiusX: number;
  readonly radiusY: number;
  readonly turnRad: number;
  readonly large: boolean;
  /** True when the parameter grows along it. */
  readonly sweep: boolean;
}

/**
 * The arc between two points with given radii (W3C, SVG 1.1, appendix F.6.5 and F.6.6: radii too small are grown). `null`
 * where it is no more than a straight line.
 */
export const endpointArc = ({ from, to, large, sweep, turnRad, ...radii }: EndpointArc): EllipseArc | null => {
  const [halfX, halfY] = [(from[0] - to[0]) / 2, (from[1] - to[1]) / 2];
  const [x, y] = [
    Math.cos(turnRad) * halfX + Math.sin(turnRad) * halfY,
    -Math.sin(turnRad) * halfX + Math.cos(turnRad) * halfY,
  ];
  let [rx, ry] = [Math.abs(radii.radiusX), Math.abs(radii.radiusY)];
  if (rx === 0 || ry === 0 || (x === 0 && y === 0)) return null;
  const grow = Math.sqrt((x / rx) ** 2 + (y / ry) ** 2);
  if (grow > 1) [rx, ry] = [rx * grow, ry * grow];
  const root = Math.max(0, (rx * ry) ** 2 - (rx * y) ** 2 - (ry * x) ** 2) / ((rx * y) ** 2 + (ry * x) ** 2);
  const factor = (large === sweep ? -1 : 1) * Math.sqrt(root);
  const [cx, cy] = [(factor * rx * y) / ry, (-factor * ry * x) / rx];
  const fromRad = Math.atan2((y - cy) / ry, (x - cx) / rx);
  const toRad = Math.atan2((-y - cy) / ry, (-x - cx) / rx);
  const turn = toRad - fromRad;
  const sweepRad = sweep ? (turn < 0 ? turn + 2 * Math.PI : turn) : turn > 0 ? turn - 2 * Math.PI : turn;
  return {
    centre: [
      Math.cos(turnRad) * cx - Math.sin(turnRad) * cy + (from[0] + to[0]) / 2,
      Math.sin(turnRad) * cx + Math.cos(turnRad) * cy + (from[1] + to[1]) / 2,
    ],
    radiusX: rx,
    radiusY: ry,
    turnRad,
    fromRad,
    sweepRad,
  };
};
