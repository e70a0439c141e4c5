import { addMonths, formatISO, parseISO } from 'date-fns';
import type { CareDate } from '../../files/exports/index.js';

/** What is to be done next to a sign that was handed over. */
export interface CareDue extends CareDate {
  /** The day on which it is due. */
  readonly on: string;
  /** When it was last done; null while never. */
  readonly last: string | null;
}

const monthsAfter = (day: string, months: number): string =>
  formatISO(addMonths(parseISO(day), months), { representation: 'date' });

/**
 * What is to be done to a sign that was handed over on a day, the soonest first: each so many months after it was last
 * done, or after it was handed over. `cared` holds the day it was last done by its months. A day that a month does not
 * have is its last one.
 */
export const careOf = (
  dates: readonly CareDate[],
  handedOverOn: string,
  cared: Readonly<Record<number, string>>,
): readonly CareDue[] =>
  dates
    .map((date): CareDue => {
      const last = cared[date.everyMonths] ?? null;
      // What was typed as done before the sign was there is no reason to come sooner.
      const from = last !== null && last > handedOverOn ? last : handedOverOn;
      return { ...date, last, on: monthsAfter(from, date.everyMonths) };
    })
    .sort((a, b) => a.on.localeCompare(b.on) || a.everyMonths - b.everyMonths);

/** What is due first; null where nothing is to be done. */
export const nextCare = (...of: Parameters<typeof careOf>): CareDue | null => careOf(...of)[0] ?? null;
