import { ofBoxes } from '../boxes/of-boxes.js';
import type { Build } from '../common/build.js';
import { lightboxDemos, lightboxSizes, newLightbox } from './demos.js';
import type { BoxLaid, BoxResultsOf } from '../boxes/results.js';
import { lightboxSchema, type LightboxAssembly } from './schema.js';
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
  ...ofBoxes,
  demos: lightboxDemos,
};
