import { seededRandom } from '../../base/maths/index.js';
import type { Diagnosis, Suspect } from './diagnose.js';
import { nextProbe, suspectsLeft, type Symptoms } from './diagnose.js';
import type { Fault, Reading } from './types.js';

/** How hard the fault is to find. */
export type Level = 'easy' | 'fair' | 'hard';

/** Which faults each level draws from. */
const kinds: Readonly<Record<Level, readonly Fault['kind'][]>> = {
  easy: ['open', 'swapped', 'dead-supply', 'dead-group', 'dead-output', 'data-open'],
  fair: ['open', 'swapped', 'crossed', 'broken-strip', 'shorted', 'weak-supply', 'wrong-direction'],
  hard: ['loose', 'crossed', 'broken-strip', 'weak-supply', 'shorted', 'open', 'wrong-direction'],
};

/** What a fault must show at each level: strip that stays dark, strip that is not as it should be, or a reading that is not. */
const shows: Readonly<Record<Level, (suspect: Suspect) => boolean>> = {
  easy: ({ looks }) => looks.some((look) => look === 'dark' || look === 'partly'),
  fair: ({ looks }) => looks.some((look) => look !== 'lit'),
  hard: ({ judged }) => judged.some((each) => each !== 'right'),
};

/** A fault put into a circuit: the same for the same seed. */
export const hiddenFault = ({ suspects }: Diagnosis, level: Level, seed: number): Suspect => {
  const random = seededRandom(seed);
  const ofLevel = suspects.filter(({ fault }) => kinds[level].includes(fault.kind));
  const fitting = ofLevel.filter(shows[level]);
  return fitting[Math.floor(random() * fitting.length)]!;
};

/** How many measurements the program itself would take, looking first. */
export const parFor = (diagnosis: Diagnosis, hidden: Suspect): number => {
  let signs: Symptoms = { looks: hidden.looks, readings: [] };
  for (let count = 0; ; count += 1) {
    const { left } = suspectsLeft(diagnosis, signs);
    const next = left.length > 1 ? nextProbe(diagnosis, left) : null;
    if (next === null) return count;
    const judged = hidden.judged[diagnosis.probes.indexOf(next.probe)]!;
    const reading: Reading = { probe: next.probe, judged };
    signs = { ...signs, readings: [...signs.readings, reading] };
  }
};

/** Whether two faults show alike wherever one looks and measures: naming either is right. */
export const showAlike = (one: Suspect, other: Suspect): boolean =>
  one.looks.join() === other.looks.join() && one.judged.join() === other.judged.join();

/** A hundred points, ten less for each measurement beyond those the program would take, thirty for each wrong name; none below 0. */
export const scoreOf = (measurements: number, par: number, wrongNames: number): number =>
  Math.max(0, 100 - 10 * Math.max(0, measurements - Math.max(1, par)) - 30 * wrongNames);
