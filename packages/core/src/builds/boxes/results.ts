import type { AssemblyResults } from '../../judging/results/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { BoxGlow } from '../../light/glow/index.js';
import type { FaceStack } from '../../light/optics/index.js';
import type { Laid } from '../common/build.js';
import type { BoxMaterials } from './materials.js';
import type { BoxAssembly } from './schema.js';

/** What the stages find for a case with a lit face. */
export interface BoxResultsOf<Own extends BoxAssembly> extends AssemblyResults<Own> {
  readonly materials: BoxMaterials;
  readonly geometry: CaseGeometry;
  readonly stack: FaceStack;
  readonly glow: BoxGlow;
}

/** The same, of whichever build. */
export type BoxResults = BoxResultsOf<BoxAssembly>;

/** What stands before the circuit. */
export interface BoxLaid extends Laid {
  readonly materials: BoxMaterials;
  readonly geometry: CaseGeometry;
  readonly stack: FaceStack;
}
