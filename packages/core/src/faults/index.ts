export { boardOf, type Board, type TestPoint } from './board.js';
export {
  diagnosisOf,
  nextProbe,
  sameProbe,
  suspectsLeft,
  type Diagnosis,
  type Signs,
  type Suspect,
} from './diagnose.js';
export { ohmsBetween, type Tip } from './continuity.js';
export { faultsOf, faultWords } from './list-faults.js';
export { hiddenFault, parFor, scoreOf, showAlike, type Level } from './practice.js';
export {
  benchOf,
  judge,
  judgedOf,
  judgeProbe,
  lightOf,
  lookOf,
  probesOf,
  probeWords,
  readingOf,
  type Bench,
} from './signs.js';
export type { Fault, Judged, Look, Probe, Reading } from './types.js';
export { soundNetwork, withFault } from './with-fault.js';
export { createFaultSession, type BoardDrawing, type FaultReply, type FaultRequest } from './fault-session.js';
