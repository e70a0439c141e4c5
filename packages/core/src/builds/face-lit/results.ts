import type { CansGeometry } from '../../light/geometry/index.js';
import type { CansGlow, DevelopedReturn } from '../../light/can/index.js';
import type { FaceStack } from '../../light/optics/index.js';
import type { LetterLaid, LetterResults } from '../letters/results.js';
import type { FaceLitMaterials } from './materials.js';
import type { FaceLitAssembly } from './schema.js';

interface Own {
  readonly materials: FaceLitMaterials;
  readonly geometry: CansGeometry;
  /** The return of each ring of the letters as drawn, rolled out flat. */
  readonly returns: readonly DevelopedReturn[];
  readonly stack: FaceStack;
}

/** What the stages find for face-lit letters. */
export interface FaceLitResults extends LetterResults<FaceLitAssembly>, Own {
  readonly materials: FaceLitMaterials;
  readonly geometry: CansGeometry;
  readonly glow: CansGlow;
}

/** What stands before the circuit. */
export interface FaceLitLaid extends LetterLaid, Own {
  readonly materials: FaceLitMaterials;
  readonly geometry: CansGeometry;
}
