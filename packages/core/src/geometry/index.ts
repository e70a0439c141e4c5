import { rulesOf } from '../builds/index.js';
import type { Materials } from '../catalogue/index.js';
import type { Assembly, CaseDesign } from '../design/index.js';
import type { Result } from '../result.js';
import type { CaseGeometry } from './types.js';

export type { CaseGeometry, Member, Seat, SheetSize } from './types.js';

/** The assembly geometry stage: every size of the case, by the rules of its build. Fails when parts cut through each other. */
export const caseGeometry = (
  build: Assembly['build'],
  design: CaseDesign,
  materials: Materials,
): Result<CaseGeometry> => rulesOf(build).geometry(design, materials);
