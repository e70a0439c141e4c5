export type { CornerWay, Jumper, LedField, LetterRuns, LightRuns, Point3, Segment, StripCorner } from './types.js';
