import type { Wall } from './types.js';

/** Wood beside the last screw of a batten (mm). */
export const battenEndMm = 40;
/** A saw at 45° parts the strip that both battens are ripped from. */
export const bevelDeg = 45;
const sloped = (degrees: number): number => (degrees * Math.PI) / 180;

/**
 * The batten on the wall reaches past the two studs that are nearest to the middle of the sign, wherever within the shift
 * it is set: 2 × (the farther of both + wood beside its screw + shift). Where nobody knows where the studs are, the
 * worst is that one stands in the middle: then the next is a whole pitch away.
 */
export const lengthForStuds = ({ studPitchMm, studAtMm }: Wall, middleMm: number, shiftMm: number): number => {
  if (studAtMm === null) return 2 * (studPitchMm + battenEndMm + shiftMm);
  const past = (((studAtMm - middleMm) % studPitchMm) + studPitchMm) % studPitchMm;
  return 2 * (Math.max(past, studPitchMm - past) + battenEndMm + shiftMm);
};

/** The strip from which two battens are ripped that are so high on their long sides, in one slanting cut (mm). */
export const stripOfTwo = (highMm: number, thicknessMm: number, kerfMm: number): number =>
  2 * highMm - riseOf(thicknessMm) + kerfMm / Math.cos(sloped(bevelDeg));

/** How far a bevel rises over the thickness of its batten (mm). */
export const riseOf = (thicknessMm: number): number => thicknessMm * Math.tan(sloped(bevelDeg));

/** How far a mate is lifted until its bevel is free of the other, with a hand’s tremble over it (mm). */
export const liftOff = (thicknessMm: number): number => Math.round(10 * (riseOf(thicknessMm) + 3)) / 10;

/** How high a batten is that carries its screws and its bevel (mm). */
export const battenHigh = (thicknessMm: number): number => Math.max(40, Math.round(3 * thicknessMm));
