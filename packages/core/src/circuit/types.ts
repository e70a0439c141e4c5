import type { Supply, Wire } from '../catalogue/index.js';
import type { Point3 } from '../light-runs/index.js';
import type { Joint } from './joints.js';
import type { WireEnd } from './plan.js';

/** Pieces of strip wired one after the other and fed together. */
export interface Chain {
  readonly number: number;
  /** Which supply feeds it, counted from 1. */
  readonly supply: number;
  /** Indices into the segments of the light runs, from where it is fed. */
  readonly segments: readonly number[];
  readonly stripMm: number;
  /** All that its wires from the lead bring it. */
  readonly amps: number;
  /** The most that one end of one of its pieces carries on its own copper, and what that may carry (A). */
  readonly trackA: number;
  readonly trackRatedA: number;
  /** Strip that hangs on its busiest feed (mm): all of it when there is but one. */
  readonly fedMm: number;
  /** From the supply’s terminals to the dimmest group (V). */
  readonly dropV: number;
  /** Light of the dimmest and of the brightest group against the nominal. */
  readonly dimmestShare: number;
  readonly brightestShare: number;
  /** Index of the dimmest group. */
  readonly dimmestGroup: number;
  /** How many places besides its beginning are fed. */
  readonly injections: number;
}

/** A wire between two pieces of strip, or from the lead’s entry to a piece. */
export interface WireRun {
  readonly ends: readonly [WireEnd, WireEnd];
  readonly from: string;
  readonly to: string;
  readonly lengthMm: number;
  readonly wire: Wire;
  readonly amps: number;
  /** Where it begins and ends. */
  readonly at: readonly [Point3, Point3];
  /** Number of the chain it feeds. */
  readonly chain: number;
  /** Feeds a place besides where the chain begins. */
  readonly injected: boolean;
}

/** Every group of LEDs: its segment, the middle of it along that, and what it gets. */
export interface Groups {
  readonly segment: Uint32Array;
  readonly alongMm: Float64Array;
  readonly volts: Float64Array;
  readonly amps: Float64Array;
}

/** Something that carries current, held against what it may carry. */
export interface Carrier {
  readonly kind: 'lead' | 'wire' | 'joint' | 'strip' | 'supply';
  readonly name: string;
  readonly amps: number;
  readonly ratedA: number;
  /** Where it is; null outside of the piece. */
  readonly at: Point3 | null;
}

/** The supply, the wires and what the LEDs get. */
export interface Circuit {
  readonly chains: readonly Chain[];
  readonly groups: Groups;
  /** Light of each LED against its nominal, by the current that reaches it. */
  readonly fluxShare: Float64Array;
  /** At nominal voltage, which is what the supply must carry. */
  readonly nominalWatts: number;
  /** What is drawn after all drops. */
  readonly watts: number;
  readonly amps: number;
  readonly neededWatts: number;
  /** Null when no supply in the catalogue will do. */
  readonly supply: Supply | null;
  readonly supplyCount: number;
  readonly lead: Wire;
  /** Lost in the lead to the supply (V). */
  readonly leadDropV: number;
  readonly wires: readonly WireRun[];
  readonly joint: Joint;
  /** Turned to heat in copper and joints: leads, wires and the strip’s own tracks (W). */
  readonly copperWatts: number;
  readonly carriers: readonly Carrier[];
  /** In-line fuse for each supply’s output (A): the next usual size above the current. */
  readonly fuseA: number;
  /** The largest current left over at any node of the solved network (A), and whether it was solved to its end. */
  readonly residualA: number;
  readonly settled: boolean;
}
