import { mmPerInch } from '../maths/index.js';
import type { LengthUnit } from './parse-length.js';

const ticksPerInch = 32;

/** An inch fraction to the nearest 1/32, and what the rounding gave away (shown minus true, mm). */
export interface InchFraction {
  readonly text: string;
  readonly errorMm: number;
}

const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b));

/** `mm` as inches in lowest-terms 1/32 fractions, e.g. `2 15/32`, with the error made known. */
export const inchFraction = (mm: number): InchFraction => {
  const ticks = Math.round((Math.abs(mm) / mmPerInch) * ticksPerInch);
  const whole = Math.floor(ticks / ticksPerInch);
  const part = ticks % ticksPerInch;
  const divisor = greatestCommonDivisor(part, ticksPerInch);
  const fraction = part === 0 ? '' : `${part / divisor}/${ticksPerInch / divisor}`;
  const magnitude = [whole === 0 && fraction !== '' ? '' : String(whole), fraction].filter(Boolean).join(' ');
  const sign = mm < 0 && ticks > 0 ? -1 : 1;
  return {
    text: sign < 0 ? `-${magnitude}` : magnitude,
    errorMm: (sign * ticks * mmPerInch) / ticksPerInch - mm,
  };
};

/** `mm` to one decimal at most, without a trailing zero. */
const millimetres = (mm: number): string => String(Math.round(mm * 10) / 10 + 0);

/** A length in the user's unit, with the unit: `62.5 mm` or `2 15/32 in`. NaN and infinity show as `–`. */
export const formatLength = (mm: number, unit: LengthUnit): string => {
  if (!Number.isFinite(mm)) return '–';
  return unit === 'in' ? `${inchFraction(mm).text} in` : `${millimetres(mm)} mm`;
};
