export { finishBought } from './finish-parts.js';
export { clampMinutes, glueWords, surfaceSteps, waitWords } from './finish-steps.js';
export { finishingIds, finishingOf, gluesFor, litresOf } from './finishing.js';
export { finishSystems, usualLayers, type FinishSystem } from './systems.js';
export type {
  Bond,
  Coated,
  FinishedSurface,
  Finishing,
  GluedBond,
  Layer,
  Supplies,
  Surface,
  ToFinish,
} from './types.js';
