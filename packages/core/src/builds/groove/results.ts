import type { Lettering } from '../../artwork/lettering/index.js';
import type { Brief } from '../../document/design/index.js';
import type { AssemblyResults } from '../../judging/results/index.js';
import type { Laid } from '../common/build.js';
import type { GrooveGeometry } from './geometry.js';
import type { GrooveGlow } from './glow.js';
import type { GrooveMaterials } from './materials.js';
import type { GrooveRuns } from './runs.js';
import type { GrooveAssembly } from './schema.js';

interface Own {
  readonly materials: GrooveMaterials;
  readonly geometry: GrooveGeometry;
  readonly runs: GrooveRuns;
}

/** What the stages find for strip in a groove. */
export interface GrooveResults extends AssemblyResults<GrooveAssembly>, Own {
  readonly materials: GrooveMaterials;
  readonly geometry: GrooveGeometry;
  readonly runs: GrooveRuns;
  readonly glow: GrooveGlow;
}

/** What stands before the circuit. */
export interface GrooveLaid extends Laid, Own {
  readonly materials: GrooveMaterials;
  readonly geometry: GrooveGeometry;
  readonly runs: GrooveRuns;
}

/** What parts and steps are made from. */
export interface GrooveFacts extends Own {
  readonly brief: Brief;
  readonly assembly: GrooveAssembly;
  readonly lettering: Lettering;
}

/** The same of what was found. */
export const factsOf = ({
  design,
  assembly,
  geometry,
  materials,
  runs,
  lettering,
}: Pick<GrooveResults, 'design' | 'assembly' | 'geometry' | 'materials' | 'runs' | 'lettering'>): GrooveFacts => ({
  brief: design.brief,
  assembly,
  geometry,
  materials,
  runs,
  lettering,
});
