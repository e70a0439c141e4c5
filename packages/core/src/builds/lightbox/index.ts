import type { LightboxAssembly } from '../../design/index.js';
import type { BoxResults } from '../../evaluate/types.js';
import type { Build } from '../types.js';
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
