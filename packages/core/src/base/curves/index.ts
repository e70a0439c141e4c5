export {
  arcChords,
  arcStart,
  bulgeChords,
  ellipseRing,
  endpointArc,
  type EllipseArc,
  type EndpointArc,
} from './arc.js';
export { cubicChords, quadraticChords } from './bezier.js';
export { arcsAlong, findArcs, type ArcRing, type BulgedPoint } from './find-arcs.js';
export { flatnessMm, letterFlatnessMm } from './flatness.js';
export { isSpline, splineChords, type Spline } from './spline.js';
export { chordsThrough, type EndDirections } from './through-points.js';
