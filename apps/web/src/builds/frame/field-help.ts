import type { HelpTexts } from '../../help/types';
import { help as ofCases } from '../lightbox/field-help';

/** Help for the fields of this build, by label. */
export const help: HelpTexts = {
  ...ofCases,
  artwork: {
    ...ofCases.artwork,
    'It shows': {
      what: 'What is in the frame: a print between clear sheets, a mirror whose silver is engraved through, or a mirror with a frosted band.',
    },
    Mirror: { what: 'The glass or acrylic with silver on its back, which letters or band go through.' },
    'Lit band, in from the edge': {
      what: 'From the edge of the mirror in to the frosted band.',
      usual: '30–60 mm: clear of the frame, and with room behind it for strip.',
    },
    'Lit band width': { what: 'How wide the frosted band is.', usual: '20–40 mm.' },
    'Lit band’s corners': { what: 'How far the outer corners of the band are rounded.' },
  },
};
