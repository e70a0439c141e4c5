import { medialAxis, wideStrokes, type MedialLine } from '../../base/medial/index.js';
import {
  byShape,
  measureLine,
  offset,
  outlineBounds,
  pointsOf,
  roundCorners,
  shiftPoints,
  simplify,
  simplifyLine,
  solidParts,
  type Outline,
  type PointShift,
  type Point,
  type Ring,
} from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { fieldsOf, mostDrawnLines, pathOf } from '../../document/design/index.js';
import type { GrooveAssembly, LinesDesign } from './schema.js';

const own = fieldsOf<GrooveAssembly>();

/** A line of light: from its start to its end, or all round. */
export interface LitLine {
  /** Counted from 1, as a design names it. */
  readonly number: number;
  readonly points: Ring;
  readonly closed: boolean;
  readonly layer: string;
  readonly lengthMm: number;
  /** What its first point is counted as in a design, before its ends are moved. */
  readonly firstPoint: number;
}

/** From the outline in, where nothing is said (mm). */
export const usualSetbackMm = 10;
/** Lines are followed this closely (mm): finer than any saw, and far fewer points. */
const followedMm = 0.05;
/** Lines shorter than this draw nothing (mm). */
const shortestMm = 5;
/** So much line is followed in all (mm): more is a slip of the keyboard, not a sign. */
const mostLineMm = 200_000;

type Raw = Omit<LitLine, 'number' | 'lengthMm' | 'firstPoint'>;

/** Points taken out where the line stays within `followedMm` without them. */
const thinned = ({ points, closed, layer }: Raw): Raw => ({
  points: closed ? (simplify([points], followedMm)[0] ?? points) : simplifyLine(points, followedMm),
  closed,
  layer,
});

const movedLines = (lines: readonly MedialLine[], dx: number, dy: number): readonly MedialLine[] =>
  lines.map((line) => ({ ...line, points: line.points.map(([x, y]): Point => [x + dx, y + dy]) }));

type Middles = (part: Outline) => readonly MedialLine[];

const middles = (outline: Outline, axis: Middles): readonly Raw[] =>
  solidParts(outline).flatMap((part) =>
    wideStrokes(axis(part), 0).map(({ points, closed }) => ({ points, closed, layer: '' })),
  );

const insets = (outline: Outline, setbackMm: number): readonly Raw[] =>
  offset(outline, -setbackMm).map((points) => ({ points, closed: true, layer: '' }));

const drawn = (design: LinesDesign): readonly Raw[] => {
  const { lines = [], scale = 1 } = design.drawn ?? {};
  return lines.map(({ points, closed, layer = '', roundMm = 0 }) => ({
    points: roundCorners(pointsOf(points, scale), closed, roundMm),
    closed,
    layer,
  }));
};

/** The first points of a line drawn out by so much along its way, or taken back where that is negative. */
const withStart = (points: Ring, byMm: number): { readonly points: Ring; readonly firstPoint: number } => {
  if (byMm === 0 || points.length < 2) return { points, firstPoint: 0 };
  const [first, second] = [points[0]!, points[1]!];
  if (byMm > 0) {
    const length = Math.hypot(first[0] - second[0], first[1] - second[1]) || 1;
    const drawnOut: Point = [
      first[0] + ((first[0] - second[0]) * byMm) / length,
      first[1] + ((first[1] - second[1]) * byMm) / length,
    ];
    return { points: [drawnOut, ...points], firstPoint: -1 };
  }
  const line = measureLine(points, false);
  // Not more than leaves a line.
  const gone = Math.min(-byMm, 0.9 * line.lengthMm);
  let passed = 0;
  for (let at = 1; at < points.length; at += 1) {
    passed += Math.hypot(points[at]![0] - points[at - 1]![0], points[at]![1] - points[at - 1]![1]);
    if (passed > gone) return { points: [line.station(gone).at, ...points.slice(at)], firstPoint: at - 1 };
  }
  return { points, firstPoint: 0 };
};

