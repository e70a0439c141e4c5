import { solveNetwork, type Network, type Solution } from '../network/index.js';
import { plusOf, wireWords, wiresOf, type Board, type TestPoint } from './board.js';
import type { Judged, Look, Probe } from './types.js';

/** Groups with less than this share of their light are dark; the eye takes this much less for dim. */
const darkShare = 0.05;
const dimShare = 0.8;
/** A piece whose dimmest group has this much less light than its brightest fades along it. */
const fadeShare = 0.75;
/** A reading is right within this share of what it should be, and there is none below this one. */
const rightShare = 0.04;
const noneShare = 0.05;

/** A circuit solved, sound or not. */
export interface Bench {
  readonly board: Board;
  readonly network: Network;
  readonly solution: Solution;
}

export const benchOf = (board: Board, network: Network): Bench => ({ board, network, solution: solveNetwork(network) });

/** Light of every group of a piece, against what the sound circuit gives it. */
export const lightOf = (bench: Bench, sound: Bench, piece: number): Float64Array => {
  const { firstLoad, groups } = bench.board.placed;
  const first = firstLoad[piece]!;
  return Float64Array.from({ length: groups[piece]! }, (_, group) => {
    const should = sound.solution.loadAmps[first + group]!;
    return should > 0 ? bench.solution.loadAmps[first + group]! / should : 0;
  });
};

/** How a piece looks beside a sound one. */
export const lookOf = (bench: Bench, sound: Bench, piece: number): Look => {
  const light = lightOf(bench, sound, piece);
  const [least, most] = [Math.min(...light), Math.max(...light)];
  if (most < darkShare) return 'dark';
  if (least < darkShare) return 'partly';
  if (least < fadeShare * most) return 'fading';
  return most < dimShare ? 'dim' : 'lit';
};

const pointOf = (board: Board, id: string): TestPoint => board.points.find((point) => point.id === id)!;

/** What the meter shows (V, A). */
export const readingOf = ({ board, solution }: Bench, probe: Probe): number => {
  const { volts, resistorAmps } = solution;
  if (probe.kind === 'amps') {
    return Math.abs(resistorAmps[plusOf(board, probe.wire)]!);
  }
  const { pair, supply } = pointOf(board, probe.point);
  const terminals = board.placed.supplies[supply]!;
  const plus = probe.kind === 'minus' ? terminals[0] : pair[0];
  const minus = probe.kind === 'plus' ? terminals[1] : pair[1];
  return volts[plus]! - volts[minus]!;
};

/** A number read, against what it should be; small ones are held against the largest there is of their kind. */
export const judge = (value: number, should: number, full: number): Judged => {
  if (value < -noneShare * full) return 'reversed';
  if (Math.abs(value) < noneShare * full && should >= noneShare * full) return 'none';
  const slack = Math.max(rightShare * Math.abs(should), 0.01 * full);
  if (value < should - slack) return 'low';
  return value > should + slack ? 'high' : 'right';
};

/** The largest reading there is of a probe’s kind: all of the current, or the supply’s voltage. */
export const fullOf = ({ circuit, strip }: Board, probe: Probe): number =>
  probe.kind === 'amps' ? Math.max(0.01, circuit.amps) : strip.voltageV;

/** A reading of one bench judged by the sound one. */
export const judgedOf = (bench: Bench, sound: Bench, probe: Probe): Judged =>
  judge(readingOf(bench, probe), readingOf(sound, probe), fullOf(sound.board, probe));

/** Everything that can be measured: volts at every point, plus and minus apart, amperes in every wire. */
export const probesOf = (board: Board): readonly Probe[] => [
  ...board.points.flatMap(({ id }): readonly Probe[] => [
    { kind: 'volts', point: id },
    { kind: 'plus', point: id },
    { kind: 'minus', point: id },
  ]),
  ...wiresOf(board).map((wire): Probe => ({ kind: 'amps', wire })),
];

/** Where to hold the meter, in words. */
export const probeWords = (board: Board, probe: Probe): string => {
  if (probe.kind === 'amps') return `amperes in ${wireWords(board, probe.wire)}, by clamp`;
  const { name } = pointOf(board, probe.point);
  if (probe.kind === 'volts') return `volts at the ${name}, plus to minus`;
  return probe.kind === 'plus'
    ? `volts from the plus at the ${name} to the minus of the supply`
    : `volts from the plus of the supply to the minus at the ${name}`;
};
