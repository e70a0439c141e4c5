import type { LightboxAssembly } from '../../document/design/index.js';
import type { BoxResults } from '../../sign/evaluate/types.js';
import type { Build } from '../shared/types.js';
import { lightboxFigures } from './figures.js';
import { lightboxPipeline } from './pipeline.js';
import { lightboxRules } from './rules.js';

/** A rectangular case with a diffusing face. */
export const lightbox: Build<LightboxAssembly, BoxResults> = {
  pipeline: lightboxPipeline,
  rules: lightboxRules,
  figures: lightboxFigures,
  // A box is the same all along.
  sectionAt: ({ section }) => section,
};
