import type { Workability } from '../../artwork/workability/index.js';
import { partlyCovered } from '../../light/optics/index.js';
import { memoizeLast } from '../../base/maths/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { GridLimits } from '../../light/glow/index.js';
import { boxMemos } from '../boxes/memos.js';
import type { BoxAssembly, CaseDesign } from '../boxes/schema.js';
import { bandLettering, bandOf } from './band.js';
import { findFrameMaterials } from './materials.js';
import { frameParts } from './parts.js';
import { readPicture } from '../common/picture.js';
import type { PictureDesign } from '../common/picture-schema.js';
import { throughPicture } from './picture.js';
import { innerFrameParts, innerFrameSection, withInnerFrame } from './inner-frame.js';
import type { FrameAssembly } from './schema.js';
import { frameSteps } from './steps.js';

/** The stages of a frame: those of a case, its own materials, and what it shows. */
export const frameMemos = (catalogue: Catalogue, limits: GridLimits) => ({
  ...boxMemos(catalogue, limits),
  materials: memoizeLast((assembly: BoxAssembly, shelf: Catalogue) =>
    // The stages of a frame are asked about frames alone.
    findFrameMaterials(assembly as FrameAssembly, shelf),
  ),
  band: memoizeLast(bandOf),
  asLettering: memoizeLast(bandLettering),
  // What is left within a letter or a band is held by the glass.
  onGlass: memoizeLast((found: Workability): Workability => ({ ...found, counters: 0 })),
  picture: memoizeLast((picture: PictureDesign) => readPicture(picture, 'shows.picture')),
  through: memoizeLast(throughPicture),
  covered: memoizeLast(partlyCovered),
  // By its numbers, so that a change of something else leaves the case as it was.
  innerCase: memoizeLast(withInnerFrame),
  withCase: memoizeLast((assembly: FrameAssembly, own: CaseDesign): FrameAssembly => ({ ...assembly, case: own })),
  innerSection: memoizeLast(innerFrameSection),
  innerParts: memoizeLast(innerFrameParts),
  ownParts: memoizeLast(frameParts),
  ownSteps: memoizeLast(frameSteps),
});
