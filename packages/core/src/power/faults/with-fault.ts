import { conductorsOf } from '../circuit/index.js';
import type { LoadLaw, Network } from '../network/index.js';
import { powerCoresOf, resistorsOf, type TestBoard } from './test-board.js';
import type { Fault } from './types.js';

/** An open contact leaks no more than through this (Ω). */
const openOhm = 1e8;
/** A joint that hardly touches, and metal on metal (Ω). */
const looseOhm = 3;
const shortOhm = 0.01;
/** A worn supply gives this share of its voltage. */
const weakShare = 0.85;
/** A supply that protects itself gives this much more than its rating into a short, and lets its voltage go. */
const limitShare = 1.5;

const changed = (numbers: Float64Array, at: number, value: number): Float64Array => {
  const copy = Float64Array.from(numbers);
  copy[at] = value;
  return copy;
};

const withOhm = (network: Network, resistor: number, ohm: number): Network => ({
  ...network,
  resistors: { ...network.resistors, ohm: changed(network.resistors.ohm, resistor, ohm) },
});

/** Two conductors of a wire crossed at the far end. */
const crossed = (network: Network, one: number, other: number): Network => {
  const to = Int32Array.from(network.resistors.to);
  [to[one], to[other]] = [to[other]!, to[one]!];
  return { ...network, resistors: { ...network.resistors, to } };
};

/** One more resistor between two nodes. */
const bridged = (network: Network, a: number, b: number, ohm: number): Network => ({
  ...network,
  resistors: {
    from: Int32Array.from([...network.resistors.from, a]),
    to: Int32Array.from([...network.resistors.to, b]),
    ohm: Float64Array.from([...network.resistors.ohm, ohm]),
  },
});

const nothing: LoadLaw = { kind: 'resistive', forwardV: 1e6, siemens: 0 };

/** Loads from one to another, that one left out, that take nothing. */
const withDeadLoads = (network: Network, from: number, to: number): Network => {
  const law = Int32Array.from(network.loads.law);
  law.fill(network.laws.length, from, to);
  return { ...network, loads: { ...network.loads, law }, laws: [...network.laws, nothing] };
};

/** Supplies at their limit: as if they had so much resistance inside that a short draws no more. */
const atLimit = (network: Network, { circuit }: TestBoard): Network => {
  const ratedA = (circuit.supply?.watts ?? circuit.neededWatts) / circuit.voltageV;
  return {
    ...network,
    sources: network.sources.map((source) => ({ ...source, ohm: source.volts / (limitShare * ratedA) })),
  };
};

/** The circuit as it is on the bench. */
export const soundNetwork = ({ placed: { network } }: TestBoard): Network => network;

/** The same with one fault in it. */
export const withFault = (board: TestBoard, fault: Fault): Network => {
  const { placed } = board;
  const network = soundNetwork(board);
  const middle = (segment: number): number => placed.groups[segment]! >> 1;
  /** Pixels from a segment on have no data: they get it in the order of the segments. */
  const untold = (segment: number): Network =>
    board.circuit.segments.reduce(
      (left, { strip }, at) =>
        at < segment || strip.addressable !== true
          ? left
          : withDeadLoads(left, placed.firstLoad[at]!, placed.firstLoad[at + 1] ?? network.loads.law.length),
      network,
    );
  switch (fault.kind) {
    case 'open': {
      const core = powerCoresOf(board, fault.wire).findIndex(({ name }) => name === fault.conductor);
      return withOhm(network, resistorsOf(board, fault.wire)[core]!, openOhm);
    }
    case 'swapped': {
      const [plus, minus] = resistorsOf(board, fault.wire);
      return crossed(network, plus!, minus!);
    }
    case 'crossed': {
      const names = powerCoresOf(board, fault.wire).map(({ name }) => name);
      const [one, other] = fault.cores.map((name) => resistorsOf(board, fault.wire)[names.indexOf(name)]!);
      return crossed(network, one!, other!);
    }
    case 'loose': {
      const [plus] = resistorsOf(board, fault.wire);
      return withOhm(network, plus!, network.resistors.ohm[plus!]! + looseOhm);
    }
    case 'shorted': {
      const [plus, minus] = resistorsOf(board, fault.wire);
      const { to } = network.resistors;
      return atLimit(bridged(network, to[plus!]!, to[minus!]!, shortOhm), board);
    }
    case 'data-open': {
      const end = fault.wire < 0 ? null : board.circuit.wires[fault.wire]!.ends[1];
      return untold(end === null || end === 'lead' ? 0 : end.segment);
    }
    case 'wrong-direction':
      return untold(fault.segment);
    case 'broken-strip': {
      const core = conductorsOf(board.circuit.segments[fault.segment]!.strip).findIndex(
        ({ name }) => name === fault.conductor,
      );
      return withOhm(
        network,
        placed.firstRail[fault.segment]! + placed.rails[fault.segment]! * middle(fault.segment) + core,
        openOhm,
      );
    }
    case 'dead-group': {
      const channels = placed.channels[fault.segment]!;
      const first = placed.firstLoad[fault.segment]! + channels * middle(fault.segment);
      return withDeadLoads(network, first, first + channels);
    }
    case 'dead-output':
      return withOhm(network, placed.switches[fault.supply]![fault.output]!, openOhm);
    case 'dead-supply':
    case 'weak-supply':
      return {
        ...network,
        sources: network.sources.map((source, index) => {
          if (index !== fault.supply) return source;
          return fault.kind === 'weak-supply'
            ? { ...source, volts: source.volts * weakShare }
            : { ...source, volts: 0, ohm: openOhm };
        }),
      };
  }
};
