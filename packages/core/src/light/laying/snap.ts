import { millionth } from '../../base/maths/index.js';
/** A stretch of room and the strip that fits it by whole cuts. */
export interface Snapped {
  readonly lengthMm: number;
  readonly leftoverMm: number;
}

/** Absorbs rounding when the room is a whole number of cuts. */
const slackMm = millionth;

/** The longest segment of whole cuts within `roomMm`; zero when not one cut fits. */
export const snapToCut = (roomMm: number, cutPitchMm: number): Snapped => {
  const cuts = Math.max(0, Math.floor((roomMm + slackMm) / cutPitchMm));
  return { lengthMm: cuts * cutPitchMm, leftoverMm: Math.max(0, roomMm - cuts * cutPitchMm) };
};
