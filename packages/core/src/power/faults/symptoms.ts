import { nominalAmps, withOutputsOff } from '../circuit/index.js';
import { solveNetwork, type Network, type Solution } from '../network/index.js';
import { resistorsOf, wireWords, wiresOf, type TestBoard, type TestPoint } from './test-board.js';
import type { Fault, ReadingGrade, Appearance, Probe } from './types.js';

/** Groups with less than this share of their light are dark; the eye takes this much less for dim. */
const darkShare = 0.05;
const dimShare = 0.8;
/** A segment whose dimmest group has this much less light than its brightest fades along it. */
const fadeShare = 0.75;
/** A joint that hardly touches is seen to flicker where it takes this much of the light. */
const flickerShare = 0.97;
/** A reading is right within this share of what it should be, and there is none below this one. */
const rightShare = 0.04;
const noneShare = 0.05;

/** A circuit solved, sound or not. */
export interface Bench {
  readonly board: TestBoard;
  readonly network: Network;
  readonly solution: Solution;
  /** What a loose joint takes comes and goes. */
  readonly unsteady: boolean;
  /** With one colour alone switched on. */
  readonly inColour: (channel: number) => Solution;
}

export const benchOf = (board: TestBoard, network: Network, fault?: Fault): Bench => {
  const alone = new Map<number, Solution>();
  return {
    board,
    network,
    solution: solveNetwork(network),
    unsteady: fault?.kind === 'loose',
    inColour: (channel) => {
      const isOff = (_: number, other: number): boolean => board.colours.length > 1 && other !== channel;
      const known = alone.get(channel) ?? solveNetwork(withOutputsOff({ ...board.placed, network }, isOff));
      alone.set(channel, known);
      return known;
    },
  };
};

/** Light of one channel of every group of a segment, against what it should be. */
const channelLight = (
  { board: { placed } }: Bench,
  segment: number,
  channel: number,
  amps: Float64Array,
  should: (load: number) => number,
): Float64Array => {
  const { firstLoad, groups, channels } = placed;
  return Float64Array.from({ length: groups[segment]! }, (_, group) => {
    const load = firstLoad[segment]! + group * channels[segment]! + channel;
    const whole = should(load);
    return whole > 0 ? amps[load]! / whole : 0;
  });
};

/** Light of every group of a segment, each channel against what the sound circuit gives it, channel by channel. */
export const lightsOf = (bench: Bench, sound: Bench, segment: number): readonly Float64Array[] =>
  Array.from({ length: bench.board.placed.channels[segment]! }, (_, channel) =>
    channelLight(bench, segment, channel, bench.solution.loadAmps, (load) => sound.solution.loadAmps[load]!),
  );

/** Light of every group of a segment, against what the sound circuit gives it: the mean of its channels. */
export const lightOf = (bench: Bench, sound: Bench, segment: number): Float64Array => {
  const lights = lightsOf(bench, sound, segment);
  return Float64Array.from(
    lights[0]!,
    (_, group) => lights.reduce((sum, light) => sum + light[group]!, 0) / lights.length,
  );
};

/** How a segment looks beside a sound one. */
export const appearanceOf = (bench: Bench, sound: Bench, segment: number): Appearance => {
  const light = lightOf(bench, sound, segment);
  const [least, most] = [Math.min(...light), Math.max(...light)];
  if (most < darkShare) return 'dark';
  const channels = lightsOf(bench, sound, segment).map((each) => Math.max(...each));
  if (channels.length > 1 && Math.min(...channels) < darkShare) return 'wrong-colour';
  if (least < darkShare) return 'partly';
  if (bench.unsteady && least < flickerShare) return 'flickering';
  if (least < fadeShare * most) return 'fading';
  return most < dimShare ? 'dim' : 'lit';
};

const pointOf = (board: TestBoard, id: string): TestPoint => board.points.find((point) => point.id === id)!;

/** The channel that shines most on a segment while one alone is switched on; −1 when none does. */
const colourOf = (bench: Bench, segment: number, channel: number): number => {
  const { loadAmps } = bench.inColour(channel);
  const nominal = nominalAmps(bench.board.circuit.segments[segment]!.strip);
  const light = nominal.map((amps, each) => Math.max(...channelLight(bench, segment, each, loadAmps, () => amps)));
  const most = Math.max(...light);
  return most < darkShare ? -1 : light.indexOf(most);
};

