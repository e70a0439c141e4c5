import type { Lettering } from '../../artwork/lettering/index.js';
import type { BoxMaterials } from './materials.js';
import type { Cutter } from '../../document/catalogue/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import type { Brief } from '../../document/design/index.js';
import type { BoxArtwork, CaseDesign } from './schema.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { LightRuns } from '../../light/runs/index.js';
import type { Finishing } from '../../making/finishing/index.js';
import type { Hang } from '../../making/hanging/index.js';
import type { CutPart } from '../../making/parts/index.js';

/** What parts are cut from. */
export interface PartFacts {
  readonly brief: Brief;
  readonly mode: BoxArtwork['mode'];
  /** Letters are worked from behind, so that their drawings are mirrored. */
  readonly mirrored: boolean;
  readonly design: CaseDesign;
  readonly geometry: CaseGeometry;
  readonly materials: BoxMaterials;
  readonly runs: LightRuns;
  readonly lettering: Lettering;
}

/** What the build list is written from. */
export interface StepFacts extends PartFacts {
  readonly parts: readonly CutPart[];
  readonly circuit: Circuit;
  /** Blades and bits of the shop. */
  readonly cutters: readonly Cutter[];
  readonly hang: Hang | null;
  readonly finishing: Finishing;
}
