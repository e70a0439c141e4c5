export type {
  CornerWay,
  Jumper,
  LedField,
  LetterRuns,
  LightRuns,
  LightShare,
  Point3,
  Segment,
  SetChannel,
  StripCorner,
} from './types.js';
