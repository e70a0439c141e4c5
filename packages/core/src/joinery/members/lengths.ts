import { cornerJoints } from './joints.js';
import type { CornerJoint } from './types.js';

/**
 * From one side to the other inside the members, for a panel that sits in seats `seatMm` deep with `playMm` on each side (mm):
 * panel + 2 · play − 2 · seat.
 */
export const insideOf = (panelMm: number, seatMm: number, playMm: number): number => panelMm + 2 * playMm - 2 * seatMm;

/** The panel that sits in seats `seatMm` deep round an inside, with `playMm` on each side (mm). */
export const panelOf = (insideMm: number, seatMm: number, playMm: number): number => insideMm + 2 * seatMm - 2 * playMm;

/** What a joint makes of an inside measure (mm): over all, and the lengths of members that run through and stand between. */
export interface FrameSide {
  readonly outsideMm: number;
  readonly throughMm: number;
  readonly betweenMm: number;
}

/** How deep the end rabbets of a joint are in stock so thick (mm). */
export const endRabbetOf = (joint: CornerJoint, thicknessMm: number): number =>
  cornerJoints[joint].lapShare * thicknessMm;

/**
 * Lengths along one side of a frame from its inside (mm). Mitred members are as long as the outside over their long side;
 * one that runs through likewise; one between is as long as the inside, and reaches into both end rabbets where there are
 * any.
 */
export const frameSide = (insideMm: number, thicknessMm: number, joint: CornerJoint): FrameSide => {
  const outsideMm = insideMm + 2 * thicknessMm;
  const mitred = cornerJoints[joint].ends === 'mitre';
  return {
    outsideMm,
    throughMm: outsideMm,
    betweenMm: mitred ? outsideMm : insideMm + 2 * endRabbetOf(joint, thicknessMm),
  };
};

/**
 * How much of a seat is left uncut at each end of a member (mm). Of a member that runs through, what would show at its end:
 * the panel reaches no farther than the seat of the neighbour. End rabbets that are as deep as the seat swallow it.
 */
export const seatStop = (
  runs: 'through' | 'between',
  joint: CornerJoint,
  thicknessMm: number,
  seatMm: number,
): number => {
  if (runs === 'between' || cornerJoints[joint].ends === 'mitre') return 0;
  return endRabbetOf(joint, thicknessMm) >= seatMm ? 0 : thicknessMm - seatMm;
};
