import type { Lettering } from '../artwork/index.js';
import type { Materials } from '../catalogue/index.js';
import type { Circuit } from '../circuit/index.js';
import type { Artwork, Brief, CaseDesign, LightDesign } from '../design/index.js';
import type { CaseGeometry } from '../geometry/index.js';
import type { LightRuns } from '../light-runs/index.js';
import type { CutPart } from '../parts/index.js';
import type { Step } from '../plan/index.js';
import type { Result } from '../result.js';
import type { Section } from '../section/index.js';

/** What differs between builds. Every stage asks these rules; none asks for the build's name. */
export interface BuildRules {
  readonly geometry: (design: CaseDesign, materials: Materials) => Result<CaseGeometry>;
  readonly section: (geometry: CaseGeometry, design: CaseDesign, materials: Materials, runs: LightRuns) => Section;
  readonly runs: (geometry: CaseGeometry, light: LightDesign, materials: Materials) => Result<LightRuns>;
  readonly cutParts: (facts: PartFacts) => readonly CutPart[];
  readonly steps: (facts: StepFacts) => readonly Step[];
}

/** What parts are cut from. */
export interface PartFacts {
  readonly brief: Brief;
  readonly mode: Artwork['mode'];
  /** Letters are worked from behind, so that their drawings are mirrored. */
  readonly mirrored: boolean;
  readonly design: CaseDesign;
  readonly geometry: CaseGeometry;
  readonly materials: Materials;
  readonly runs: LightRuns;
  readonly lettering: Lettering;
}

/** What the build list is written from. */
export interface StepFacts extends PartFacts {
  readonly parts: readonly CutPart[];
  readonly circuit: Circuit;
}
