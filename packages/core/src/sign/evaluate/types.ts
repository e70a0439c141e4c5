import type { Lettering } from '../../artwork/lettering/index.js';
import type { CansGlow, DevelopedReturn } from '../../light/can/index.js';
import type { CommonMaterials, FaceLitMaterials, HaloMaterials, Materials } from '../../document/catalogue/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import type { Cost } from '../../making/cost/index.js';
import type { Assembly, Design, FaceLitAssembly, HaloAssembly, LightboxAssembly } from '../../document/design/index.js';
import type { Figure } from '../../judging/figures/types.js';
import type { Finding } from '../../judging/findings/types.js';
import type { CansGeometry, CaseGeometry, LettersGeometry, PieceGeometry } from '../../light/geometry/index.js';
import type { BoxGlow, Glow } from '../../light/glow/index.js';
import type { HaloGlow, PostedPart } from '../../light/wall/index.js';
import type { Heat } from '../../power/heat/index.js';
import type { Jumper, LetterRuns, LightRuns } from '../../light/runs/index.js';
import type { FaceStack } from '../../light/optics/index.js';
import type { Packing } from '../../making/packing/index.js';
import type { Parts } from '../../making/parts/index.js';
import type { Distribution } from '../../light/photometry/index.js';
import type { BuildList } from '../../making/steps/index.js';
import type { Section } from '../../light/section/index.js';
import type { Workability } from '../../artwork/workability/index.js';

/** The stages of the pipeline, in the order of the work; a build may do without some. */
export const stageNames = [
  'materials',
  'font',
  'artwork',
  'workability',
  'geometry',
  'runs',
  'section',
  'photometry',
  'optics',
  'circuit',
  'glow',
  'heat',
  'parts',
  'packing',
  'plan',
  'cost',
] as const;
export type StageName = (typeof stageNames)[number];

/** What the stages found for any build, all plain data. */
interface PieceResults<Own extends Assembly> {
  readonly build: Own['build'];
  readonly design: Design;
  readonly assembly: Own;
  readonly materials: CommonMaterials;
  readonly lettering: Lettering;
  readonly workability: Workability;
  readonly geometry: PieceGeometry;
  readonly runs: LightRuns;
  readonly section: Section;
  readonly distribution: Distribution;
  readonly circuit: Circuit;
  readonly glow: Glow;
  readonly heat: Heat;
  readonly parts: Parts;
  readonly packing: Packing;
  readonly buildList: BuildList;
  readonly cost: Cost;
}

/** A rectangular light box. */
export interface BoxResults extends PieceResults<LightboxAssembly> {
  readonly materials: Materials;
  readonly geometry: CaseGeometry;
  readonly stack: FaceStack;
  readonly glow: BoxGlow;
}

/** Halo letters. */
export interface HaloResults extends PieceResults<HaloAssembly> {
  readonly materials: HaloMaterials;
  readonly geometry: LettersGeometry;
  readonly runs: LetterRuns;
  readonly jumpers: readonly Jumper[];
  /** Part by part of the letters, with its posts. */
  readonly posts: readonly PostedPart[];
  readonly glow: HaloGlow;
}

/** Face-lit letters. */
export interface FaceLitResults extends PieceResults<FaceLitAssembly> {
  readonly materials: FaceLitMaterials;
  readonly geometry: CansGeometry;
  /** The return of each ring of the letters as drawn, rolled out flat. */
  readonly returns: readonly DevelopedReturn[];
  readonly runs: LetterRuns;
  readonly jumpers: readonly Jumper[];
  readonly stack: FaceStack;
  readonly glow: CansGlow;
}

/** What the stages found; `build` tells which. */
export type StageResults = BoxResults | HaloResults | FaceLitResults;

/** What is added to the stages’ results for the maker. */
interface Judged {
  readonly figures: readonly Figure[];
  /** Without fixes until their remedies have been tried. */
  readonly findings: readonly Finding[];
  /** The stages that had to be computed for this evaluation. */
  readonly recomputed: readonly StageName[];
}

/** All there is to know about a design, as plain data. */
export type Evaluation = StageResults & Judged;
export type BoxEvaluation = BoxResults & Judged;
export type HaloEvaluation = HaloResults & Judged;
export type FaceLitEvaluation = FaceLitResults & Judged;

/** Stage results and which stages had to be computed anew. */
export interface StageRun {
  readonly results: StageResults;
  readonly recomputed: readonly StageName[];
}
