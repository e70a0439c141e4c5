import type { Outline } from '../../base/outlines/index.js';
import type { AssemblyResults } from '../../judging/results/index.js';
import type { FaceStack } from '../../light/optics/index.js';
import type { StackRoom } from '../../light/stack/index.js';
import type { Laid } from '../common/build.js';
import type { Inlay } from '../common/inlays.js';
import type { StackedGeometry } from './geometry.js';
import type { StackedGlow } from './glow.js';
import type { StackedMaterials } from './materials.js';
import type { StackedAssembly } from './schema.js';

/** The lid as it is cut: its letters, what stays of it, and how they are let in. */
export interface LetteredLid {
  /** Pockets within the lid; letters that reach over its edge end there. */
  readonly pockets: Outline;
  readonly solid: Outline;
  readonly inlay: Inlay | null;
  /** Mean width of their strokes; null without letters. */
  readonly strokeMm: number | null;
  /** Share of the letters’ area that lies over the rings or beyond the plates, where no light comes. */
  readonly overWallShare: number;
}

interface Own {
  readonly materials: StackedMaterials;
  readonly geometry: StackedGeometry;
  readonly lid: LetteredLid;
  /** What is let into the lid as light passes it. */
  readonly stack: FaceStack;
  readonly room: StackRoom;
}

/** What the stages find for stacked plates. */
export interface StackedResults extends AssemblyResults<StackedAssembly>, Own {
  readonly materials: StackedMaterials;
  readonly geometry: StackedGeometry;
  readonly glow: StackedGlow;
}

/** What stands before the circuit. */
export interface StackedLaid extends Laid, Own {
  readonly materials: StackedMaterials;
  readonly geometry: StackedGeometry;
}
