export { layAlong, type AlongOptions, type LaidSegment, type LaidStretch } from './along-paths.js';
export { withCuts, type SegmentCut } from './cut-segments.js';
export { segmentOfLaid } from './laid-segment.js';
export { placeLeds } from './led-field.js';
export { evenRuns, type DrawnRun, type EvenLimits, type EvenRun, type EvenWay } from './even-runs.js';
export { evenCorners, type CorneredLine, type CornerMoves, type RoomWanted } from './even-corners.js';
export { cornerWords, countWay } from './corner-words.js';
export { bareParts, bentPath, outlinePaths, rowPaths, type StripPath } from './outline-paths.js';
export { segmentAlong, type Blueprint } from './segment-along.js';
export { snapToCut, type Snapped } from './snap.js';

/** The most LEDs one design may light; more is a slip of the keyboard, not a sign. */
export const maxLeds = 120_000;
