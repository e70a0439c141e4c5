import { rulesOf } from '../builds/index.js';
import type { Materials } from '../catalogue/index.js';
import type { Assembly, LightDesign } from '../design/index.js';
import type { CaseGeometry } from '../geometry/index.js';
import type { Result } from '../result.js';
import type { LightRuns } from './types.js';

export type { LedField, LightRuns, Point3, Segment } from './types.js';

/** The light runs stage: strip cut to whole cuts, laid by the rules of the build. Fails when there are more LEDs than can be lit. */
export const layRuns = (
  build: Assembly['build'],
  geometry: CaseGeometry,
  light: LightDesign,
  materials: Materials,
): Result<LightRuns> => rulesOf(build).runs(geometry, light, materials);
