import { roundOff } from '../../base/maths/index.js';
import type { TestBoard } from './test-board.js';
import { faultsOf } from './list-faults.js';
import { benchOf, gradeOf, appearanceOf, probesOf, type Bench } from './symptoms.js';
import type { Fault, ReadingGrade, Appearance, Probe, Reading } from './types.js';
import { soundNetwork, withFault } from './with-fault.js';

/** One fault and all that it would show. */
export interface Suspect {
  readonly fault: Fault;
  readonly looks: readonly Appearance[];
  /** By probe, in the order of `probes`. */
  readonly judged: readonly ReadingGrade[];
}

/** A circuit made ready to find its fault: all suspects with their signs. */
export interface Diagnosis {
  readonly board: TestBoard;
  readonly sound: Bench;
  readonly probes: readonly Probe[];
  readonly suspects: readonly Suspect[];
}

/** All single faults of a board solved, each with what it would show. */
export const diagnosisOf = (board: TestBoard): Diagnosis => {
  const sound = benchOf(board, soundNetwork(board));
  const probes = probesOf(board);
  const suspects = faultsOf(board).map((fault): Suspect => {
    const bench = benchOf(board, withFault(board, fault), fault);
    return {
      fault,
      looks: board.segments.map((_, segment) => appearanceOf(bench, sound, segment)),
      judged: probes.map((probe) => gradeOf(bench, sound, probe)),
    };
  });
  return { board, sound, probes, suspects };
};

export const sameProbe = (one: Probe, other: Probe): boolean => {
  if (one.kind === 'colour' || other.kind === 'colour')
    return (
      one.kind === 'colour' && other.kind === 'colour' && one.segment === other.segment && one.channel === other.channel
    );
  if (one.kind === 'amps' || other.kind === 'amps')
    return one.kind === 'amps' && other.kind === 'amps' && one.wire === other.wire;
  const channelOf = (probe: Probe): number => ('channel' in probe ? (probe.channel ?? 0) : 0);
  return one.kind === other.kind && one.point === other.point && channelOf(one) === channelOf(other);
};

/** What has been seen so far: how segments look (null where nobody looked), and what was measured. */
export interface Symptoms {
  readonly looks: readonly (Appearance | null)[];
  readonly readings: readonly Reading[];
}

/** The faults that explain everything seen; those that explain most of it when none explains all. */
export const suspectsLeft = (
  { suspects, probes }: Diagnosis,
  { looks, readings }: Symptoms,
): { readonly left: readonly Suspect[]; readonly unexplained: number } => {
  const places = readings.map(({ probe }) => probes.findIndex((each) => sameProbe(each, probe)));
  const wrong = suspects.map(
    (suspect) =>
      looks.filter((look, segment) => look !== null && suspect.looks[segment] !== look).length +
      readings.filter(({ judged }, at) => suspect.judged[places[at]!] !== judged).length,
  );
  const least = Math.min(...wrong);
  return { left: suspects.filter((_, index) => wrong[index] === least), unexplained: least };
};

/** Bits that a probe is expected to tell apart among suspects. */
const worth = (left: readonly Suspect[], place: number): number => {
  const counts = new Map<ReadingGrade, number>();
  for (const { judged } of left) counts.set(judged[place]!, (counts.get(judged[place]!) ?? 0) + 1);
  let bits = 0;
  for (const count of counts.values()) bits -= (count / left.length) * Math.log2(count / left.length);
  return bits;
};

/** Of measurements worth as much, the handier: volts across first, then a clamp, then to the supply’s terminals. */
const handiness: Readonly<Record<Probe['kind'], number>> = { colour: 0, volts: 1, amps: 2, plus: 3, minus: 3 };

/** The measurement that splits the suspects best, and what each answer would leave; null when none tells them apart. */
export const nextProbe = (
  { probes }: Diagnosis,
  left: readonly Suspect[],
): { readonly probe: Probe; readonly bits: number } | null => {
  let best: { readonly probe: Probe; readonly bits: number } | null = null;
  probes.forEach((probe, place) => {
    const bits = worth(left, place);
    const better =
      best === null ||
      bits > best.bits + roundOff ||
      (bits > best.bits - roundOff && handiness[probe.kind] < handiness[best.probe.kind]);
    if (bits > roundOff && better) best = { probe, bits };
  });
  return best;
};
