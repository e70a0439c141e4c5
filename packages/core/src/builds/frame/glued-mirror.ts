import type { FrameResults } from './results.js';

type Facts = Pick<FrameResults, 'assembly' | 'geometry' | 'materials'>;

/** A bead is so wide once the mirror is pressed on (mm). */
export const beadWideMm = 8;
/** Clamps stand no farther apart than this (mm). */
const clampEveryMm = 200;

/** A mirror that is laid on the front edges is glued there. */
export const gluedMirror = ({ assembly, materials }: Facts): boolean =>
  materials.mirror !== null && assembly.case.retention === 'laid-on';

/** From the edge of the mirror to the middle of its bead (mm). */
export const beadAtMm = ({ assembly, materials }: Facts): number =>
  assembly.shows.beadMm ?? materials.returnBoard.thicknessMm / 2;

/** How long the bead is, once round (mm). */
export const roundMm = (facts: Facts): number => {
  const { widthMm, heightMm } = facts.geometry.face;
  return 2 * (widthMm + heightMm - 4 * beadAtMm(facts));
};

/** Clamps that press it on, along all four sides. */
export const clampCount = ({ geometry }: Facts): number =>
  2 * (Math.ceil(geometry.face.widthMm / clampEveryMm) + Math.ceil(geometry.face.heightMm / clampEveryMm));
