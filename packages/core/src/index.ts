export {
  asArtwork,
  fontListings,
  loadFontBook,
  parseFont,
  takeDrawing,
  usualIntake,
  type DrawingFile,
  type FontBook,
  type FontListing,
  type IntakeWish,
  type Lettering,
  type TakenDrawing,
} from './artwork/index.js';
export { middleSplit, sectionAt } from './builds/index.js';
export * from './calibrate/index.js';
export * from './catalogue/index.js';
export { cornerWords } from './laying/index.js';
export {
  coreWords,
  hardestUsed,
  joints,
  limitedPowerWatts,
  ratingShare,
  sourceOf,
  suitsDrive,
  supplyChoices,
  wireKind,
} from './circuit/index.js';
export {
  createFaultSession,
  judgeProbe,
  scoreOf,
  type BoardDrawing,
  type FaultReply,
  type FaultRequest,
  type Judged,
  type Level,
  type Look,
  type Probe,
  type Signs,
} from './faults/index.js';
export type { Carrier, Chain, Circuit, Joint, WireRun } from './circuit/index.js';
export type { Cost, CostLine } from './cost/index.js';
export {
  benchDesign,
  commissionSteps,
  judgeReading,
  readingWords,
  temperatureAt,
  type BenchSetting,
  type CommissionStep,
  type ThermometerPlace,
} from './commissioning/index.js';
export * from './demo/index.js';
export { wiringDiagram, type Diagram, type DiagramBox, type DiagramLink } from './diagram/index.js';
export * from './design/index.js';
export {
  createEvaluator,
  evaluate,
  finish,
  stageNames,
  type BoxEvaluation,
  type Evaluation,
  type Evaluator,
  type FaceLitEvaluation,
  type HaloEvaluation,
  type StageName,
} from './evaluate/index.js';
export * from './exports/index.js';
export type { Figure, FigureInput, FigureKind } from './figures/index.js';
export {
  readsAsLit,
  type Finding,
  type Fix,
  type Measure,
  type Place,
  type Severity,
  type WorkStep,
} from './findings/index.js';
export type { CaseGeometry, Member } from './geometry/index.js';
export {
  ambientLux,
  ambients,
  contrastThreshold,
  crossSection,
  evenEnough,
  fullGrid,
  histogram,
  linearOf,
  previewGrid,
  type Daylight,
  type Evenness,
  type Glow,
  type GridWish,
  valueAt,
  type Spot,
  type Verdict,
} from './glow/index.js';
export { readIes, type Distribution, type PhotometricFile } from './photometry/index.js';
export { gridOver, type Grid } from './raster/index.js';
export type { FaceStack } from './optics/index.js';
export type { GreyPicture } from './drawings/index.js';
export type { Workability } from './workability/index.js';
export type { Heat } from './heat/index.js';
export type { Post, PostedPart } from './halo/index.js';
export type { LetterRuns, LightRuns, Segment } from './light-runs/index.js';
export { reuse, seededRandom, type Random } from './maths/index.js';
export { measureLine } from './outlines/index.js';
export type { Outline, Point, Rect, Ring } from './outlines/index.js';
export type { Packing, PlacedPiece } from './packing/index.js';
export type { BoughtPart, CutPart, Parts } from './parts/index.js';
export * from './picture/index.js';
export type { Plan, Step } from './plan/index.js';
export * from './result.js';
export type { Section, SectionShape } from './section/index.js';
export { traceCheck, type TraceReport } from './tracecheck/index.js';
export * from './tryouts/index.js';
export * from './units/index.js';
export * from './session/index.js';
