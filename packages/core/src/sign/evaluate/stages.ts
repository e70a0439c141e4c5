import type { FontBook } from '../../artwork/lettering/index.js';
import { pipelinesOf } from '../../builds/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { Design } from '../../document/design/index.js';
import type { GridLimits } from '../../light/glow/index.js';
import { failure, type Result } from '../../base/result.js';
import type { StageRun } from './types.js';

/**
 * The pipelines of all builds, every stage remembering its last call by the identity of its inputs: an edit recomputes
 * only what lies downstream of it. One runner serves one page or one search.
 */
export const createStages = (catalogue: Catalogue, fonts: FontBook, limits: GridLimits) => {
  const pipelines = pipelinesOf(catalogue, fonts, limits);
  return (design: Design): Result<StageRun> => {
    const [assembly] = design.assemblies;
    if (assembly === undefined) return failure({ path: 'assemblies', message: 'a design needs one assembly' });
    return pipelines(design, assembly);
  };
};
