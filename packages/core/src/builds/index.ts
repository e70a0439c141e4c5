import type { AnyAssembly, AssemblyResults } from '../judging/results/index.js';
import { registry } from './registry.js';
import type { Build, Laid, OtherArtwork } from './common/build.js';

export type {
  Build,
  BuildWords,
  BuildWork,
  Laid,
  LightAim,
  Lighting,
  Lit,
  NewJobAnswers,
  OtherArtwork,
  OwnParts,
  Seed,
  SizeQuestion,
  SliceDepth,
  SoakPoint,
  Stages,
  Wired,
} from './common/build.js';
export { opaque, wallRgb, type Front, type FrontRim, type FrontShape, type Paint } from './common/front.js';
export { worthOfADoubling } from './common/seeds.js';
export { sizeProblems, usualSizes } from './common/size-problems.js';
export { stageNames, type StageName } from './common/stage-names.js';
export type { TraceReport } from './common/trace-report.js';
export type { FaceChange, Tryout } from './common/tryout.js';

export type { BoxResults, BoxResultsOf } from './boxes/results.js';
export { usualGroovePlayMm } from './boxes/geometry.js';
export { usualInsetMm } from './boxes/rim.js';
export { boxSides, type BoxAssembly, type BoxSide } from './boxes/schema.js';
export type { LightboxAssembly } from './lightbox/schema.js';
export { passesOf, timesAlong } from './boxes/sides.js';
export { isPrinted, usualPrint } from './halo/printing.js';
export { usualMirror } from './frame/materials.js';
export type { FrameResults } from './frame/results.js';
export { beadWideMm } from './frame/glued-mirror.js';
export { bandChange, bandLight, hasInnerFrame } from './frame/inner-frame.js';
export { toKind } from './frame/kinds.js';
export { mirrorWays, mirrorWorkOf, usualMirrorWork, type MirrorWay, type MirrorWork } from './frame/mirror-work.js';
export { type FrameAssembly, type FrameKind, type ShowsDesign } from './frame/schema.js';
export { usualBorderMm } from './layers/outlines.js';
export { pileWords } from './layers/parts.js';
export type { LayersResults } from './layers/results.js';
export { usualViewDeg, type StandingSheet } from './layers/scene.js';
export {
  mostSheets,
  type LayersAssembly,
  type SceneDesign,
  type SheetDesign,
  type StripBehind,
} from './layers/schema.js';
export { loopHeights } from './stacked/runs.js';
export type { StackedResults } from './stacked/results.js';
export { mostRings, usualFromWallMm, type PlatesDesign, type StackedAssembly } from './stacked/schema.js';
export { cutAlong, mostLinePoints, type CutAlong } from './common/cut-along.js';
export { mostPixels, type PictureDesign } from './common/picture-schema.js';
export type { HaloResults } from './halo/results.js';
export type { HaloAssembly } from './halo/schema.js';
export type { FaceLitResults } from './face-lit/results.js';
export type { FaceLitAssembly } from './face-lit/schema.js';
export { passesFor, type WorkedArea } from './edge-lit/areas.js';
export { freePlace, type PicturePlace } from './edge-lit/free-place.js';
export { frameHanging, usualHolder, type HeldSheet } from './edge-lit/holders.js';
export { usualEngraver } from './edge-lit/materials.js';
export { photoSize, photoWants } from './edge-lit/photo.js';
export { restOfReel } from './edge-lit/rest-of-reel.js';
export { drawnSize } from './edge-lit/sheet-outline.js';
export { heldSheet, type PanelResults } from './edge-lit/results.js';
export {
  mostAreas,
  mostTones,
  type BaseDesign,
  type EdgeLitAssembly,
  type FrameDesign,
  type HolderDesign,
  type PanelArtwork,
  type PanelPhoto,
  type TopDesign,
} from './edge-lit/schema.js';
export { densestMm } from './edge-lit/worked.js';
export { bareOf, evenWays, isEven, runsIn, unevenRuns, usualBareMm, type EvenChange } from './groove/even-ways.js';
export type { LitLine } from './groove/lines.js';
export { usualBack } from './groove/materials.js';
export type { GrooveResults } from './groove/results.js';
export { roomBehind } from './groove/room-behind.js';
export type { CarrierDesign, GrooveAssembly, LinesDesign } from './groove/schema.js';
export type { BackerDesign } from './letters/backer/schema.js';
export type { LetterAssembly, LetterResults } from './letters/results.js';
export type { LetterArtwork, LetterLight } from './letters/schema.js';
export { middleSplit } from './letters/splits.js';
export { lanternRooms } from './together/lantern-rooms.js';

type Registered = (typeof registry)[number];

/** The name of a build, an assembly of any, and what its stages find: derived from the registry. */
export type BuildName = Registered['name'];
export type Assembly = ReturnType<Registered['start']>['assemblies'][number];
export type BuildResults = Parameters<Registered['depth']>[0];

/** A build whose assemblies are of no known kind: what the parts of the program see that go over all of them. */
export type AnyBuild = Build;

// A build takes its own assemblies alone; which those are, the name in each says. Nothing else stands for that.
const builds = registry as unknown as readonly AnyBuild[];

const byName: ReadonlyMap<string, AnyBuild> = new Map(builds.map((build) => [build.name, build]));

/** Every build, in the order in which they are offered. */
export const allBuilds: readonly AnyBuild[] = builds;

/** The build of an assembly. Throws at a name that is not registered: no design that was read has one. */
export const buildOf = ({ build }: { readonly build: string }): AnyBuild => {
  const found = byName.get(build);
  if (found === undefined) throw new Error(`no build is called “${build}”`);
  return found;
};

/** Text and drawings of an assembly beside its artwork. */
export const otherArtworkOf = (assembly: AnyAssembly): readonly OtherArtwork[] =>
  buildOf(assembly).otherArtwork?.(assembly) ?? [];

/** What stands before the circuit, for the parts that pass it on. */
export type AnyLaid = Laid;
export type AnyResults = AssemblyResults;
