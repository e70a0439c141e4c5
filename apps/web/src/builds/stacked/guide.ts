import type { Guide } from '../../guide/types';

/** How stacked plates are designed and made. */
export const guide: Guide = {
  about:
    'Plates of one outline are glued on each other: a base, rings that leave a room within, and a lid with letters let into it. Strip runs round the room. A ring of opal acrylic glows all round at its edge, and throws light on the wall.',
  decides: [
    'How wide the rings are. Screws want nine millimetres; every millimetre more of opal costs light at the edge.',
    'Where the glowing ring lies. Under it there must be opaque rings as high as the strip is wide, or strip covers it.',
    'Which way the strip looks. In from the rings lights letters; out from a ledge lights the band evenly.',
    'How high the room is. About a ninth of the smaller side lets letters in the middle be as bright as those at the edge.',
  ],
  order: [
    ['Brief', 'Where it hangs, from where it is read, how bright the place is.'],
    ['Artwork', 'The letters, as large as the room within the rings.'],
    ['Plates', 'Outline, base, rings from the base up, what lines the room.'],
    ['Light', 'Strip on edge in loops, on the rings or on a ledge.'],
    ['Power', 'Supply with a fifth to spare; the lead by a slot in the lowest ring, or through the base.'],
    ['Lid', 'Stuff and fit of the letters; how even letters and band are.'],
    [
      'Cut and build',
      'The fit tried on the ladder, plates cut and stacked dry, rings glued, edges sanded together, letters let in.',
    ],
    ['Prove', 'An hour lit with the base on two screws, then looked at from aside: no seam may shine.'],
  ],
  wrong: [
    ['LEDs show along the edge', 'They stand too near the band. A ledge farther in, or strip of a finer pitch.'],
    [
      'Letters bright at the edge, dim in the middle',
      'The room is too low. A spacer ring under the lid, or strip on both sides of a ledge.',
    ],
    ['The band is dark at its foot', 'Strip is stuck over it. A ring more on the base.'],
    ['The strip does not go in', 'On edge it is wider than the room is high. Another ring, or narrower strip.'],
    [
      'Acrylic cracks when a letter is pressed in',
      'Too tight, or a thin neck of the lid. Cut the ladder first; a lid of wood gives.',
    ],
    ['Strip fails in a closed stack', 'Screw the base on; glue only rings and lid.'],
  ],
  pictures: [
    { file: 'stacked-face.jpg', caption: 'A round sign of six plates, its letters let into the lid.' },
    { file: 'stacked-case.jpg', caption: 'Its plates from the base up, and the slice through them.' },
  ],
};
