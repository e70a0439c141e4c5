export { capital } from './base/words/index.js';
export {
  asArtwork,
  asDrawnLines,
  takeDrawing,
  mostLayers,
  takeLayers,
  takeLines,
  usualIntake,
  type DrawingFile,
  type DrawnLine,
  type IntakeOptions,
  type TakenDrawing,
  type LayerOptions,
  type TakenLayer,
  type TakenLayers,
  type TakenLines,
} from './artwork/intake/index.js';
export { loadPaperFonts, type PaperFonts } from './making/paper/index.js';
export {
  fontListings,
  fontPacking,
  loadFontBook,
  openFontFile,
  parseFont,
  unpackWoff2,
  type FontBook,
  type FontListing,
  type FontWeights,
  type Lettering,
} from './artwork/lettering/index.js';
export {
  evenWays,
  isEven,
  roomBehind,
  runsIn,
  unevenRuns,
  usualBack,
  bareOf,
  usualBareMm,
  type CarrierDesign,
  type EvenChange,
  type GrooveAssembly,
  type GrooveResults,
  type LinesDesign,
  type LitLine,
  allBuilds,
  buildOf,
  middleSplit,
  sizeProblems,
  usualSizes,
  type AnyBuild,
  type Assembly,
  type BoxResults,
  type BuildName,
  frameHanging,
  heldSheet,
  usualEngraver,
  usualHolder,
  densestMm,
  drawnSize,
  freePlace,
  restOfReel,
  type PicturePlace,
  mostAreas,
  mostTones,
  passesFor,
  photoSize,
  photoWants,
  type PanelArtwork,
  type PanelPhoto,
  type BaseDesign,
  type EdgeLitAssembly,
  type FrameDesign,
  type TopDesign,
  type FaceLitAssembly,
  type FaceLitResults,
  type Front,
  type FrontShape,
  type HaloAssembly,
  type HaloResults,
  type HeldSheet,
  type HolderDesign,
  type PanelResults,
  type LetterArtwork,
  type BackerDesign,
  type LetterAssembly,
  type LetterLight,
  type LetterResults,
  boxSides,
  passesOf,
  timesAlong,
  type BoxSide,
  cutAlong,
  type CutAlong,
  mostLinePoints,
  mostPixels,
  bandChange,
  bandLight,
  beadWideMm,
  hasInnerFrame,
  mirrorWays,
  mirrorWorkOf,
  toKind,
  usualGroovePlayMm,
  usualMirrorWork,
  type MirrorWay,
  type MirrorWork,
  usualMirror,
  type BoxAssembly,
  type FrameAssembly,
  type FrameKind,
  type FrameResults,
  type LightboxAssembly,
  type PictureDesign,
  type ShowsDesign,
  type NewJobAnswers,
  type SizeQuestion,
  type SliceDepth,
  type TraceReport,
  mostSheets,
  pileWords,
  usualBorderMm,
  usualViewDeg,
  type LayersAssembly,
  type LayersResults,
  type SceneDesign,
  type SheetDesign,
  type StripBehind,
  type StandingSheet,
  loopHeights,
  mostRings,
  usualFromWallMm,
  type PlatesDesign,
  type StackedAssembly,
  type StackedResults,
  isPrinted,
  usualInsetMm,
  usualPrint,
} from './builds/index.js';
export { inPlace, placed, placedOutline, placedRect, rectRound, unplaced, type Placing } from './base/placing/index.js';
export { fieldsIn, frontOf, inDesign, type AnyAssembly, type AssemblyResults } from './judging/results/index.js';
export * from './document/calibrate/index.js';
export { kerfCoupon, kerfSquareMm } from './making/coupons/index.js';
export * from './document/catalogue/index.js';
export {
  designDifferences,
  differenceWords,
  mostCompared,
  type ComparedWay,
  type ToldDifference,
  type WayToCompare,
} from './sign/compare/index.js';
export { sheetSides, type SheetSide } from './light/sheet/index.js';
export { cornerWords } from './light/laying/index.js';
export {
  assemblyLabel,
  coreWords,
  drivingStrip,
  hardestUsed,
  jointWords,
  limitedPowerWatts,
  isInSeries,
  pairsOf,
  ratingShare,
  sameSegment,
  segmentIndexOf,
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
export type { Carrier, Chain, Circuit, WireRun, WiredSegment } from './power/circuit/index.js';
export type { Cost, CostLine } from './making/cost/index.js';
export {
  benchDesign,
  commissionSteps,
  expectedIn,
  judgeReading,
  readingWords,
  segmentTests,
  temperatureAt,
  type BenchSetting,
  type CommissionStep,
  type SegmentTest,
  type ThermometerPlace,
} from './sign/commissioning/index.js';
export * from './sign/demo/index.js';
export { wiringDiagram, type Diagram, type DiagramBox, type DiagramLink } from './power/diagram/index.js';
export {
  canonicalJson,
  deepestNesting,
  designFormat,
  designVersion,
  hangingWays,
  fieldsOf,
  maxDesignCharacters,
  mostAssemblies,
  mostParts,
  shapeProblem,
  pathOf,
  printDesign,
  set,
  valueAt as fieldValue,
  type Ambient,
  type AnyDesign,
  type Brief,
  type DesignChange,
  type FieldChange,
  type FieldRef,
  type Fields,
  type Frozen,
  type FinishingDesign,
  type HangingDesign,
  type Placement,
  type PowerDesign,
  type Reading,
  type SegmentRef,
} from './document/design/index.js';
export {
  addAssembly,
  applyChange,
  copyAssembly,
  designJsonSchema,
  parseDesign,
  readDesign,
  removeAssembly,
  unknownFields,
  type AssemblyAdded,
  type Design,
} from './sign/design/index.js';
export {
  createEvaluator,
  evaluate,
  finish,
  stageNames,
  type AssemblyEvaluation,
  type Evaluation,
  type Evaluator,
  type StageName,
  type TapeFigure,
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
export { cornerJoints, type CornerJoint, type Member, type Seat } from './joinery/members/index.js';
export type { ChannelSetUp, CutterInUse, SetUp, SetUps } from './joinery/setups/index.js';
export type { CaseGeometry } from './light/geometry/index.js';
export {
  ambientLux,
  brightnessLimit,
  surroundingsOf,
  type Surroundings,
  ambients,
  contrastThreshold,
  crossSection,
  evenEnough,
  fullGrid,
  histogram,
  linearOf,
  type LinearRgb,
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
export {
  drawingText,
  greyOf,
  isPdf,
  pdfAsSvg,
  pictureOfJpeg,
  pictureOfPng,
  type GreyPicture,
} from './artwork/drawings/index.js';
export type { Workability } from './artwork/workability/index.js';
export type { Heat } from './power/heat/index.js';
export type { Post } from './light/wall/index.js';
export {
  finishSystems,
  gluesFor,
  waitWords,
  type FinishedSurface,
  type Finishing,
  type GluedBond,
  type Layer,
  type Supplies,
} from './making/finishing/index.js';
export {
  fixingItems,
  hungSection,
  studMm,
  studsBetween,
  usualCleatMm,
  usualHeightMm,
  usualShiftMm,
  usualStudPitchMm,
  wayNames,
  type Cleat,
  type Hang,
  type HangingWay,
  type LoadedPost,
  type PostedPart,
  type WallFixing,
} from './making/hanging/index.js';
export type { LetterRuns, LightRuns, LightShare, Segment } from './light/runs/index.js';
export { shareStructure, seededRandom, type Random } from './base/maths/index.js';
export { measureLine, pointsOf } from './base/outlines/index.js';
export { shareSupply, stripDifferences, type StripDifference } from './document/catalogue/index.js';
export type { Outline, Point, Rect, Ring } from './base/outlines/index.js';
export type { Packing, PlacedPiece } from './making/packing/index.js';
export type { BoughtPart, CutPart, Parts } from './making/parts/index.js';
export * from './sign/picture/index.js';
export type { BuildList, Step, StepDrawing, StepView } from './making/steps/index.js';
export * from './base/result.js';
export type { Section, SectionShape } from './light/section/index.js';
export * from './sign/tryouts/index.js';
export * from './base/units/index.js';
export * from './session/index.js';
export { setByHand, solveSign, type SolvedSign } from './sign/solving/index.js';
export { createJudge, type Judge } from './sign/evaluate/index.js';
export * from './shop/records/index.js';
export * from './light/photograph/index.js';
export * from './sign/on-wall/index.js';
export { needsOf, type Need } from './shop/needs/index.js';
export * from './shop/log/index.js';
export * from './shop/care/index.js';
export * from './shop/quote/index.js';
export * from './shop/plan/index.js';
export { workPlaces, type StepWork, type WorkPlace } from './making/steps/index.js';
export * from './shop/stock/index.js';