/** A closed line larger or smaller about the middle of its box. */
const ownScaled = (points: Ring, scale: number): Ring => {
  const bounds = outlineBounds([points]);
  if (bounds === null || scale === 1) return points;
  const [x, y] = [bounds.x + bounds.width / 2, bounds.y + bounds.height / 2];
  return points.map(([px, py]): Point => [x + (px - x) * scale, y + (py - y) * scale]);
};

/** A line with its ends drawn out or taken back, or made larger where it is closed; and what its first point is counted as. */
export const withEnds = (
  { points, closed }: Pick<LitLine, 'points' | 'closed'>,
  startMm: number,
  endMm: number,
  ownScale: number,
) => {
  if (closed) return { points: ownScaled(points, ownScale), firstPoint: 0 };
  const { points: begun, firstPoint } = withStart(points, startMm);
  return { points: [...withStart([...begun].reverse(), endMm).points].reverse(), firstPoint };
};

const shiftsOf = ({ corners = [] }: LinesDesign, number: number): readonly PointShift[] =>
  corners.filter(({ line }) => line === number).map(({ point, xMm, yMm }) => ({ point, by: [xMm, yMm] }));

/** The longest first: where lines meet, the longer one goes through. */
type Measured = Raw & Pick<LitLine, 'lengthMm'>;

const byLength = (lines: readonly Measured[]): readonly (Measured & Pick<LitLine, 'number'>)[] =>
  [...lines].sort((a, b) => Math.round(b.lengthMm - a.lengthMm)).map((line, index) => ({ ...line, number: index + 1 }));

/**
 * The lines of light of a design, the longest first: middles of strokes, lines inside outlines, or as drawn, scaled about the origin. Fails
 * where there are none, or too many, with the field.
 */
export const litLines = (
  outline: Outline,
  design: LinesDesign,
  axis: Middles = medialAxis,
): Result<readonly LitLine[]> => {
  const { from, setbackMm = usualSetbackMm, scale = 1 } = design;
  const raw =
    from === 'drawn' ? drawn(design) : from === 'outline' ? insets(outline, setbackMm) : middles(outline, axis);
  const path = pathOf(from === 'drawn' ? own.lines.drawn : own.lines.from);
  const measured = raw
    .map((line) => (from === 'drawn' ? line : thinned(line)))
    .map((line) => ({ ...line, lengthMm: measureLine(line.points, line.closed).lengthMm }))
    .filter(({ points, lengthMm }) => points.length > 1 && lengthMm >= shortestMm);
  if (measured.length === 0)
    return failure({
      path,
      message:
        raw.length > 0
          ? `has no line of ${shortestMm} mm or more; draw longer ones, or make it larger`
          : from === 'outline'
            ? `finds no room ${setbackMm} mm inside the outline; set the line less far back`
            : 'has no line in it; draw one, or say what it is to read',
    });
  if (measured.length > mostDrawnLines)
    return failure({
      path,
      message: `has ${measured.length.toLocaleString('en')} lines; Vitrum follows up to ${mostDrawnLines}. Join them, or leave out what is not lit`,
    });
  const totalMm = measured.reduce((sum, { lengthMm }) => sum + lengthMm * scale, 0);
  if (!(totalMm <= mostLineMm))
    return failure({
      path,
      message: `comes to ${Math.round(totalMm / 1000).toLocaleString('en')} m of line; Vitrum lays up to ${mostLineMm / 1000} m. Make it smaller`,
    });
  const numbered = byLength(measured);
  return success(
    numbered.map(({ number, ...line }): LitLine => {
      const { startMm = 0, endMm = 0, scale: ownScale = 1 } = design.ends?.find((each) => each.line === number) ?? {};
      const scaled = line.points.map(([x, y]): Point => [x * scale, y * scale]);
      const cornered = shiftPoints(scaled, line.closed, shiftsOf(design, number));
      const { points, firstPoint } = withEnds({ ...line, points: cornered }, startMm, endMm, ownScale);
      return { ...line, number, points, firstPoint, lengthMm: measureLine(points, line.closed).lengthMm };
    }),
  );
};

/** `litLines`, with the middles of strokes memoized by the shape of each letter. */
export const litLinesByShape = () => {
  const axis = byShape(medialAxis, movedLines);
  return (outline: Outline, design: LinesDesign) => litLines(outline, design, axis);
};
