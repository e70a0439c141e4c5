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
  type IntakeOptions,
  type Lettering,
  type TakenDrawing,
} from './artwork/lettering/index.js';
export { middleSplit, sectionAt } from './builds/index.js';
export * from './document/calibrate/index.js';
export * from './document/catalogue/index.js';
export { cornerWords } from './light/laying/index.js';
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
} from './power/circuit/index.js';
export {
  judgeProbe,
  scoreOf,
  type ReadingGrade,
  type Level,
  type Appearance,
  type Probe,
  type Symptoms,
} from './power/faults/index.js';
export type { Carrier, Chain, Circuit, Joint, WireRun } from './power/circuit/index.js';
export type { Cost, CostLine } from './making/cost/index.js';
export {
  benchDesign,
  commissionSteps,
  judgeReading,
  readingWords,
  temperatureAt,
  type BenchSetting,
  type CommissionStep,
  type ThermometerPlace,
} from './sign/commissioning/index.js';
export * from './sign/demo/index.js';
export { wiringDiagram, type Diagram, type DiagramBox, type DiagramLink } from './power/diagram/index.js';
export * from './document/design/index.js';
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
} from './sign/evaluate/index.js';
export * from './files/exports/index.js';
export type { Figure, FigureInput, FigureKind } from './judging/figures/index.js';
export {
  readsAsLit,
  type Finding,
  type Fix,
  type Measure,
  type Place,
  type Severity,
  type WorkStep,
} from './judging/findings/index.js';
export type { CaseGeometry, Member } from './light/geometry/index.js';
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
  type GridLimits,
  valueAt,
  type Spot,
  type Verdict,
} from './light/glow/index.js';
export { readIes, type Distribution, type PhotometricFile } from './light/photometry/index.js';
export { gridOver, type Grid } from './base/raster/index.js';
export type { FaceStack } from './light/optics/index.js';
export type { GreyPicture } from './artwork/drawings/index.js';
export type { Workability } from './artwork/workability/index.js';
export type { Heat } from './power/heat/index.js';
export type { Post, PostedPart } from './light/wall/index.js';
export type { LetterRuns, LightRuns, Segment } from './light/runs/index.js';
export { shareStructure, seededRandom, type Random } from './base/maths/index.js';
export { measureLine } from './base/outlines/index.js';
export type { Outline, Point, Rect, Ring } from './base/outlines/index.js';
export type { Packing, PlacedPiece } from './making/packing/index.js';
export type { BoughtPart, CutPart, Parts } from './making/parts/index.js';
export * from './files/picture/index.js';
export type { BuildList, Step } from './making/steps/index.js';
export * from './base/result.js';
export type { Section, SectionShape } from './light/section/index.js';
export { traceCheck, type TraceReport } from './builds/lightbox/trace-check/index.js';
export * from './sign/tryouts/index.js';
export * from './base/units/index.js';
export * from './session/index.js';
