export { learnedFactor, type Learned, type Prior } from './learned.js';
export { recordLinesOf, type RecordLine } from './record-lines.js';
export { learnedCurrents, type JobReadings, type StripCurrent } from './strips.js';
export { learnedTimes, phasesOf, type JobTimes, type PhaseOfJob, type PhaseTimes } from './times.js';
