import type { ToldStep } from '../../making/steps/index.js';

/** A length as it stands in a step. */
export const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;
/** “1 letter”, “3 letters”. */
export const counted = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`;

/** One step, its parts in the order in which they are read. */
export const step = (
  phase: ToldStep['phase'],
  id: string,
  title: string,
  detail: string,
  minutes: number,
  caution: string | null = null,
  waitMinutes = 0,
): ToldStep => ({ id, phase, title, detail, minutes, waitMinutes, caution, ofSign: false });

/** A step that is done once for the whole sign. */
export const signStep = (...told: Parameters<typeof step>): ToldStep => ({ ...step(...told), ofSign: true });
