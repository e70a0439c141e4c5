import { learnedFactor, type Learned } from './learned.js';
import type { RecordLine } from './record-lines.js';

/** A job’s readings. */
export interface JobReadings {
  readonly jobId: string;
  readonly name: string;
  readonly lines: readonly RecordLine[];
}

/** What readings say of the current that a strip takes. */
export interface StripCurrent {
  readonly stripId: string;
  readonly readings: readonly {
    readonly jobId: string;
    readonly name: string;
    readonly title: string;
    readonly predictedA: number;
    readonly measuredA: number;
    readonly on: string;
  }[];
  readonly learned: Learned;
}

/** Strip differs from its data sheet by an eighth or so; a clamp meter reads to some hundredths. */
const prior = { spread: 0.12, leastOff: 0.03 };
/** Below this a clamp meter tells nothing of a strip (A). */
const leastAmps = 0.1;

/** What can be learned of the current of each strip, over all jobs. */
export const learnedCurrents = (jobs: readonly JobReadings[]): readonly StripCurrent[] => {
  const byStrip = new Map<string, StripCurrent['readings'][number][]>();
  for (const { jobId, name, lines } of jobs)
    for (const { stripId, title, predicted, measured, on } of lines) {
      // Nothing, or plus and minus swapped, is a fault, not a property of the strip.
      if (stripId === null || predicted < leastAmps || measured < predicted / 3) continue;
      byStrip.set(stripId, [
        ...(byStrip.get(stripId) ?? []),
        { jobId, name, title, predictedA: predicted, measuredA: measured, on },
      ]);
    }
  return [...byStrip].flatMap(([stripId, readings]): readonly StripCurrent[] => {
    const learned = learnedFactor(
      readings.map(({ measuredA, predictedA }) => measuredA / predictedA),
      prior,
    );
    return learned === null ? [] : [{ stripId, readings, learned }];
  });
};
