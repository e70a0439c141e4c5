import type { BoxLaid, BoxResultsOf } from '../boxes/results.js';
import type { Section } from '../../light/section/index.js';
import type { LayersGlow } from './glow.js';
import type { LayersMaterials } from './materials.js';
import type { Scene } from './scene.js';
import type { StripBand } from './strip-behind.js';
import type { LayersAssembly } from './schema.js';

/** What the stages find for a layered scene. */
export interface LayersResults extends BoxResultsOf<LayersAssembly> {
  readonly materials: LayersMaterials;
  readonly scene: Scene;
  /** The slice of the case alone: sheets are put into it wherever it is looked at. */
  readonly caseSection: Section;
  /** Strip that is hidden behind a sheet. */
  readonly bands: readonly StripBand[];
  readonly glow: LayersGlow;
}

/** What stands before the circuit. */
export interface LayersLaid extends BoxLaid {
  readonly materials: LayersMaterials;
  readonly scene: Scene;
  readonly caseSection: Section;
  readonly bands: readonly StripBand[];
}
