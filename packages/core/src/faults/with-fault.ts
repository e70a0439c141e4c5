import type { LoadLaw, Network } from '../network/index.js';
import { plusOf, type Board } from './board.js';
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

/** A wire with its conductors crossed at the far end. */
const crossed = (network: Network, plus: number): Network => {
  const to = Int32Array.from(network.resistors.to);
  [to[plus], to[plus + 1]] = [to[plus + 1]!, to[plus]!];
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

const withDeadLoad = (network: Network, load: number): Network => {
  const law = Int32Array.from(network.loads.law);
  law[load] = network.laws.length;
  return { ...network, loads: { ...network.loads, law }, laws: [...network.laws, nothing] };
};

/** Supplies at their limit: as if they had so much resistance inside that a short draws no more. */
const atLimit = (network: Network, { circuit, strip }: Board): Network => {
  const ratedA = (circuit.supply?.watts ?? circuit.neededWatts) / strip.voltageV;
  return {
    ...network,
    sources: network.sources.map((source) => ({ ...source, ohm: source.volts / (limitShare * ratedA) })),
  };
};

/** The circuit as it is on the bench. */
export const soundNetwork = ({ placed: { network } }: Board): Network => network;

/** The same with one fault in it. */
export const withFault = (board: Board, fault: Fault): Network => {
  const { placed } = board;
  const network = soundNetwork(board);
  const middle = (piece: number): number => placed.groups[piece]! >> 1;
  switch (fault.kind) {
    case 'open':
      return withOhm(network, plusOf(board, fault.wire) + (fault.conductor === 'plus' ? 0 : 1), openOhm);
    case 'swapped':
      return crossed(network, plusOf(board, fault.wire));
    case 'loose': {
      const plus = plusOf(board, fault.wire);
      return withOhm(network, plus, network.resistors.ohm[plus]! + looseOhm);
    }
    case 'shorted': {
      const plus = plusOf(board, fault.wire);
      const { to } = network.resistors;
      return atLimit(bridged(network, to[plus]!, to[plus + 1]!, shortOhm), board);
    }
    case 'broken-strip': {
      const rail = placed.firstRail[fault.piece]! + 2 * middle(fault.piece);
      return withOhm(network, rail + (fault.conductor === 'plus' ? 0 : 1), openOhm);
    }
    case 'dead-group':
      return withDeadLoad(network, placed.firstLoad[fault.piece]! + middle(fault.piece));
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
