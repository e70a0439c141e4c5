import { cornerFasteners } from './fasteners.js';
import { cornerJoints } from './joints.js';
import { endRabbetOf, frameSide, seatStop } from './lengths.js';
import type { CornerJoint, Member, Seat } from './types.js';

/** Four members round a rectangle. */
export interface FrameAsked {
  /** Inside of the members (mm). */
  readonly insideWidthMm: number;
  readonly insideHeightMm: number;
  /** Front edge to rear edge of every member, and the thickness of the stock (mm). */
  readonly memberWidthMm: number;
  readonly thicknessMm: number;
  readonly joint: CornerJoint;
  /** As they run between the corners; where they stop is found here. */
  readonly seats: readonly Omit<Seat, 'stopMm'>[];
  /** Screws are sunk under plugs. */
  readonly plugged?: boolean;
}

/** The members of a frame: top and bottom run through, left and right stand between them, or all four are mitred. */
export const frameMembers = (asked: FrameAsked): readonly Member[] => {
  const { insideWidthMm, insideHeightMm, memberWidthMm, thicknessMm, joint, seats, plugged } = asked;
  const member = (name: string, runs: Member['runs'], lengthMm: number): Member => {
    const own = seats.map((seat) => ({ ...seat, stopMm: seatStop(runs, joint, thicknessMm, seat.depthMm) }));
    return {
      name,
      runs,
      lengthMm,
      widthMm: memberWidthMm,
      thicknessMm,
      joint,
      ends: cornerJoints[joint].ends,
      seats: own,
      endRabbetMm: runs === 'through' ? endRabbetOf(joint, thicknessMm) : 0,
      fasteners: cornerFasteners(joint, memberWidthMm, thicknessMm, own, plugged) ?? [],
    };
  };
  const across = frameSide(insideWidthMm, thicknessMm, joint).throughMm;
  const up = frameSide(insideHeightMm, thicknessMm, joint).betweenMm;
  return [
    member('top', 'through', across),
    member('bottom', 'through', across),
    member('left', 'between', up),
    member('right', 'between', up),
  ];
};

/**
 * What a member has of wood (mm³): mitred it is a trapezium from above, and so is each of its seats; end rabbets are across
 * its full width, and a seat within one takes nothing more.
 */
export const memberMm3 = (member: Member): number => {
  const { lengthMm, widthMm, thicknessMm, ends, seats, endRabbetMm } = member;
  const mitred = ends === 'mitre';
  const board = (lengthMm - (mitred ? thicknessMm : 0)) * widthMm * thicknessMm;
  const rabbets = 2 * endRabbetMm * thicknessMm * widthMm;
  return seats.reduce((left, { depthMm, widthMm: seatMm, stopMm }) => {
    const along = mitred
      ? lengthMm - 2 * thicknessMm + depthMm
      : lengthMm - 2 * Math.max(stopMm, endRabbetMm > 0 ? thicknessMm : 0);
    const beyond =
      stopMm < thicknessMm && endRabbetMm > 0 ? 2 * (thicknessMm - stopMm) * Math.max(0, depthMm - endRabbetMm) : 0;
    return left - seatMm * depthMm * along - seatMm * beyond;
  }, board - rabbets);
};
