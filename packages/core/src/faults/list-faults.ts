import { wireWords, wiresOf, type Board } from './board.js';
import type { Fault } from './types.js';

const conductors = ['plus', 'minus'] as const;

/** Every single fault that a circuit can have, in a fixed order. */
export const faultsOf = (board: Board): readonly Fault[] => {
  const { pieces, placed } = board;
  return [
    ...placed.supplies.flatMap((_, supply): readonly Fault[] => [
      { kind: 'dead-supply', supply },
      { kind: 'weak-supply', supply },
    ]),
    ...wiresOf(board).flatMap((wire): readonly Fault[] => [
      ...conductors.map((conductor): Fault => ({ kind: 'open', wire, conductor })),
      { kind: 'swapped', wire },
      { kind: 'loose', wire },
      { kind: 'shorted', wire },
    ]),
    ...pieces.flatMap((_, piece): readonly Fault[] =>
      placed.groups[piece]! < 2
        ? [{ kind: 'dead-group', piece }]
        : [
            ...conductors.map((conductor): Fault => ({ kind: 'broken-strip', piece, conductor })),
            { kind: 'dead-group', piece },
          ],
    ),
  ];
};

/** A fault in words. */
export const faultWords = (board: Board, fault: Fault): string => {
  switch (fault.kind) {
    case 'open':
      return `${fault.conductor} is open in ${wireWords(board, fault.wire)}`;
    case 'swapped':
      return `plus and minus are swapped in ${wireWords(board, fault.wire)}`;
    case 'loose':
      return `a loose joint in ${wireWords(board, fault.wire)}`;
    case 'shorted':
      return `plus touches minus at the far end of ${wireWords(board, fault.wire)}`;
    case 'broken-strip':
      return `the ${fault.conductor} track of piece ${board.pieces[fault.piece]} is broken in its middle`;
    case 'dead-group':
      return `a dead group in the middle of piece ${board.pieces[fault.piece]}`;
    case 'dead-supply':
      return board.placed.supplies.length > 1 ? `supply ${fault.supply + 1} gives nothing` : 'the supply gives nothing';
    case 'weak-supply':
      return board.placed.supplies.length > 1
        ? `supply ${fault.supply + 1} gives too little voltage`
        : 'the supply gives too little voltage';
  }
};
