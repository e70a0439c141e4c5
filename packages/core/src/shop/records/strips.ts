import { learnedFactor, type Learned, type Prior } from './learned.js';
import type { RecordLine } from './record-lines.js';

/** A job’s readings. */
export interface JobReadings {
  readonly jobId: string;
  readonly name: string;
  readonly lines: readonly RecordLine[];
}

/** What of a strip readings teach: what it takes by its current, what it gives by the luminance of what it lights. */
export const stripFigures = ['wattsPerM', 'lumensPerM'] as const;
export type StripFigure = (typeof stripFigures)[number];

/** What readings say of a figure of a strip. */
export interface StripLearned {
  readonly stripId: string;
  readonly figure: StripFigure;
  readonly readings: readonly {
    readonly jobId: string;
    readonly name: string;
    readonly title: string;
    readonly unit: RecordLine['unit'];
    readonly predicted: number;
    readonly measured: number;
    readonly on: string;
  }[];
  readonly learned: Learned;
}

interface Taught {
  readonly figure: StripFigure;
  readonly prior: Prior;
  /** Less than this a meter cannot tell. */
  readonly least: number;
}

/**
 * Strip differs from its data sheet by an eighth or so, and a clamp meter reads to some hundredths. Its light differs by a
 * little more, and a reading of luminance carries the face and the lining, too: a tenth at the least.
 */
const taughtBy: Partial<Readonly<Record<RecordLine['unit'], Taught>>> = {
  A: { figure: 'wattsPerM', prior: { spread: 0.12, leastOff: 0.03 }, least: 0.1 },
  'cd/m²': { figure: 'lumensPerM', prior: { spread: 0.15, leastOff: 0.1 }, least: 1 },
};

/** What can be learned of each strip, over all jobs. */
export const learnedStrips = (jobs: readonly JobReadings[]): readonly StripLearned[] => {
  const found = new Map<string, Omit<StripLearned, 'learned'> & { readonly prior: Prior }>();
  for (const { jobId, name, lines } of jobs)
    for (const { stripId, title, unit, predicted, measured, on } of lines) {
      const taught = taughtBy[unit];
      // Nothing, or plus and minus swapped, is a fault, not a property of the strip.
      if (stripId === null || taught === undefined || predicted < taught.least || measured < predicted / 3) continue;
      const { figure, prior } = taught;
      const key = `${figure} ${stripId}`;
      const readings = found.get(key)?.readings ?? [];
      found.set(key, {
        stripId,
        figure,
        prior,
        readings: [...readings, { jobId, name, title, unit, predicted, measured, on }],
      });
    }
  return [...found.values()].flatMap(({ prior, ...each }): readonly StripLearned[] => {
    const learned = learnedFactor(
      each.readings.map(({ measured, predicted }) => measured / predicted),
      prior,
    );
    return learned === null ? [] : [{ ...each, learned }];
  });
};
