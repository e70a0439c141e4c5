import { conductorsOf } from '../circuit/index.js';
import { carriesData, powerCoresOf, wireWords, wiresOf, type TestBoard } from './test-board.js';
import type { Fault } from './types.js';

/** Every two different ones of a list. */
const twoOf = <T>(items: readonly T[]): readonly (readonly [T, T])[] =>
  items.flatMap((one, at) => items.slice(at + 1).map((other) => [one, other] as const));

/** What can go wrong with one wire: each conductor open, two of them crossed, a loose joint, a short; its data open. */
const faultsOfWire = (board: TestBoard, wire: number): readonly Fault[] => {
  const cores = powerCoresOf(board, wire);
  const colours = cores.slice(1).map(({ name }) => name);
  return [
    ...cores.map(({ name }): Fault => ({ kind: 'open', wire, conductor: name })),
    ...(cores.length > 1 ? [{ kind: 'swapped', wire } as const] : []),
    ...twoOf(colours).map((crossed): Fault => ({ kind: 'crossed', wire, cores: crossed })),
    ...(cores.length > 0 ? [{ kind: 'loose', wire } as const] : []),
    ...(cores.length > 1 ? [{ kind: 'shorted', wire } as const] : []),
    ...(carriesData(board, wire) ? [{ kind: 'data-open', wire } as const] : []),
  ];
};

/** What can go wrong with one segment: a track broken in its middle, a group dead, laid against its data. */
const faultsOfSegment = (board: TestBoard, segment: number): readonly Fault[] => [
  ...(board.placed.groups[segment]! < 2
    ? []
    : conductorsOf(board.circuit.segments[segment]!.strip).map(({ name }): Fault => ({
        kind: 'broken-strip',
        segment,
        conductor: name,
      }))),
  { kind: 'dead-group', segment },
  ...(board.circuit.segments[segment]!.strip.addressable === true
    ? [{ kind: 'wrong-direction', segment } as const]
    : []),
];

/** Every single fault that a circuit can have, in a fixed order. */
export const faultsOf = (board: TestBoard): readonly Fault[] => {
  const { segments, placed, circuit } = board;
  const switched = circuit.wiring.switching !== null;
  return [
    ...placed.supplies.flatMap((_, supply): readonly Fault[] => [
      { kind: 'dead-supply', supply },
      { kind: 'weak-supply', supply },
      ...(switched
        ? placed.switches[supply]!.map((__, output): Fault => ({ kind: 'dead-output', supply, output }))
        : []),
    ]),
    ...wiresOf(board).flatMap((wire) => faultsOfWire(board, wire)),
    ...segments.flatMap((_, segment) => faultsOfSegment(board, segment)),
  ];
};

/** A fault in words. */
export const faultWords = (board: TestBoard, fault: Fault): string => {
  const several = board.placed.supplies.length > 1;
  switch (fault.kind) {
    case 'open':
      return `${fault.conductor} is open in ${wireWords(board, fault.wire)}`;
    case 'swapped':
      return `plus and ${powerCoresOf(board, fault.wire)[1]!.name} are swapped in ${wireWords(board, fault.wire)}`;
    case 'crossed':
      return `${fault.cores.join(' and ')} are crossed in ${wireWords(board, fault.wire)}`;
    case 'loose':
      return `a loose joint in ${wireWords(board, fault.wire)}`;
    case 'shorted':
      return `plus touches ${powerCoresOf(board, fault.wire)[1]!.name} at the far end of ${wireWords(board, fault.wire)}`;
    case 'data-open':
      return `data is open in ${wireWords(board, fault.wire)}`;
    case 'wrong-direction':
      return `segment ${board.segments[fault.segment]} lies against its data arrow`;
    case 'broken-strip':
      return `the ${fault.conductor} track of segment ${board.segments[fault.segment]} is broken in its middle`;
    case 'dead-group':
      return `a dead group in the middle of segment ${board.segments[fault.segment]}`;
    case 'dead-output':
      return `output ${fault.output + 1} of the ${board.circuit.drive.controller?.kind ?? 'controller'}${several ? ` at supply ${fault.supply + 1}` : ''} does not switch on`;
    case 'dead-supply':
      return several ? `supply ${fault.supply + 1} gives nothing` : 'the supply gives nothing';
    case 'weak-supply':
      return several ? `supply ${fault.supply + 1} gives too little voltage` : 'the supply gives too little voltage';
  }
};
