import type { Fixing, Ground, Stuff, Sundry } from '../../document/catalogue/index.js';
import type { hangingWays } from '../../document/design/index.js';
import type { Point, Rect } from '../../base/outlines/index.js';
import type { FixingLoad } from './loads.js';

/** Ways that come with a build and that no design chooses: on posts of its own, standing on a base of its own. */
export type OwnWay = 'posts' | 'stands';

/** How something hangs: as a design may choose, or as its build has it. */
export type HangingWay = (typeof hangingWays)[number] | OwnWay;

/** A point in space (mm): right, up, off the wall. */
export type Point3 = readonly [number, number, number];

/** The sheet of a body that lies to the wall: what screws through it, plates and cleats hold to. */
export interface Carrier {
  /** The part that it is cut as. */
  readonly partId: string;
  readonly name: string;
  readonly stuff: Stuff;
  readonly thicknessMm: number;
  /** Whether its front is seen: nothing may come through it. */
  readonly seen: boolean;
  /** Where the lower left corner of its drawing lies (mm, in the axes of its assembly). */
  readonly corner: Point;
}

/** A member that eyes or feet are screwed to: drawn with its front edge up, from its left end. */
export interface Rail {
  readonly partId: string;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
  /** So far from each end something is in it that holds its corner (mm). */
  readonly heldMm: number;
  /** Between its seats, from the rear edge (mm). */
  readonly free: readonly [fromMm: number, toMm: number];
}

/** One thing that hangs by itself: a case, a letter, a backer. In the axes of its assembly, off its own rear side. */
export interface HungBody {
  readonly id: string;
  readonly name: string;
  readonly bounds: Rect;
  readonly depthMm: number;
  readonly kg: number;
  /** Centre of gravity; its third from the rear side. */
  readonly centre: Point3;
  /** Where on it fixings may be. */
  readonly hold: Rect;
  /** How deep the rear side stands in, for a cleat to hide in (mm). */
  readonly recessMm: number;
  /** Where it is fixed whatever the design says: posts, screws through the backs of letters. */
  readonly own: readonly Point[] | null;
  readonly carrier: Carrier | null;
  /** Sides behind the carrier, where that clads a box: so thick (mm). Of what hangs as a backer alone. */
  readonly backer: { readonly sideMm: number | null } | null;
  /** What chains are hooked into, and what feet are screwed to; none where it has no frame. */
  readonly rails: { readonly top: Rail; readonly bottom: Rail } | null;
}

/** A body of a sign with its place among the bodies: in the axes of the sign, what it carries counted in. */
export interface PlacedBody extends HungBody {
  readonly leanMm: number;
}

/** One fixing in the wall. In the axes of the sign. */
export interface WallFixing {
  readonly body: number;
  readonly at: Point;
  readonly ground: Ground;
  readonly item: Fixing;
  readonly load: FixingLoad;
  /** Straight off the wall (kg). */
  readonly pullKg: number;
  /** Of what it may carry; more than 1 is too much. */
  readonly use: number;
  readonly pinned: boolean;
}

/** Two battens with a bevel that hook into each other. */
export interface Cleat {
  readonly thicknessMm: number;
  /** Of a batten, on its long side (mm). */
  readonly highMm: number;
  readonly bevelDeg: number;
  readonly wallLengthMm: number;
  readonly mateLengthMm: number;
  /** Where the upper edges of both battens lie, the wall’s and its mate’s over it (mm, in the axes of the sign), and their middle. */
  readonly topMm: number;
  readonly mateTopMm: number;
  readonly middleMm: number;
  /** What both are ripped from, in one cut (mm). */
  readonly stripMm: number;
  /** How far it must be lifted off. */
  readonly liftMm: number;
  /** What holds the foot off the wall as far as the cleat holds the top (mm); nothing where the case is recessed. */
  readonly footMm: number;
}

/** What holds hardware to the sign itself. */
export interface Held {
  readonly item: Sundry;
  readonly by: 'screw' | 'bolt';
  /** What it holds to, as a sentence takes it after “the”. */
  readonly to: string;
  /** The side that it is driven from: behind the sign, or the inside of its case. */
  readonly from: 'behind' | 'inside';
  readonly count: number;
  /** So far into what it holds to (mm); the pilot of a screw is so deep. */
  readonly intoMm: number;
  /** A bolt with its nut stands so far out on the other side (mm). */
  readonly insideMm: number;
  /** A screw that is too long comes out, or all but, at a front that is seen (mm). */
  readonly comesOutMm: number;
}

/** Feet that a sign stands on. */
export interface Feet {
  readonly depthMm: number;
  readonly wantedMm: number;
  /** How far it may be tipped before it falls, the smaller way (degrees). */
  readonly tipDeg: number;
}

/** The wall behind a sign, in the axes of the sign. */
export interface Wall {
  readonly kind: 'masonry' | 'studs' | 'board';
  readonly studPitchMm: number;
  /** From the middle of the sign to a stud; null while nobody has found one. */
  readonly studAtMm: number | null;
}

/** How one assembly hangs. In the axes of the sign. */
export interface Hang {
  readonly assembly: string;
  /** Null while nothing is chosen. */
  readonly way: HangingWay | null;
  /** Those to choose from. */
  readonly ways: readonly HangingWay[];
  readonly wall: Wall;
  readonly bodies: readonly PlacedBody[];
  readonly kg: number;
  readonly centre: Point3;
  readonly fixings: readonly WallFixing[];
  /** Grounds that fixings stand in and nothing on the shelf holds in. */
  readonly without: readonly Ground[];
  /** How far the rear side is held off the wall (mm). */
  readonly offWallMm: number;
  readonly cleat: Cleat | null;
  readonly feet: Feet | null;
  readonly heightMm: number;
  /** What each piece of hardware on the sign carries at most, and may (kg); null where there is none. */
  readonly hardware: { readonly name: string; readonly kg: number; readonly ratedKg: number } | null;
  /** What holds plates, brackets or a batten to the sign; null where nothing does. */
  readonly held: Held | null;
  /** What the back carries at its weakest place, and may (kg); null where nothing is fixed to it. */
  readonly back: { readonly kg: number; readonly holdsKg: number; readonly pieces: number } | null;
  readonly blocks: boolean;
  /** A cleat’s mate stands between the returns, not on the back. */
  readonly onReturns: boolean;
  /** Whether blocks may be glued behind its fixings: it has a frame, and hangs by its back there. */
  readonly takesBlocks: boolean;
}
