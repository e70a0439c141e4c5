import type { SoakPoint } from './build.js';

const strip: SoakPoint = {
  id: 'soak-strip',
  place: 'strip',
  title: 'Strip after an hour',
  how: 'On the board, beside an LED in the middle of the sign.',
};

/** Where what is open all round is measured. */
export const openSoakPoints: readonly SoakPoint[] = [strip];

/** Where a closed case with a face is measured. */
export const closedSoakPoints: readonly SoakPoint[] = [
  strip,
  {
    id: 'soak-air',
    place: 'air',
    title: 'Air inside after an hour',
    how: 'Through the lead’s hole, not touching the strip.',
  },
  { id: 'soak-face', place: 'face', title: 'Face after an hour', how: 'In its middle, from the front.' },
];
