import type { LettersGeometry } from '../../light/geometry/index.js';
import type { HaloGlow } from '../../light/wall/index.js';
import type { PostedPart } from '../../making/hanging/index.js';
import type { LetterLaid, LetterResults } from '../letters/results.js';
import type { HaloMaterials } from './materials.js';
import type { HaloAssembly } from './schema.js';

interface Own {
  readonly materials: HaloMaterials;
  readonly geometry: LettersGeometry;
  /** Part by part of the letters, with its posts. */
  readonly posts: readonly PostedPart[];
}

/** What the stages find for halo letters. */
export interface HaloResults extends LetterResults<HaloAssembly>, Own {
  readonly materials: HaloMaterials;
  readonly geometry: LettersGeometry;
  readonly glow: HaloGlow;
}

/** What stands before the circuit. */
export interface HaloLaid extends LetterLaid, Own {
  readonly materials: HaloMaterials;
  readonly geometry: LettersGeometry;
}
