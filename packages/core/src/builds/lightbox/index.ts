import type { BuildRules } from '../types.js';
import { lightboxGeometry } from './geometry.js';
import { lightboxParts } from './parts.js';
import { lightboxRuns } from './runs.js';
import { lightboxSection } from './section.js';
import { lightboxSteps } from './steps.js';

/** A rectangular case with a diffusing face. */
export const lightbox: BuildRules = {
  geometry: lightboxGeometry,
  runs: lightboxRuns,
  section: lightboxSection,
  cutParts: lightboxParts,
  steps: lightboxSteps,
};
