import type { SizeQuestion } from '../common/build.js';

/** What new letters are asked. */
export const letterSizes = [
  {
    id: 'capHeightMm',
    label: 'Cap height',
    hint: 'of a capital H; a drawing can take their place in the step Artwork',
    usualMm: 200,
    leastMm: 20,
    mostMm: 5000,
  },
] as const satisfies readonly SizeQuestion[];
