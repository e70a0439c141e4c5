import type { Strip } from '../catalogue/index.js';
import { networkOf, pairOhm, type Circuit, type Pair, type PlacedNetwork } from '../circuit/index.js';
import type { LightRuns, Point3 } from '../light-runs/index.js';

/** A place where a meter’s tips can be held: a plus and the minus beside it. */
export interface TestPoint {
  readonly id: string;
  readonly name: string;
  readonly pair: Pair;
  /** Where it is on the piece; null outside of it. */
  readonly at: Point3 | null;
  /** The supply whose terminals it is measured against, counted from 0. */
  readonly supply: number;
}

/** A circuit on the bench: its network, and where it can be measured. */
export interface Board {
  readonly strip: Strip;
  readonly circuit: Circuit;
  readonly placed: PlacedNetwork;
  readonly points: readonly TestPoint[];
  /** Numbers of the pieces, by segment. */
  readonly pieces: readonly number[];
}

/** Every wire of a board as faults and probes name it: its leads, then the wires inside. */
export const wiresOf = ({ circuit, placed }: Board): readonly number[] => [
  ...placed.supplies.map((_, supply) => -1 - supply),
  ...circuit.wires.keys(),
];

/** The resistor of a wire’s plus conductor; its minus is the next. */
export const plusOf = ({ placed }: Board, wire: number): number =>
  wire < 0 ? placed.leadAt[-1 - wire]! : placed.wireAt[wire]!;

/** A wire in words. */
export const wireWords = ({ circuit }: Board, wire: number): string => {
  if (wire < 0) return circuit.supplyCount > 1 ? `lead ${-wire}` : 'the lead';
  const { from, to } = circuit.wires[wire]!;
  return `the wire from ${from} to ${to}`;
};

/** The circuit of a design laid on the bench. */
export const boardOf = (
  runs: Pick<LightRuns, 'segments'>,
  circuit: Circuit,
  strip: Strip,
  leadLengthMm: number,
): Board => {
  const { wires, chains, joint, lead, supplyCount } = circuit;
  const supplyOfChain = (chain: number): number => chains[chain - 1]!.supply;
  const placed = networkOf(runs, strip, {
    wires: wires.map(({ ends, chain, wire, lengthMm }) => ({
      ends,
      supply: supplyOfChain(chain),
      ohm: pairOhm(wire, lengthMm),
    })),
    joint,
    leadOhm: pairOhm(lead, leadLengthMm),
    supplyCount,
  });
  const supplyOfPiece = new Map(chains.flatMap(({ segments, supply }) => segments.map((piece) => [piece, supply - 1])));
  const several = (name: string, index: number): string => (supplyCount > 1 ? `${name} ${index + 1}` : name);
  const pieces = runs.segments.map(({ number }) => number);
  return {
    strip,
    circuit,
    placed,
    pieces,
    points: [
      ...placed.supplies.map((pair, index): TestPoint => ({
        id: `supply-${index + 1}`,
        name: several('supply terminals', index),
        pair,
        at: null,
        supply: index,
      })),
      ...placed.entries.map((pair, index): TestPoint => ({
        id: `entry-${index + 1}`,
        name: several('end of the lead', index),
        pair,
        at: wires.find(({ ends, chain }) => ends[0] === 'lead' && supplyOfChain(chain) === index + 1)?.at[0] ?? null,
        supply: index,
      })),
      ...runs.segments.flatMap(({ number, from, to }, piece): readonly TestPoint[] => {
        const supply = supplyOfPiece.get(piece) ?? 0;
        return [
          { id: `start-${number}`, name: `start of piece ${number}`, pair: placed.starts[piece]!, at: from, supply },
          { id: `end-${number}`, name: `end of piece ${number}`, pair: placed.ends[piece]!, at: to, supply },
        ];
      }),
    ],
  };
};
