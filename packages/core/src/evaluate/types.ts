import type { FaceStack } from '../optics/index.js';
import type { Distribution } from '../photometry/index.js';
import type { Lettering } from '../artwork/index.js';
import type { Materials } from '../catalogue/index.js';
import type { Circuit } from '../circuit/index.js';
import type { Cost } from '../cost/index.js';
import type { Design } from '../design/index.js';
import type { Figure } from '../figures/index.js';
import type { Finding } from '../findings/types.js';
import type { CaseGeometry } from '../geometry/index.js';
import type { Glow } from '../glow/index.js';
import type { Heat } from '../heat/index.js';
import type { LightRuns } from '../light-runs/index.js';
import type { Packing } from '../packing/index.js';
import type { Parts } from '../parts/index.js';
import type { Plan } from '../plan/index.js';
import type { Workability } from '../workability/index.js';
import type { Section } from '../section/index.js';

/** The stages of the pipeline, in the order of the work. */
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

/** What the stages found, all plain data. */
export interface StageResults {
  readonly design: Design;
  readonly materials: Materials;
  readonly lettering: Lettering;
  readonly workability: Workability;
  readonly geometry: CaseGeometry;
  readonly runs: LightRuns;
  readonly section: Section;
  readonly distribution: Distribution;
  readonly stack: FaceStack;
  readonly circuit: Circuit;
  readonly glow: Glow;
  readonly heat: Heat;
  readonly parts: Parts;
  readonly packing: Packing;
  readonly plan: Plan;
  readonly cost: Cost;
}

/** All there is to know about a design, as plain data. */
export interface Evaluation extends StageResults {
  readonly figures: readonly Figure[];
  /** Without fixes until their remedies have been tried. */
  readonly findings: readonly Finding[];
  /** The stages that had to be computed for this evaluation. */
  readonly recomputed: readonly StageName[];
}
