import type { Joint, Supply, Wire } from '../../document/catalogue/index.js';
import type { LightShare, SetChannel } from '../../light/runs/index.js';
import type { Point3 } from '../../light/runs/index.js';
import type { RunTime } from './battery.js';
import type { Drive } from './choose-controller.js';
import type { Carries, Core } from './cores.js';
import type { WiredSegment } from './sign-runs.js';
import type { WireEnd } from './wiring-plan.js';
import type { Wiring } from './network-of.js';
import type { SeriesGroups } from './series-groups.js';
import type { Contradiction } from './series-pairs.js';

/** Segments of strip wired one after the other and fed together. */
export interface Chain {
  readonly number: number;
  /** Which supply feeds it, and in which zone it is, counted from 1. */
  readonly supply: number;
  readonly zone: number;
  /** Indices into the segments of the circuit, from where it is fed. */
  readonly segments: readonly number[];
  /** Fed at its far end. */
  readonly backward: boolean;
  readonly stripMm: number;
  /** All that its wires from the lead bring it. */
  readonly amps: number;
  /** The most that one end of one of its segments carries on its own copper, and what that may carry (A). */
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
  /** The farthest that its mixed colour drifts from what it should be, in CIE 1976 u′v′. */
  readonly colourShift: number;
  /** In-line fuse of its own (A); null when the supply’s protects its wire. */
  readonly fuseA: number | null;
}

/** Two segments, or two groups of them, in series: their lengths and how they share the double voltage. */
export interface SharedPair {
  /** Indices into the segments of the circuit: of each group, and of each its segment with the highest voltage. */
  readonly groups: SeriesGroups;
  readonly segments: readonly [number, number];
  readonly lengthsMm: readonly [number, number];
  /** Highest voltage over a group of each (V). */
  readonly volts: readonly [number, number];
}

/** A wire between two segments of strip, or from the lead’s entry to a segment. */
export interface WireRun {
  readonly ends: readonly [WireEnd, WireEnd];
  readonly from: string;
  readonly to: string;
  readonly lengthMm: number;
  readonly wire: Wire;
  readonly amps: number;
  readonly carries: Carries;
  readonly cores: readonly Core[];
  /** Amperes of each core that carries power, in their order. */
  readonly coreAmps: readonly number[];
  /** Where it begins and ends, the way between, and the holes it goes through. */
  readonly at: readonly [Point3, Point3];
  readonly path: readonly Point3[];
  readonly holes: readonly Point3[];
  /** Number of the chain it feeds. */
  readonly chain: number;
  /** Feeds a place besides where the chain begins. */
  readonly injected: boolean;
}

/** Every group of LEDs: its segment, the middle of it along that, and what it gets. */
export interface Groups {
  readonly segment: Uint32Array;
  readonly alongMm: Float64Array;
  /** Over the channel that has least, at full light (V). */
  readonly volts: Float64Array;
  /** Of all its channels. */
  readonly amps: Float64Array;
  /** By channel: its light against its nominal; and of all together, by their lumens. */
  readonly shares: readonly Float64Array[];
  readonly light: Float64Array;
}

/** Something that carries current, held against what it may carry. */
export interface Carrier {
  readonly kind: 'lead' | 'wire' | 'joint' | 'strip' | 'supply' | 'controller';
  readonly name: string;
  readonly amps: number;
  readonly ratedA: number;
  /** Where it is; null outside of the sign. */
  readonly at: Point3 | null;
}

/** The supply, the wires and what the LEDs get. */
export interface Circuit {
  /** All strip of the sign, assembly after assembly, in the sign’s axes. */
  readonly segments: readonly WiredSegment[];
  /** What the network is made from, to make it again on the bench. */
  readonly wiring: Wiring;
  readonly chains: readonly Chain[];
  /** Every group at full light of all channels. */
  readonly groups: Groups;
  /** Of the strip that has most of them. */
  readonly channels: readonly SetChannel[];
  /** Every group as the channels of the brief’s light are on. */
  readonly setGroups: Groups;
  /** Assembly by assembly: what its LEDs give as they are set. */
  readonly shares: readonly LightShare[];
  /** How far each zone is turned up, the level of the whole counted in. */
  readonly zoneLevels: readonly number[];
  /** Of the supplies: the strip’s own, or twice that for pairs in series. */
  readonly voltageV: number;
  /** At nominal voltage, which is what the supply must carry. */
  readonly nominalWatts: number;
  /** What is drawn at full light after all drops. */
  readonly watts: number;
  readonly amps: number;
  /** What is drawn on average as it is set (W). */
  readonly setWatts: number;
  readonly neededWatts: number;
  /** Null when no supply in the catalogue will do. */
  readonly supply: Supply | null;
  readonly supplyCount: number;
  /** On a battery: how long it lasts. */
  readonly runTime: RunTime | null;
  readonly drive: Drive;
  /** Pixels in all; none without data. */
  readonly pixels: number;
  readonly lead: Wire;
  readonly leadCores: readonly Core[];
  /** Lost in the lead that loses most, out and back (V), and turned to heat in all of them (W). */
  readonly leadDropV: number;
  readonly leadWatts: number;
  /** From each supply after all drops (A). */
  readonly supplyAmps: readonly number[];
  readonly wires: readonly WireRun[];
  readonly joint: Joint;
  /** Turned to heat in copper and joints: leads, wires and the strip’s own tracks (W). */
  readonly copperWatts: number;
  readonly carriers: readonly Carrier[];
  readonly pairs: readonly SharedPair[];
  /** Segments without a mate, by their indices, and pairs that cannot be. */
  readonly alone: readonly number[];
  readonly contradictions: readonly Contradiction[];
  /** In-line fuse for each supply’s output (A): the next usual size above the current. */
  readonly fuseA: number;
  /** The largest current left over at any node of the solved network (A), and whether it was solved to its end. */
  readonly residualA: number;
  readonly settled: boolean;
}
