import type { HaloAssembly } from '../../document/design/index.js';
import type { HaloResults } from '../../sign/evaluate/types.js';
import type { Build } from '../shared/types.js';
import { haloFigures } from './figures.js';
import { haloPipeline } from './pipeline.js';
import { haloRules } from './rules.js';
import { haloSectionAt } from './section.js';

/** Opaque letters held off a wall, lit from behind. */
export const halo: Build<HaloAssembly, HaloResults> = {
  pipeline: haloPipeline,
  rules: haloRules,
  figures: haloFigures,
  sectionAt: ({ lettering, geometry, assembly, materials, runs, posts }, x) =>
    haloSectionAt(x, lettering.outline, geometry, assembly, materials, runs, posts),
};
