import { ofBoxes } from '../boxes/of-boxes.js';
import type { Build } from '../common/build.js';
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
  ...ofBoxes,
  demos: frameDemos,
};
