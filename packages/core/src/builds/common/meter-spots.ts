import type { MeterSpot } from './build.js';

/** Where a lit face is measured. */
export const facedMeterSpot: MeterSpot = {
  title: 'Luminance of the face',
  how: 'Meter close to the face, the room dark; the mean of five places, corners among them.',
};
