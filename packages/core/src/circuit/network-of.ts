import type { Strip } from '../catalogue/index.js';
import type { LightRuns } from '../light-runs/index.js';
import {
  addLadder,
  networkBuilder,
  type LadderEnds,
  type LoadLaw,
  type Network,
  type NetworkBuilder,
} from '../network/index.js';
import type { Joint } from './joints.js';
import type { WireEnd } from './plan.js';

/** A node pair, plus and minus. */
export type Pair = readonly [plus: number, minus: number];

/** A network, and where the parts of the design are in it. Each conductor pair is two resistors, plus first. */
export interface PlacedNetwork {
  readonly network: Network;
  /** By segment: its first load, how many groups it has, and its first rail. */
  readonly firstLoad: Int32Array;
  readonly groups: Int32Array;
  readonly firstRail: Int32Array;
  /** By wire: the resistor of its plus conductor, joints and all. */
  readonly wireAt: Int32Array;
  /** By supply: the resistor of its lead’s plus conductor. */
  readonly leadAt: Int32Array;
  /** Where a meter can be held: terminals of supplies, ends of their leads, ends of pieces. */
  readonly supplies: readonly Pair[];
  readonly entries: readonly Pair[];
  readonly starts: readonly Pair[];
  readonly ends: readonly Pair[];
}

/** One group of LEDs with its resistor: nothing up to where it conducts, and what the strip’s power asks at its voltage. */
export const groupLaw = ({ wattsPerM, voltageV, forwardV, cutPitchMm }: Strip): LoadLaw => ({
  kind: 'resistive',
  forwardV,
  siemens: ((wattsPerM / voltageV) * (cutPitchMm / 1000)) / (voltageV - forwardV),
});

/** Both conductors of a wire, half of its pair’s resistance each, a joint at both ends. Answers with the plus resistor. */
const addPair = (builder: NetworkBuilder, from: Pair, to: Pair, pairOhm: number, contactOhm: number): number => {
  const plus = builder.resistor(from[0], to[0], pairOhm / 2 + 2 * contactOhm);
  builder.resistor(from[1], to[1], pairOhm / 2 + 2 * contactOhm);
  return plus;
};

/** What a network is made from besides the strip: wires with their ends and resistance, leads, supplies. */
export interface Wiring {
  readonly wires: readonly {
    readonly ends: readonly [WireEnd, WireEnd];
    readonly supply: number;
    readonly ohm: number;
  }[];
  readonly joint: Joint;
  readonly leadOhm: number;
  readonly supplyCount: number;
}

/** The network of a wired design: every group of LEDs on the copper of its piece, wires with their joints, leads, supplies. */
export const networkOf = ({ segments }: Pick<LightRuns, 'segments'>, strip: Strip, wiring: Wiring): PlacedNetwork => {
  const builder = networkBuilder();
  const law = groupLaw(strip);
  const supplies = Array.from({ length: wiring.supplyCount }, (): Pair => {
    const [minus, plus] = [builder.node(), builder.node()];
    builder.source(minus, plus, strip.voltageV, 0);
    return [plus, minus];
  });
  const leadAt: number[] = [];
  const entries = supplies.map((supply): Pair => {
    const entry: Pair = [builder.node(), builder.node()];
    leadAt.push(addPair(builder, supply, entry, wiring.leadOhm, 0));
    return entry;
  });
  const groups = segments.map(({ lengthMm }) => Math.max(1, Math.round(lengthMm / strip.cutPitchMm)));
  const ladders = segments.map(({ lengthMm }, piece): LadderEnds =>
    addLadder(builder, { groups: groups[piece]!, law, railOhm: ((strip.trackOhmPerM / 2) * lengthMm) / 1000 }),
  );
  const starts = ladders.map(({ startPlus, startMinus }): Pair => [startPlus, startMinus]);
  const ends = ladders.map(({ endPlus, endMinus }): Pair => [endPlus, endMinus]);
  const wireAt = wiring.wires.map(({ ends: [from, to], supply, ohm }) => {
    const at = (end: WireEnd): Pair =>
      end === 'lead' ? entries[supply - 1]! : (end.end === 'start' ? starts : ends)[end.piece]!;
    return addPair(builder, at(from), at(to), ohm, wiring.joint.ohm);
  });
  return {
    network: builder.build(),
    firstLoad: Int32Array.from(ladders, ({ firstLoad }) => firstLoad),
    groups: Int32Array.from(groups),
    firstRail: Int32Array.from(ladders, ({ firstRail }) => firstRail),
    wireAt: Int32Array.from(wireAt),
    leadAt: Int32Array.from(leadAt),
    supplies,
    entries,
    starts,
    ends,
  };
};
