import type { Guide } from '../../guide/types';

/** How strip in a groove is designed and made. */
export const guide: Guide = {
  about:
    'Strip, or a soft tube over it, lies in a groove that draws a line of light: a word in one stroke, a drawing, an outline. It is made from one board with a router, or from two layers with a beam.',
  decides: [
    'The line. A run is whole cuts of the strip: where a line is not, its end stays dark. Ends are moved, or all lines scaled a little, before anything is cut.',
    'What is over the strip. The deeper LEDs lie under a cover, the less they show as dots; the deeper the groove, the thicker the board.',
    'Bends. Strip and cover take a bow of their own radius; sharper corners are cut and wired, looped behind, or the cover is notched.',
    'Walls. Between two grooves, and to the edge, 2 mm or half the depth of the groove should stay, or they break out.',
  ],
  order: [
    ['Brief', 'What it says, from how far it is read, what light it stands in.'],
    ['Artwork', 'Letters as single lines, lines inside an outline, strokes of a drawing, or drawn by hand.'],
    ['Carrier', 'Board, layers, clear sheet or letters; outline; groove and what is over the strip; seams.'],
    ['Light', 'Strip; every run made whole cuts.'],
    ['Power', 'Chains and pairs, connectors within their ratings, before anything is cut.'],
    [
      'Cut and build',
      'A groove on scrap first; dry lay before paint; each piece tested before it is fixed; load test before it is closed.',
    ],
    ['Prove', 'No dark ends, no dots, nothing leaks behind; current and warmth after an hour.'],
  ],
  wrong: [
    ['Dark ends', 'Runs that are not whole cuts. Move ends, scale a little, or take strip with closer marks.'],
    ['The cover does not go in', 'Caps and joints are wider than the strip; the groove follows the widest.'],
    ['Walls break out', 'Grooves too close to each other or to the edge, or too deep for the board.'],
    ['Dots', 'A denser strip, or more depth under the cover.'],
    ['A lit streak behind', 'A wire hole shines through: seal it, or move it under the strip’s end.'],
    ['The board bows', 'Much cut from one side: glue flat under weight, seal both sides alike.'],
  ],
  pictures: [
    { file: 'groove-face.jpg', caption: 'Seen at dusk: a word in single lines under a soft dome.' },
    { file: 'groove-case.jpg', caption: 'The slice across a groove: board, strip, cover.' },
  ],
};
