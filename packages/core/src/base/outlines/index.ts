export { compose, growth, unmoved } from './affine.js';
export { measureLine, type MeasuredLine, type Station } from './along.js';
export { addShape, movedToOrigin, byShape, outlineByShape } from './by-shape.js';
export { coverage } from './coverage.js';
export { distanceToLine, distanceToOutline } from './distance.js';
export { inOutline, inRing, insideByLine } from './inside.js';
export { lookedInto, type LookedInto } from './looked-into.js';
export { besideCut } from './kerf.js';
export { lengthInside } from './inside-length.js';
export {
  mapOutline,
  moveOutline,
  turnedOver,
  outlineArea,
  outlineBounds,
  outlineCentroid,
  rectRing,
  ringArea,
  ringLength,
} from './measure.js';
export { levelStretches } from './level-stretches.js';
export { splitAlong, splitAlongAll, type CutLine, type Registration, type Split } from './split.js';
export { ringsNear } from './near-box.js';
export { pointsOf } from './points-of.js';
export { roundCorners } from './round-corners.js';
export { shiftPoints, type PointShift } from './shift-points.js';
export { solidParts } from './solid-parts.js';
export type { Affine, Outline, Point, Rect, Ring } from './types.js';
export {
  bandAlong,
  coarseArcMm,
  intersect,
  offset,
  simplify,
  simplifyLine,
  subtract,
  unite,
  type BandStyle,
  type FillBy,
} from './unite.js';
export { likelyCrossings } from './crossings.js';
