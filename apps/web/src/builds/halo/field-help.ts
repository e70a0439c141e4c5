import { letterHelp } from '../letters/field-help';
import { mergedHelp, type HelpTexts } from '../../help/types';

/** Help for the fields of this build, by label. */
export const help: HelpTexts = mergedHelp(letterHelp, {
  light: {
    Runs: {
      what: 'How strip runs behind the letters: along their outline, up the middle of strokes, or in rows.',
    },
    Lies: {
      what: 'Whether strip lies flat and faces the wall, or stands on its side.',
    },
  },
  case: {
    Standoff: {
      what: 'From the wall to the back of the letters; with it the glow grows wider and softer.',
      measure: 'A stack of washers or a scrap of board between wall and letter.',
      usual: '20–40 mm.',
    },
    'Letters are': {
      what: 'Flat plates with strip behind, or hollow letters with strip inside.',
    },
    'Cut from': {
      what: 'The board that letters are cut from.',
    },
    Depth: {
      what: 'From the front of a hollow letter to its rear edge.',
    },
    Backs: {
      what: 'Whether hollow letters have a back that carries the strip.',
    },
    'Backs finished': {
      what: 'What is on the back of the letters; white sends light that comes back from the wall out again.',
    },
    'Finished in': {
      what: 'The colour of the fronts.',
    },
    Thickness: {
      what: 'Thickness of the posts that letters stand on.',
      usual: '6 mm rod.',
    },
    'Load a post': {
      what: 'What one post may carry; enough posts are set for the weight.',
    },
    Perimeters: {
      what: 'Lines of plastic round each layer of a printed letter.',
    },
    'Solid layers': {
      what: 'Full layers on each side of a printed front.',
    },
    'Layer height': {
      what: 'Height of one printed layer.',
    },
  },
  face: {
    'Wall or backer': {
      what: 'What the light falls on; dark and glossy walls give little back.',
      measure: 'Meter of a phone: against white paper in the same light, its reading is what the wall gives back.',
    },
  },
});
