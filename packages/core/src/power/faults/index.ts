export { testBoardOf, type TestBoard, type TestPoint } from './test-board.js';
export {
  diagnosisOf,
  nextProbe,
  sameProbe,
  suspectsLeft,
  type Diagnosis,
  type Symptoms,
  type Suspect,
} from './diagnose.js';
export { ohmsBetween, type Tip } from './continuity.js';
export { faultsOf, faultWords } from './list-faults.js';
export { hiddenFault, parFor, scoreOf, showAlike, type Level } from './practice.js';
export {
  benchOf,
  judge,
  gradeOf,
  judgeProbe,
  lightOf,
  appearanceOf,
  probesOf,
  probeWords,
  readingOf,
  type Bench,
} from './symptoms.js';
export type { Fault, ReadingGrade, Appearance, Probe, Reading } from './types.js';
export { soundNetwork, withFault } from './with-fault.js';
