import type { Guide } from '../../guide/types';

/** How a light box is designed and made. */
export const guide: Guide = {
  about:
    'A case of board with strip on its back, white inside, and a face of opal acrylic that hides the LEDs. It reads from far, by day and by night, and every part of it can be taken out again.',
  decides: [
    'Depth against row pitch. As deep as rows lie apart is a good beginning: the ripple of rows melts, and corners still get light. Drag the back in the slice and watch.',
    'The face. Opal hides most and passes half; a dense sheet hides more and dims by day; clear and lightly sanded sheets show every LED.',
    'White inside. Two coats of matt white throw nearly nine tenths of the light back: it is what lights the corners.',
    'Brightness for the place. Too dim is not read by day, too bright dazzles at night and may not be allowed.',
  ],
  order: [
    ['Brief', 'What it says, from how far it is read, what light it stands in, where the lead goes.'],
    ['Artwork', 'Letters or a drawing; whether the ground shines or the letters do; film or mask.'],
    ['Case', 'Depth, boards, corners, how the face is held, play for warmth.'],
    ['Light', 'Strip, rows or rim, end margins. Whole cuts only: what is left over at each end is shown.'],
    [
      'Power',
      'Supply with a fifth to spare, wires by their drop, fed at both ends where runs are long, a fuse at the supply.',
    ],
    ['Face', 'The sheet, what is done to its inner side, a second sheet if dots will not melt.'],
    [
      'Cut and build',
      'Boards, rabbets, face and back; glue square by the diagonals; line; lay strip by the template; wire chain by chain.',
    ],
    [
      'Prove',
      'An hour at full power before it is closed. Volts at the last LED, warmth of strip and face, a look from the reading distance in the dark.',
    ],
  ],
  wrong: [
    ['Rows show as bands', 'Rows too far apart for the depth. More rows, more depth, or a second sheet.'],
    ['Dark corners', 'Strip ends too far from the returns, or the inside is not white.'],
    ['One end is dim', 'The run is fed at one end only, or the wire is thin. Feed the far end too.'],
    ['The face bows', 'No play: acrylic grows when it is warm. 1 mm a side, and more where it is long.'],
    ['Light leaks at the edges', 'Gaps at rabbets and corners, or vents that look straight at the strip.'],
  ],
  pictures: [
    { file: 'lightbox-face.jpg', caption: 'Seen at dusk: rows that are too far apart show as bands.' },
    { file: 'lightbox-case.jpg', caption: 'The slice: depth, strip, and the light that each LED throws on the face.' },
  ],
};
