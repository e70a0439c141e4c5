import type { Seat } from '../members/index.js';

/** What a fence can be set to. */
export interface FenceScale {
  readonly unit: 'mm' | 'inch';
  /** The finest step (mm). */
  readonly stepMm: number;
}

/** One run of a member past the blade or bit. */
export interface Pass {
  /** Wanted, and as the fence is set: from the fence to the near side of the blade or bit (mm). */
  readonly wantedMm: number;
  readonly fenceMm: number;
}

/** Of a saw, of a router, or of a router with two edges at 45° that meet in a point. */
export type CutterKind = 'blade' | 'bit' | 'v-bit';

/** A blade or bit of the shop, as far as set-ups ask. */
export interface CutterInUse {
  readonly id: string;
  readonly name: string;
  readonly kind: CutterKind;
  /** Width of its cut, as measured; of a V bit its widest (mm). */
  readonly cutMm: number;
  /** How deep it cuts at most (mm). */
  readonly mostDeepMm: number;
}

/** What is checked on an offcut of the same stock before the members are run. */
export interface TestPiece {
  readonly what: string;
  readonly measures: readonly { readonly label: string; readonly mm: number }[];
}

interface Common {
  readonly id: string;
  readonly title: string;
  readonly cutter: CutterInUse;
  /** Which edge or face lies against the fence. */
  readonly reference: string;
  /** What lies on the table. */
  readonly down: string;
  readonly members: readonly string[];
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly test: TestPiece | null;
  readonly cautions: readonly string[];
}

/** A channel along members: a groove, a rabbet, or a rabbet across their ends. */
export interface ChannelSetUp extends Common {
  readonly kind: 'channel';
  readonly channel: Pick<Seat, 'kind' | 'widthMm' | 'depthMm'> & { readonly holds: string; readonly across: boolean };
  readonly passes: readonly Pass[];
  /** Height of blade or bit over the table, run after run of all passes; the last is the depth (mm). */
  readonly heightsMm: readonly number[];
  /** What comes of it with the fence as it can be set: width of the channel (mm). */
  readonly clearMm: number;
  /** Uncut at each end, and stop blocks from the near side of the bit, the same to both sides (mm). */
  readonly stopped: { readonly endMm: number; readonly blocksMm: number } | null;
}

/** Members cut to width along the fence. */
export interface RipSetUp extends Common {
  readonly kind: 'rip';
  readonly passes: readonly [Pass];
}

/** Members cut to length against a stop block. */
export interface LengthSetUp extends Common {
  readonly kind: 'length';
  readonly ends: 'square' | 'mitre';
  /** From the stop block to the near side of the blade; of a mitre, over its long side (mm). */
  readonly stopMm: number;
}

/** Slots in mitres for a spline. */
export interface SplineSetUp extends Common {
  readonly kind: 'spline';
  /** From the fence, which the mitre's long edge touches, to the near side of the blade, along the mitre (mm). */
  readonly passes: readonly [Pass];
  readonly heightsMm: readonly [number];
  /** Thickness and width of the spline (mm). */
  readonly splineMm: readonly [thickness: number, width: number];
}

/** Holes at one setting of a drill press, a pocket jig or a mortiser. */
export interface DrillSetUp extends Omit<Common, 'cutter'> {
  readonly kind: 'drill';
  /** The drills, in a few words. */
  readonly cutter: Pick<CutterInUse, 'name'>;
  /** Bored one after the other in the same place, the widest first; depth from the surface, null: through (mm). */
  readonly bores: readonly { readonly diameterMm: number; readonly depthMm: number | null }[];
  /** From the fence to the middle of the drill, wanted and as set (mm). */
  readonly passes: readonly [Pass];
  /** Along the fence from the front edge to each hole’s middle (mm). */
  readonly alongMm: readonly number[];
  /** The surface that is drilled: the side of a board near its end, its square end, or its mitred end. */
  readonly into: 'side' | 'end' | 'mitre';
  /** The drill from square to the surface, along the board (°). */
  readonly leanDeg: number;
}

/** Mouths of a seat broken at 45°: by a V bit, or by hand, which has no passes. */
export interface ChamferSetUp extends Omit<Common, 'cutter'> {
  readonly kind: 'chamfer';
  readonly cutter: Pick<CutterInUse, 'name'>;
  /** Along the surface (mm). */
  readonly mouthMm: number;
  /** The seat: its near side from the reference, its width and depth (mm). */
  readonly channel: {
    readonly holds: string;
    readonly fromMm: number;
    readonly widthMm: number;
    readonly depthMm: number;
  };
  /** From the fence to where the chamfer begins at the surface. */
  readonly passes: readonly Pass[];
  /** Height of the bit’s point over the table (mm). */
  readonly heightsMm: readonly number[];
  readonly stopped: ChannelSetUp['stopped'];
}

/** One setting of a saw, router table or drill, with all that is cut at it. */
export type SetUp = ChannelSetUp | RipSetUp | LengthSetUp | SplineSetUp | DrillSetUp | ChamferSetUp;
