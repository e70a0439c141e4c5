import type { Guide } from '../../guide/types';

/** How a display frame is designed and made. */
export const guide: Guide = {
  about:
    'A frame of solid wood, grooved for what it shows and rabbeted for its back, with strip behind. A print glows between clear sheets, a mirror where its silver is off. It opens from behind, for strip fails before frames do, and what it shows comes out, for prints fade.',
  decides: [
    'What it shows. The print or mirror is measured first; every member follows from it, its seats and its play.',
    'Depth against row pitch. As deep as rows lie apart, with an opal sheet behind what is shown; a single clear or frosted sheet shows every LED.',
    'Seat and play. Acrylic grows when it is warm, glass hardly: the play is for the larger of the two.',
    'Room behind. A back that stands in leaves room for a cleat or a plug; it must still come out past what hangs it.',
  ],
  order: [
    ['Brief', 'Where it hangs, from how far it is looked at, how bright the place is.'],
    ['Artwork', 'Print, mirror tile or lit band; picture and letters; which mirror, and who makes it.'],

    ['Frame', 'Depth, wood, corners, groove, seat and play, how the sheet comes out and how the back is held.'],
    ['Light', 'Rows behind a print or a tile; round an inner frame, bent at its corners, behind a band.'],
    ['Power', 'Supply with a fifth to spare, lead out at the bottom or through the back.'],
    ['Sheets', 'What is behind the print or mirror, so that no LED shows.'],
    [
      'Cut and build',
      'Grooves before mitres; everything tried in the dry frame; sanded and finished inside; then glued, square by its diagonals.',
    ],
    ['Prove', 'An hour at full power before it is closed; a look from near, in the dark.'],
  ],
  wrong: [
    [
      'Rows show through the print',
      'One sheet behind it does not hide them. An opal sheet, more depth, or finer strip.',
    ],
    [
      'The sheet does not go in',
      'The seats of both sides and the play were not counted. Lengths follow from the panel here.',
    ],
    ['The panel rattles', 'Too much play in its groove, or none on the side that is warm.'],
    ['Glue shows in the band', 'No bead and no tape on what is frosted; the bead lies over the returns.'],
    [
      'The print cannot be changed',
      'Corners glued round it. The top is screwed into inserts and comes off, or stands back behind a tile.',
    ],
    [
      'The new sheet sticks',
      'It is some tenths thicker than the last. Play in the groove’s width, and chamfered mouths.',
    ],
    ['The frame opens at its corners', 'Mitres of end grain: splines or loose tenons hold them.'],
  ],
  pictures: [
    { file: 'frame-face.jpg', caption: 'A print lit from behind, its sheets and what the eye sees.' },
    { file: 'frame-case.jpg', caption: 'The slice: members with groove and rabbet, sheets, strip and back.' },
  ],
};
