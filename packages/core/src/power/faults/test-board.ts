import { channelsOf, type ChannelName } from '../../document/catalogue/index.js';
import {
  backsOf,
  drivingStrip,
  networkOf,
  type Circuit,
  type Conductors,
  type Core,
  type PlacedNetwork,
} from '../circuit/index.js';
import type { Point3 } from '../../light/runs/index.js';

/** A place where a meter’s tips can be held: a plus and the returns beside it. */
export interface TestPoint {
  readonly id: string;
  readonly name: string;
  readonly conductors: Conductors;
  /** Where it is on the sign; null outside of it. */
  readonly at: Point3 | null;
  /** The supply whose terminals it is measured against, counted from 0. */
  readonly supply: number;
}

/** A circuit on the bench: its network, and where it can be measured. */
export interface TestBoard {
  readonly circuit: Circuit;
  readonly placed: PlacedNetwork;
  readonly points: readonly TestPoint[];
  /** What the segments are called, in their order. */
  readonly segments: readonly string[];
  /** Colours that can be switched one by one; none when there is but one, or when pixels are told. */
  readonly colours: readonly ChannelName[];
}

/** Every wire of a board as faults and probes name it: its leads, then the wires inside. */
export const wiresOf = ({ circuit, placed }: TestBoard): readonly number[] => [
  ...placed.supplies.map((_, supply) => -1 - supply),
  ...circuit.wires.keys(),
];

/** The resistors of a wire’s conductors that carry power, plus first; none of a data wire. */
export const resistorsOf = ({ placed }: TestBoard, wire: number): readonly number[] =>
  wire < 0 ? placed.leadCores[-1 - wire]! : placed.wireCores[wire]!;

/** The conductors of a wire that carry power, in the order of their resistors. */
export const powerCoresOf = ({ circuit }: TestBoard, wire: number): readonly Core[] =>
  (wire < 0 ? circuit.leadCores : circuit.wires[wire]!.cores).filter(({ name }) => name !== 'data');

/** Whether data goes along a wire. */
export const carriesData = ({ circuit }: TestBoard, wire: number): boolean =>
  (wire < 0 ? circuit.leadCores : circuit.wires[wire]!.cores).some(({ name }) => name === 'data');

/** A wire in words. */
export const wireWords = ({ circuit }: TestBoard, wire: number): string => {
  if (wire < 0) return circuit.supplyCount > 1 ? `lead ${-wire}` : 'the lead';
  const { from, to, carries } = circuit.wires[wire]!;
  const what = { plus: 'plus wire', minus: 'minus wire', link: 'link', data: 'data wire' };
  const name = carries in what ? what[carries as keyof typeof what] : 'wire';
  return `the ${name} from ${from} to ${to}`;
};

/** The circuit of a design laid on the bench. */
export const testBoardOf = (circuit: Circuit): TestBoard => {
  const { segments: laid, wires, chains, supplyCount, wiring } = circuit;
  const placed = networkOf(laid, wiring);
  const supplyOfSegment = new Map(
    chains.flatMap(({ segments, supply }) => segments.map((segment) => [segment, supply - 1])),
  );
  const several = (name: string, index: number): string => (supplyCount > 1 ? `${name} ${index + 1}` : name);
  const segments = laid.map(({ label }) => label);
  const driving = drivingStrip(laid.map(({ strip }) => strip));
  const entryAt = (supply: number): Point3 | null =>
    wires.find(({ ends, chain }) => ends[0] === 'lead' && chains[chain - 1]!.supply === supply + 1)?.at[0] ?? null;
  return {
    circuit,
    placed,
    segments,
    colours: backsOf(driving) > 1 ? channelsOf(driving).map(({ name }) => name) : [],
    points: [
      ...placed.supplies.map((conductors, index): TestPoint => ({
        id: `supply-${index + 1}`,
        name: several('supply terminals', index),
        conductors,
        at: null,
        supply: index,
      })),
      ...placed.entries.flatMap((zones, supply) =>
        zones.map((conductors, zone): TestPoint => ({
          id: zones.length > 1 ? `entry-${supply + 1}-${zone + 1}` : `entry-${supply + 1}`,
          name: `${several('end of the lead', supply)}${zones.length > 1 ? `, zone ${zone + 1}` : ''}`,
          conductors,
          at: entryAt(supply),
          supply,
        })),
      ),
      ...laid.flatMap(({ label, from, to }, segment): readonly TestPoint[] => {
        const supply = supplyOfSegment.get(segment) ?? 0;
        return [
          {
            id: `start-${label}`,
            name: `start of segment ${label}`,
            conductors: placed.starts[segment]!,
            at: from,
            supply,
          },
          { id: `end-${label}`, name: `end of segment ${label}`, conductors: placed.ends[segment]!, at: to, supply },
        ];
      }),
    ],
  };
};
