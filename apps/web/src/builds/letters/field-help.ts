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
