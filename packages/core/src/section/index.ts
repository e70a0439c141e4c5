import { rulesOf } from '../builds/index.js';
import type { Materials } from '../catalogue/index.js';
import type { Assembly, CaseDesign } from '../design/index.js';
import type { CaseGeometry } from '../geometry/index.js';
import type { LightRuns } from '../light-runs/index.js';
import type { Section } from './types.js';

export type { Section, SectionLayer, SectionShape } from './types.js';

/** The section stage: the case cut from top to bottom, every layer named. */
export const cutSection = (
  build: Assembly['build'],
  geometry: CaseGeometry,
  design: CaseDesign,
  materials: Materials,
  runs: LightRuns,
): Section => rulesOf(build).section(geometry, design, materials, runs);
