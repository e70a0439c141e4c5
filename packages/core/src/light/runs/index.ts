export type {
  CornerWay,
  Jumper,
  LedField,
  LetterRuns,
  LightRuns,
  LightShare,
  OwnStrip,
  Point3,
  Segment,
  SetChannel,
  StripCorner,
} from './types.js';
export { stripsOf, wattsOfRuns, type StripOf } from './strips-of.js';
