import { letterHelp } from '../letters/field-help';
import { mergedHelp, type HelpTexts } from '../../help/types';

/** Help for the fields of this build, by label. */
export const help: HelpTexts = mergedHelp(letterHelp, {
  light: {
    Runs: {
      what: 'How strip runs inside the letters: up the middle of strokes, along the outline, or in rows.',
    },
  },
  case: {
    'Depth inside': {
      what: 'From the back to the inner side of the face; with it dots melt.',
      measure: 'Hold a rule on the back inside an open letter, and read at the seat of the face.',
      usual: 'Not less than the LED pitch, 40–80 mm.',
    },
    Returns: {
      what: 'What the sides of the letters are bent or printed from.',
    },
    Backs: {
      what: 'The sheet that closes letters behind and carries the strip.',
    },
    Faces: {
      what: 'Whether faces lie inside the returns, or under a trim that grips them.',
    },
    Play: {
      what: 'Room round backs, inset faces and trims, so that they go in.',
      usual: '0.3–0.5 mm.',
    },
    'Finished in': {
      what: 'The colour of the returns.',
    },
  },
});
