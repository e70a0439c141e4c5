import type { Pane } from '../../document/catalogue/index.js';
import type { BoxMaterials } from '../boxes/materials.js';
import type { BoxLaid, BoxResultsOf } from '../boxes/results.js';
import type { FrameAssembly } from './schema.js';

/** What a frame is made of: a case, and the mirror where it shows one. */
export interface FrameMaterials extends BoxMaterials {
  readonly mirror: Pane | null;
}

/** What the stages find for a display frame. */
export interface FrameResults extends BoxResultsOf<FrameAssembly> {
  readonly materials: FrameMaterials;
}

/** What stands before the circuit. */
export interface FrameLaid extends BoxLaid {
  readonly materials: FrameMaterials;
}
