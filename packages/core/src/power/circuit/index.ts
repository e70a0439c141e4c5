export { runTimeOf, type RunTime } from './battery.js';
export { hardestUsed, ratingShare } from './carriers.js';
export { colourShiftOf } from './chain-figures.js';
export {
  fittingSupplies,
  leadDropShare,
  limitedPowerWatts,
  pairOhm,
  sourceOf,
  supplyChoices,
  type SupplyChoice,
} from './choose-supply.js';
export { suitsDrive, type Drive } from './choose-controller.js';
export {
  backsOf,
  conductorsOf,
  coresOf,
  coreWords,
  wireKind,
  type Carries,
  type Core,
  type WireKind,
} from './cores.js';
export { groupLoads, nominalAmps } from './group-loads.js';
export { boughtAs, pairsOf } from './choose-supply.js';
export { jointOf, jointPieces, jointWords } from './joints.js';
export { networkOf, type Conductors, type PlacedNetwork, type StripSegment, type Wiring } from './network-of.js';
export { groupUp, matchOf, pairsOfGroups, type GroupMatch, type SeriesGroups } from './series-groups.js';
export { isInSeries, type SegmentEnd, type WireEnd } from './wiring-plan.js';
export { routeLengthMm, straight, type Route, type Router } from './route.js';
export {
  assemblyLabel,
  sameSegment,
  segmentIndexOf,
  signRunsOf,
  type SignRuns,
  type WiredAssembly,
  type WiredSegment,
} from './sign-runs.js';
export type { Carrier, Chain, Circuit, Groups, SharedPair, WireRun } from './types.js';
export { withOutputsOff, withPixelsOff } from './channels-off.js';
export { drivingStrip } from './driving-strip.js';
export { solveCircuit } from './solve-circuit.js';
