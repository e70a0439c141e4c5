export { coverage } from './coverage.js';
export { inOutline, inRing } from './inside.js';
export { moveOutline, outlineArea, outlineBounds, rectRing, ringArea } from './measure.js';
export type { Outline, Point, Rect, Ring } from './types.js';
export { subtract, unite } from './unite.js';