/** What the meter shows (V, A), or which colour shines. */
export const readingOf = (bench: Bench, probe: Probe): number => {
  const { board, solution } = bench;
  const { volts, resistorAmps } = solution;
  if (probe.kind === 'colour') return colourOf(bench, probe.segment, probe.channel);
  if (probe.kind === 'amps') return Math.abs(resistorAmps[resistorsOf(board, probe.wire)[0]!]!);
  const { conductors, supply } = pointOf(board, probe.point);
  const terminals = board.placed.supplies[supply]!;
  const back = probe.kind === 'plus' ? 0 : (probe.channel ?? 0);
  const plus = probe.kind === 'minus' ? terminals[0]! : conductors[0]!;
  const minus = probe.kind === 'plus' ? terminals[1]! : conductors[1 + back]!;
  return volts[plus]! - volts[minus]!;
};

/** A number read, against what it should be; small ones are held against the largest there is of their kind. */
export const judge = (value: number, should: number, full: number): ReadingGrade => {
  if (value < -noneShare * full) return 'reversed';
  if (Math.abs(value) < noneShare * full && should >= noneShare * full) return 'none';
  const slack = Math.max(rightShare * Math.abs(should), 0.01 * full);
  if (value < should - slack) return 'low';
  return value > should + slack ? 'high' : 'right';
};

/** The largest reading there is of a probe’s kind: all of the current, the supply’s voltage, or one colour. */
export const fullOf = ({ circuit }: TestBoard, probe: Probe): number => {
  if (probe.kind === 'colour') return 1;
  return probe.kind === 'amps' ? Math.max(0.01, circuit.amps) : circuit.voltageV;
};

/** What a probe reads, held against what the sound circuit gives there; a colour is right, another, or none. */
export const judgeProbe = ({ kind }: Probe, value: number, should: number, full: number): ReadingGrade => {
  if (kind !== 'colour') return judge(value, should, full);
  if (value === should) return 'right';
  return value < 0 ? 'none' : 'wrong';
};

/** A reading of one bench judged by the sound one. */
export const gradeOf = (bench: Bench, sound: Bench, probe: Probe): ReadingGrade =>
  judgeProbe(probe, readingOf(bench, probe), readingOf(sound, probe), fullOf(sound.board, probe));

/**
 * Everything that can be measured: volts at every point to each return, plus and returns apart, amperes in every wire; and
 * where colours can be switched one by one, each segment looked at in each.
 */
export const probesOf = (board: TestBoard): readonly Probe[] => {
  const { points, segments, colours } = board;
  return [
    ...points.flatMap(({ id, conductors }): readonly Probe[] => [
      ...conductors.slice(1).map((_, channel): Probe => ({ kind: 'volts', point: id, channel })),
      { kind: 'plus', point: id },
      ...conductors.slice(1).map((_, channel): Probe => ({ kind: 'minus', point: id, channel })),
    ]),
    ...wiresOf(board)
      .filter((wire) => resistorsOf(board, wire).length > 0)
      .map((wire): Probe => ({ kind: 'amps', wire })),
    ...segments.flatMap((_, segment) => colours.map((__, channel): Probe => ({ kind: 'colour', segment, channel }))),
  ];
};

/** Where to hold the meter or what to look at, in words. */
export const probeWords = (board: TestBoard, probe: Probe): string => {
  if (probe.kind === 'amps') return `amperes in ${wireWords(board, probe.wire)}, by clamp`;
  if (probe.kind === 'colour')
    return `the colour of segment ${board.segments[probe.segment]} with only ${board.colours[probe.channel]} on`;
  const { name, conductors } = pointOf(board, probe.point);
  if (probe.kind === 'plus') return `volts from the plus at the ${name} to the minus of the supply`;
  const minus = conductors.length > 2 ? board.colours[(probe.channel ?? 0) % board.colours.length]! : 'minus';
  return probe.kind === 'volts'
    ? `volts at the ${name}, plus to ${minus}`
    : `volts from the plus of the supply to the ${minus} at the ${name}`;
};
