import type { Guide } from '../../guide/types';

/** How face-lit letters are designed and made. */
export const guide: Guide = {
  about:
    'Each letter is a case of its own: bent returns, a back, strip inside, and a face of opal acrylic that shines. Read from far, by day and by night.',
  decides: [
    'Depth against LED pitch: not less than the pitch, or dots show.',
    'Stroke width. One line of strip up the middle lights strokes as wide as the letter is deep; wider ones want two.',
    'Ends of strokes. Strip must reach them, or they stay dark.',
    'How faces come off again: inset and screwed, or under a trim.',
  ],
  order: [
    ['Brief', 'What it says, from how far it is read, what light it stands in.'],
    ['Artwork', 'A typeface with even strokes; room between letters, for light runs together.'],
    ['Cans', 'Depth, returns and how they are bent, backs, faces, lining.'],
    ['Light', 'Strip up the middle or along the outline, set back from the returns.'],
    ['Power', 'From letter to letter through the backs, a grommet in each hole; supply and drop.'],
    ['Face', 'The sheet and what is done to its inner side.'],
    [
      'Cut and build',
      'Faces and backs, returns rolled out flat with their folds marked, bend, join, line, strip, wire.',
    ],
    ['Prove and hang', 'An hour at full power, then faces on, then up, level, with two people.'],
  ],
  wrong: [
    ['Dots in the face', 'Too shallow for the LED pitch. Deeper, denser strip, or a denser face.'],
    ['Dark ends', 'Strip ends too early. Move the cut, or add a piece.'],
    ['Light at the seams', 'Gaps between returns and backs. Seal and line them.'],
    ['Faces that will not go in', 'No play. Cut the first one, try it, then the rest.'],
  ],
  pictures: [
    { file: 'face-lit-face.jpg', caption: 'Even faces at dusk.' },
    { file: 'face-lit-case.jpg', caption: 'The slice through a stroke: back, strip, returns, face.' },
  ],
};
