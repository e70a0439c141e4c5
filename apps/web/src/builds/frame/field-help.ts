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
    'Strip runs': {
      what: 'What carries the strip of a lit mirror: an inner frame within the band, from which it lights the returns, or the returns themselves.',
      usual: 'An inner frame: one piece bent round its corners, no LED seen.',
    },
    'Glue, in from the edge': {
      what: 'Where the bead of glue runs that holds a mirror laid on the frame; it must keep clear of what is frosted.',
      usual: 'Over the middle of the returns.',
    },
    'Made by': {
      what: 'Who cuts the mirror and takes its silver off: this shop, or a glass shop by the drawing in the pack.',
    },
    'Tries that fail': {
      what: 'Of mirrors worked here so many are lost: masks that lift, chips, scratches.',
      usual: '20 % for a shop that does it now and then.',
    },
    'A glass shop asks': { what: 'The price for the mirror as drawn, delivered; leave it empty until you have asked.' },
  },
};
