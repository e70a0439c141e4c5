import { cornerFasteners, fastenersOf } from './fasteners.js';
import { cornerJoints } from './joints.js';
import { endRabbetOf, frameSide, seatStop } from './lengths.js';
import type { CornerJoint, Fastener, Member, Seat } from './types.js';

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
  /** How a sheet leaves its seat at the front; left out: never, the corners are glued round it. */
  readonly wayOut?: WayOut;
}

/**
 * A sheet in a groove leaves it upward: past a top that is screwed into inserts and comes off, or past one that is set back so
 * far that it stands behind the sheet. Or it goes in last, past a lip that is ripped off the top, and glued back then.
 */
export type WayOut =
  { readonly by: 'top-off' } | { readonly by: 'open-top'; readonly setBackMm: number } | { readonly by: 'lip-back' };

/** The strip that is ripped off the front of the top, with the groove’s part of it. */
export const lipName = 'top-lip';

/** Joints that let a top come off, or stand back behind a sheet. */
export const opensWith: Readonly<Record<WayOut['by'], readonly CornerJoint[]>> = {
  'top-off': ['butt', 'rabbet'],
  // End rabbets would gape in front of it.
  'open-top': ['butt', 'pocket-screws', 'dowels'],
  // Mitred ends of a lip would slide off one another while it is glued.
  'lip-back': ['butt', 'rabbet', 'pocket-screws', 'dowels'],
};

/** From the front edge of a top that is set back to a hole in its end, beyond what a seat asks (mm). */
const atFrontEdgeMm = 6;
/** What sits in a seat at the front. */
const isFace = ({ holds }: Pick<Seat, 'holds'>): boolean => holds === 'face';

type MemberOf = (name: string, runs: Member['runs'], lengthMm: number, own?: Partial<Member>) => Member;

const memberOf =
  ({ memberWidthMm, thicknessMm, joint, seats, plugged }: FrameAsked): MemberOf =>
  (name, runs, lengthMm, changed = {}) => {
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
      ...changed,
    };
  };

/** The top comes off: machine screws through it into inserts in the ends of both uprights. */
const withTopOff = (across: number, up: number, member: MemberOf): readonly Member[] => {
  const top = member('top', 'through', across);
  const inserts = fastenersOf('insert', top.widthMm, top.thicknessMm, top.seats) ?? [];
  return [
    { ...top, fasteners: inserts },
    member('bottom', 'through', across),
    ...['left', 'right'].map((name) => member(name, 'between', up, { fasteners: inserts })),
  ];
};

/** Seats behind a front that is taken off a member, and what holds its corners, counted from its new front edge. */
const behind = (frontMm: number, { seats, fasteners }: Pick<Member, 'seats' | 'fasteners'>) => ({
  seats: seats.filter((seat) => !isFace(seat)).map((seat) => ({ ...seat, fromFrontMm: seat.fromFrontMm - frontMm })),
  fasteners: fasteners.map((each) => ({ ...each, fromFrontMm: each.fromFrontMm - frontMm })),
});

/** Seats as far as fasteners keep clear of them where nothing in front of `frontMm` is there to hold. */
const clearOfFront = (seats: readonly Seat[], frontMm: number): readonly Seat[] => [
  ...seats,
  { ...seats[0]!, fromFrontMm: 0, widthMm: frontMm + atFrontEdgeMm },
];

/**
 * The top is ripped at the rear wall of its groove: in front stays a lip with the groove as a rabbet behind it, which is glued on
 * when the sheet is in. Both are ripped from one board, so that the grain goes on.
 */
const withLip = (
  { memberWidthMm, thicknessMm, joint, plugged }: FrameAsked,
  across: number,
  up: number,
  member: MemberOf,
): readonly Member[] => {
  const whole = member('top', 'through', across);
  const face = whole.seats.find(isFace);
  if (face === undefined) throw new RangeError('a lip is ripped off at a groove; there is none');
  const lipMm = face.fromFrontMm + face.widthMm;
  const fasteners = cornerFasteners(joint, memberWidthMm, thicknessMm, clearOfFront(whole.seats, lipMm), plugged) ?? [];
  return [
    { ...whole, widthMm: memberWidthMm - lipMm, ...behind(lipMm, { ...whole, fasteners }) },
    member('bottom', 'through', across, { fasteners }),
    ...['left', 'right'].map((name) => member(name, 'between', up, { fasteners })),
    { ...whole, name: lipName, widthMm: lipMm, seats: [{ ...face, kind: 'rabbet' }], fasteners: [] },
  ];
};

/** The top stands back behind the sheet, between uprights that run through; their grooves for it are open above. */
const withOpenTop = (asked: FrameAsked, setBackMm: number): readonly Member[] => {
  const { insideWidthMm, insideHeightMm, memberWidthMm, thicknessMm, joint, plugged } = asked;
  const member = memberOf(asked);
  const across = frameSide(insideWidthMm, thicknessMm, joint).betweenMm;
  const up = frameSide(insideHeightMm, thicknessMm, joint).throughMm;
  const upright = member('left', 'through', up);
  const open = upright.seats.map((seat) => (isFace(seat) ? { ...seat, stopMm: 0 } : seat));
  const fasteners = cornerFasteners(joint, memberWidthMm, thicknessMm, clearOfFront(open, setBackMm), plugged) ?? [];
  const bottom = member('bottom', 'between', across, { fasteners });
  return [
    {
      ...bottom,
      name: 'top',
      widthMm: memberWidthMm - setBackMm,
      ...behind(setBackMm, bottom),
    },
    bottom,
    { ...upright, seats: open, fasteners },
    { ...upright, name: 'right', seats: open, fasteners },
  ];
};

/**
 * The members of a frame: top and bottom run through, left and right stand between them, or all four are mitred; where a sheet
 * leaves its seat upward, as its way out asks and the joint allows.
 */
export const frameMembers = (asked: FrameAsked): readonly Member[] => {
  const { insideWidthMm, insideHeightMm, thicknessMm, joint, wayOut } = asked;
  const member = memberOf(asked);
  const across = frameSide(insideWidthMm, thicknessMm, joint).throughMm;
  const up = frameSide(insideHeightMm, thicknessMm, joint).betweenMm;
  if (wayOut !== undefined && opensWith[wayOut.by].includes(joint))
    switch (wayOut.by) {
      case 'top-off':
        return withTopOff(across, up, member);
      case 'open-top':
        return withOpenTop(asked, wayOut.setBackMm);
      case 'lip-back':
        return withLip(asked, across, up, member);
    }
  return [
    member('top', 'through', across),
    member('bottom', 'through', across),
    member('left', 'between', up),
    member('right', 'between', up),
  ];
};

/** All that holds the four corners: at both ends of the members that run through, of mitred ones of top and bottom. */
export const acrossCorners = (members: readonly Member[]): readonly Fastener[] =>
  members.filter(({ runs }) => runs === 'through').flatMap(({ fasteners }) => [...fasteners, ...fasteners]);

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
