import type { HangingWay } from './types.js';

/** Ways to hang, as they are spoken of. */
export const wayNames: Readonly<Record<HangingWay, string>> = {
  cleat: 'on a cleat',
  keyholes: 'on slotted plates',
  holes: 'screwed through the back',
  spacers: 'on spacers at the corners',
  feet: 'on feet',
  brackets: 'on angle brackets',
  chain: 'on chains',
  posts: 'on posts in clips',
  stands: 'on its own base',
};
