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
import type { PieceEnd, WireEnd, WiringPlan } from './plan.js';

/** A node pair, plus and minus. */
export type Pair = readonly [plus: number, minus: number];

/** A network, and where the parts of the design are in it. */
export interface PlacedNetwork {
  readonly network: Network;
  /** By segment: its first load and how many groups it has. */
  readonly firstLoad: Int32Array;
  readonly groups: Int32Array;
  /** By wire of the plan: the resistor of its plus conductor, joints and all. */
  readonly wireAt: Int32Array;
  /** By supply: the resistor of its lead’s plus conductor. */
  readonly leadAt: Int32Array;
  readonly supplyPairs: readonly Pair[];
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

/** The network of a wiring plan: every group of LEDs on the copper of its piece, wires with their joints, leads, supplies. */
export const networkOf = (
  runs: LightRuns,
  plan: WiringPlan,
  strip: Strip,
  joint: Joint,
  wireOhm: readonly number[],
  leadOhm: number,
  supplyOf: (chain: number) => number,
  supplyCount: number,
): PlacedNetwork => {
  const builder = networkBuilder();
  const law = groupLaw(strip);
  const supplyPairs = Array.from({ length: supplyCount }, (): Pair => {
    const [minus, plus] = [builder.node(), builder.node()];
    builder.source(minus, plus, strip.voltageV, 0);
    return [plus, minus];
  });
  const leadAt: number[] = [];
  const entries = supplyPairs.map((supply): Pair => {
    const entry: Pair = [builder.node(), builder.node()];
    leadAt.push(addPair(builder, supply, entry, leadOhm, 0));
    return entry;
  });
  const groups = runs.segments.map(({ lengthMm }) => Math.max(1, Math.round(lengthMm / strip.cutPitchMm)));
  const ladders = runs.segments.map(({ lengthMm }, piece): LadderEnds =>
    addLadder(builder, {
      groups: groups[piece]!,
      law,
      railOhm: ((strip.trackOhmPerM / 2) * lengthMm) / 1000,
    }),
  );
  const pairAt = (piece: number, end: PieceEnd): Pair => {
    const ladder = ladders[piece]!;
    return end === 'start' ? [ladder.startPlus, ladder.startMinus] : [ladder.endPlus, ladder.endMinus];
  };
  const wireAt = plan.wires.map(({ from, to, chain }, wire) => {
    const at = (end: WireEnd): Pair => (end === 'lead' ? entries[supplyOf(chain) - 1]! : pairAt(end.piece, end.end));
    return addPair(builder, at(from), at(to), wireOhm[wire]!, joint.ohm);
  });
  return {
    network: builder.build(),
    firstLoad: Int32Array.from(ladders, ({ firstLoad }) => firstLoad),
    groups: Int32Array.from(groups),
    wireAt: Int32Array.from(wireAt),
    leadAt: Int32Array.from(leadAt),
    supplyPairs,
  };
};
