import { fieldsIn } from '../../judging/results/index.js';
import type { Build } from '../common/build.js';
import { closedSoakPoints } from '../common/soak-points.js';
import { dropRows } from './candidates.js';
import { boxCones } from './cones.js';
import { lightboxDemos, lightboxSizes, newLightbox } from './demos.js';
import { lightboxFigures } from './figures.js';
import { lightboxFront } from './front.js';
import type { BoxLaid, BoxResults } from './results.js';
import { lightboxRules } from './rules.js';
import { boxSeeds } from './seeds.js';
import { lightboxSchema, type LightboxAssembly } from './schema.js';
import { lightboxStages } from './stages.js';
import { boxStripTemplate } from './template.js';
import { traceCheck } from './trace-check/index.js';
import { lightboxTryout } from './tryout.js';

/** A rectangular case with a diffusing face. */
export const lightbox: Build<LightboxAssembly, BoxLaid, BoxResults, typeof lightboxDemos> = {
  name: 'lightbox',
  words: {
    name: 'Light box',
    detail: 'a case with a diffusing face, LEDs in rows or round the rim',
    sizesAsk: 'How large is it outside?',
  },
  schema: lightboxSchema,
  migrations: {},
  sizes: lightboxSizes,
  start: newLightbox,
  stages: lightboxStages,
  rules: lightboxRules,
  seeds: boxSeeds,
  lessStrip: dropRows,
  figures: lightboxFigures,
  // A box is the same all along.
  sectionAt: ({ section }) => section,
  cones: (results, _, spread) => boxCones(results, spread),
  depth: (results) => ({
    field: fieldsIn(results).case.depthInsideMm,
    label: 'Depth inside',
    mm: results.geometry.inside.depthMm,
    leastMm: 8,
    mostMm: 1000,
  }),
  front: lightboxFront,
  templates: (results) => ({ 'strip-template': boxStripTemplate(results) }),
  solids: () => [],
  // Panels are sawn; the tool of the artwork cuts the film alone.
  cutByTool: ({ stock }) => stock === 'film',
  soakPoints: closedSoakPoints,
  trace: traceCheck,
  tryout: lightboxTryout,
  demos: lightboxDemos,
};
