export { learnedFactor, type Learned, type Prior } from './learned.js';
export { recordLinesOf, type RecordLine } from './record-lines.js';
export { learnedStrips, stripFigures, type JobReadings, type StripFigure, type StripLearned } from './strips.js';
export { learnedTimes, phasesOf, type JobTimes, type PhaseOfJob, type PhaseTimes } from './times.js';
export { isOffered } from './offer.js';
export { lessonsFor, lessonSubjects, stepKey, type Lesson, type LessonSubject, type Met } from './lessons.js';
