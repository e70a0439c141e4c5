import { fieldsIn } from '../../judging/results/index.js';
import { boxHanging } from '../boxes/hung.js';
import type { Build } from '../common/build.js';
import { closedSoakPoints } from '../common/soak-points.js';
import { boxCones } from '../boxes/cones.js';
import { lightboxDemos, lightboxSizes, newLightbox } from './demos.js';
import type { BoxLaid, BoxResultsOf } from '../boxes/results.js';
import { lightboxSchema, type LightboxAssembly } from './schema.js';
import { boxTryout } from '../boxes/tryout.js';
import { lightboxWork } from './work.js';

/** A rectangular case with a diffusing face. */
export const lightbox: Build<LightboxAssembly, BoxLaid, BoxResultsOf<LightboxAssembly>, typeof lightboxDemos> = {
  name: 'lightbox',
  words: {
    name: 'Light box',
    detail: 'a case with a diffusing face, LEDs in rows or round the rim',
    sizesAsk: 'How large is it outside?',
  },
  schema: lightboxSchema,
  migrations: {},
  sizes: lightboxSizes,
  work: lightboxWork,
  start: newLightbox,
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
  hanging: boxHanging,
  soakPoints: closedSoakPoints,
  tryout: boxTryout,
  demos: lightboxDemos,
};
