import type { PlacedPiece } from '../making/packing/index.js';

const almost = 1e-6;

/** Whether two pieces lie over one another, or nearer than a kerf. */
export const overlapOf = (a: PlacedPiece, b: PlacedPiece, kerfMm: number): boolean =>
  a.sheet === b.sheet &&
  a.x < b.x + b.widthMm + kerfMm - almost &&
  b.x < a.x + a.widthMm + kerfMm - almost &&
  a.y < b.y + b.heightMm + kerfMm - almost &&
  b.y < a.y + a.heightMm + kerfMm - almost;
