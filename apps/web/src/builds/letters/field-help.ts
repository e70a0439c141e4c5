import type { HelpTexts } from '../../help/types';

/** Help for the fields that all letters have, by label. */
export const letterHelp: HelpTexts = {
  light: {
    'Strip or modules': {
      what: 'What lights the letters; modules on a wire go round corners that strip does not.',
    },
    Setback: {
      what: 'From the edge of the letter to the nearest line of strip.',
      measure: 'Scribe it on the back with a compass held against the edge.',
      usual: '5–15 mm; nearer shows the LEDs, farther dims the edge.',
    },
    Lines: {
      what: 'How many lines of strip run side by side along the outline.',
    },
    'Row pitch': {
      what: 'From one row of strip to the next.',
    },
    'Line pitch': {
      what: 'From one line of strip to the next.',
    },
  },
  power: {
    'From letter to letter': {
      what: 'How wires go from one letter to the next.',
    },
  },
  case: {
    'They stand on': {
      what: 'A board, or a shallow box clad with one, that the letters are set on so that they hang in one piece.',
    },
    Board: { what: 'What the backer is cut from; its finish is what the light of the letters falls on.' },
    Cladding: { what: 'The board over the box, that the letters stand on.' },
    'Margin round them': {
      what: 'From the letters to the edges of the backer.',
      usual: 'As wide as the glow, or wider: a backer that ends in it cuts it off.',
    },
    'Corners, radius': { what: 'Radius of the corners of the backer; nothing leaves them square.' },
    'Box, deep': {
      what: 'Depth of the sides behind the cladding.',
      usual: 'As deep as its cleat and the supply that hides in it.',
    },
    'Cladding, over': {
      what: 'How much larger than its box the cladding is cut, to be trimmed flush once it is glued on.',
    },
    'Trimmed flush': { what: 'Whether a router with a bearing takes off what stands out.' },
    'Return thickness': {
      what: 'Thickness of the sides of the letters.',
    },
  },
  artwork: {
    'Parts joined': {
      what: 'How the parts of a letter that was split for the machine are joined.',
    },
    up: {
      what: 'How far above the middle the split goes through.',
    },
    angle: {
      what: 'The way the split runs; 90 is upright.',
    },
  },
};
