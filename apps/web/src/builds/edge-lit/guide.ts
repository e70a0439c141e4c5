import type { Guide } from '../../guide/types';

/** How an edge-lit panel is designed and made. */
export const guide: Guide = {
  about:
    'A clear sheet that strip lights from an edge. Light runs between its faces and comes out where they are worked: letters seem to stand in the air. It is thin, quick to make, and shows what is behind it while it is off.',
  decides: [
    'Edge and strip. The LEDs stand in the middle of the thickness and within a millimetre of a polished edge, or their light goes past it.',
    'How much is worked. What is worked beside the strip takes the light first, and the far end fades. Lines or dots, thin near the strip and dense far from it, even it out.',
    'What is behind. Air at both faces keeps light in; a board with air between is as good. Paint and silver on the sheet take light at every meeting.',
    'Where the artwork begins. Near the strip single LEDs show as rays; about one pitch of the LEDs away they have run together.',
  ],
  order: [
    ['Brief', 'What it says, from how far it is read, what light it stands in.'],
    [
      'Artwork',
      'Letters, a drawing, or a photograph as dots; the tool that works them; all over, lines or dots; on the front or, mirrored, on the back. Another area has its own.',
    ],
    ['Sheet', 'Sheet, size and outline; base, frame or case; slot, cavity and lid.'],
    ['Light', 'Strip, lit edges, gap; how the other edges are finished.'],
    ['Glow', 'How even it is; one click grades the fill.'],
    [
      'Cut and build',
      'A test in an offcut of the same sheet; the sheet with its film on; artwork; edges polished; base with slot and cavity; strip on its batten.',
    ],
    ['Prove', 'As bright at the far end as at the strip; no rays; current and warmth after an hour.'],
  ],
  wrong: [
    [
      'It fades to the far side',
      'Too much is worked near the strip. Grade the fill, thin it, or light the opposite edge too.',
    ],
    [
      'Most light stays in the base',
      'Strip beside the edge, too far from it, or larger than it. Centre it, close the gap, take a thicker sheet.',
    ],
    [
      'Rays beside the strip',
      'The artwork begins before the fans of single LEDs have run together. Move it away, or take denser strip.',
    ],
    ['It reads backward', 'Worked on the back without being drawn mirrored.'],
    ['Scratches glow', 'The film came off too early. It stays on until the very end.'],
    [
      'The mirror is dim',
      'Silver takes light at every meeting: artwork near the strip, short ways, and a thick sheet.',
    ],
  ],
  pictures: [
    { file: 'edge-lit-face.jpg', caption: 'Seen at dusk: letters in a clear sheet, lit from below.' },
    { file: 'edge-lit-case.jpg', caption: 'The slice at the lit edge: strip, gap, slot, cavity and lid.' },
  ],
};
