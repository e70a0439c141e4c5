export {
  layAlongOutline,
  type CornerWay,
  type Jumper,
  type OutlinePiece,
  type OutlineRuns,
  type OutlineWish,
  type StripCorner,
} from './along-outline.js';
export { placeLeds } from './led-field.js';
export { snapToCut, type Snapped } from './snap.js';

/** The most LEDs one design may light; more is a slip of the keyboard, not a sign. */
export const maxLeds = 120_000;
