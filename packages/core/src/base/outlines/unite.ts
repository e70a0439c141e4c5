import {
  difference,
  EndType,
  FillRule,
  inflatePaths,
  intersect as clipIntersect,
  JoinType,
  ramerDouglasPeuckerPaths,
  union,
  type Path64,
  type Paths64,
} from 'clipper2-ts';
import type { Outline, Point } from './types.js';

/** Whole micrometres: far below any tool, and exact in the clipper's integers. */
const unitsPerMm = 1000;
/** How far a rounded corner of an offset may stand off its arc (mm): in drawings, and where only strip follows. */
const arcToleranceMm = 0.005;
export const coarseArcMm = 0.08;

const toClipper = (outline: Outline): Paths64 =>
  outline.map((ring): Path64 =>
    ring.map(([x, y]) => ({ x: Math.round(x * unitsPerMm), y: Math.round(y * unitsPerMm) })),
  );

const fromClipper = (paths: Paths64): Outline =>
  paths.map((path) => path.map(({ x, y }): Point => [x / unitsPerMm, y / unitsPerMm]));

/** Which places count as inside where rings overlap: all that are wound round at all, or every other. */
export type FillBy = 'nonzero' | 'evenodd';

/** Overlapping and wrongly wound rings made into one clean outline; outer rings run anticlockwise, holes clockwise. */
export const unite = (outline: Outline, by: FillBy = 'nonzero'): Outline =>
  fromClipper(union(toClipper(outline), by === 'nonzero' ? FillRule.NonZero : FillRule.EvenOdd));

/** What is in `whole` and not in `cut`. */
export const subtract = (whole: Outline, cut: Outline): Outline =>
  fromClipper(difference(toClipper(whole), toClipper(cut), FillRule.NonZero));

/** What is in both. */
export const intersect = (one: Outline, other: Outline): Outline =>
  fromClipper(clipIntersect(toClipper(one), toClipper(other), FillRule.NonZero));

/**
 * The outline grown by `mm`, or shrunk where it is negative; corners of the growing side are rounded. Parts narrower than
 * twice the shrinking vanish.
 */
export const offset = (outline: Outline, mm: number, toleranceMm = arcToleranceMm): Outline =>
  mm === 0
    ? outline
    : fromClipper(
        inflatePaths(toClipper(outline), mm * unitsPerMm, JoinType.Round, EndType.Polygon, 2, toleranceMm * unitsPerMm),
      );

/** How a band ends, and how it goes round corners; sharp corners are cut off beyond four half widths. */
export interface BandStyle {
  readonly ends: 'round' | 'flat' | 'square';
  readonly corners: 'round' | 'sharp' | 'cut';
}

const endTypes = { round: EndType.Round, flat: EndType.Butt, square: EndType.Square };
const joinTypes = { round: JoinType.Round, sharp: JoinType.Miter, cut: JoinType.Bevel };
const sharpestCorner = 4;

/** Bands of `widthMm` along lines; closed ones come back to their start. */
export const bandAlong = (
  lines: readonly (readonly Point[])[],
  widthMm: number,
  closed = false,
  { ends, corners }: BandStyle = { ends: 'round', corners: 'round' },
  toleranceMm = arcToleranceMm,
): Outline =>
  fromClipper(
    inflatePaths(
      toClipper(lines),
      (widthMm / 2) * unitsPerMm,
      joinTypes[corners],
      closed ? EndType.Joined : endTypes[ends],
      sharpestCorner,
      toleranceMm * unitsPerMm,
    ),
  );

/** Points taken out where the line without them stays within `toleranceMm` (U. Ramer, 1972; D. Douglas & T. Peucker, 1973). */
export const simplify = (outline: Outline, toleranceMm: number): Outline =>
  fromClipper(ramerDouglasPeuckerPaths(toClipper(outline), toleranceMm * unitsPerMm)).filter((ring) => ring.length > 2);

/** The same of an open line: its ends stay. */
export const simplifyLine = (points: readonly Point[], toleranceMm: number): readonly Point[] =>
  fromClipper(ramerDouglasPeuckerPaths(toClipper([points]), toleranceMm * unitsPerMm))[0] ?? points;
