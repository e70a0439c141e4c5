import { fieldsIn } from '../../judging/results/index.js';
import { boxCones } from '../boxes/cones.js';
import { boxHanging } from '../boxes/hung.js';
import { boxTryout } from '../boxes/tryout.js';
import type { Build } from '../common/build.js';
import { closedSoakPoints } from '../common/soak-points.js';
import { frameDemos, frameSizes, newFrame } from './demos.js';
import type { FrameLaid, FrameResults } from './results.js';
import { frameSchema, type FrameAssembly } from './schema.js';
import { frameWork } from './work.js';

/** A frame that lights a print, an engraved mirror tile, or a band along the edge of a mirror. */
export const frame: Build<FrameAssembly, FrameLaid, FrameResults, typeof frameDemos> = {
  name: 'frame',
  words: {
    name: 'Display frame',
    detail: 'a wooden frame that lights a print, an engraved mirror, or a band round a mirror',
    sizesAsk: 'How large is the print or mirror?',
  },
  schema: frameSchema,
  migrations: {},
  sizes: frameSizes,
  work: frameWork,
  start: newFrame,
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
  demos: frameDemos,
};
