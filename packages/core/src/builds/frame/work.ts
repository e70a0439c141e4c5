import type { BuildWork } from '../common/build.js';
import { dropRows } from '../boxes/candidates.js';
import { boxHung } from '../boxes/hung.js';
import { boxStripTemplate } from '../boxes/template.js';
import { traceCheck } from '../boxes/trace-check/index.js';
import type { FrameLaid, FrameResults } from './results.js';
import { frameRules } from './rules.js';
import { frameSeeds } from './seeds.js';
import type { FrameAssembly } from './schema.js';
import { glassDrawing, mirrorTemplate } from './mirror-drawings.js';
import { frameFront } from './front.js';
import { frameFigures } from './figures.js';
import { frameStages } from './stages.js';
import { frameToFinish } from './to-finish.js';

/** How display frames are worked out, judged and made. */
export const frameWork: BuildWork<FrameAssembly, FrameLaid, FrameResults> = {
  stages: frameStages,
  rules: frameRules,
  seeds: frameSeeds,
  lessStrip: dropRows,
  figures: frameFigures,
  front: frameFront,
  templates: (results) => ({
    'strip-template': boxStripTemplate(results),
    ...(results.materials.mirror === null ? {} : { 'mirror-template': mirrorTemplate(results) }),
  }),
  drawings: (results) => (results.materials.mirror === null ? {} : { 'glass-drawing': glassDrawing(results) }),
  solids: () => [],
  // Members and sheets are sawn; the tool of the artwork takes silver off.
  cutByTool: ({ id }) => id === 'face',
  hung: boxHung,
  toFinish: frameToFinish,
  trace: traceCheck,
};
