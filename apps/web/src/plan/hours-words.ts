import { isDay, type Stretch } from '@vitrum/core';

const hourWords = (minute: number): string =>
  minute % 60 === 0 ? `${minute / 60}` : `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;

/** Hours of a day as they are typed: “8–12, 12:30–16:30”; nothing for a day off. */
export const hoursWords = (stretches: readonly Stretch[]): string =>
  stretches.map(([from, to]) => `${hourWords(from)}–${hourWords(to)}`).join(', ');

const minuteIn = (text: string): number | null => {
  const found = /^(\d{1,2})(?:[:.](\d{2}))?$/.exec(text.trim());
  if (found === null) return null;
  const minute = Number(found[1]) * 60 + Number(found[2] ?? 0);
  return Number(found[2] ?? 0) < 60 && minute <= 1440 ? minute : null;
};

/** Reads hours of a day; null where they are none: out of order, over one another, or no times. */
export const readHours = (text: string): readonly Stretch[] | null => {
  if (text.trim() === '' || /^[-–]$/.test(text.trim())) return [];
  const found: Stretch[] = [];
  for (const part of text.split(',')) {
    const ends = part.split(/\s*(?:–|-|to)\s*/);
    const [from, to] = [minuteIn(ends[0] ?? ''), minuteIn(ends[1] ?? '')];
    if (ends.length !== 2 || from === null || to === null || from >= to || from < (found.at(-1)?.[1] ?? 0)) return null;
    found.push([from, to]);
  }
  return found.length > 6 ? null : found;
};

/** Reads spells away: “2030-01-07 to 2030-01-11, 2030-02-01”; null where a day is none. */
export const readSpells = (text: string): readonly (readonly [string, string])[] | null => {
  if (text.trim() === '') return [];
  const found = text.split(',').map((part): readonly [string, string] | null => {
    const [from = '', to = from] = part.trim().split(/\s+to\s+/);
    return isDay(from) && isDay(to) && from <= to ? [from, to] : null;
  });
  return found.every((each) => each !== null) ? found : null;
};

export const spellsWords = (spells: readonly (readonly [string, string])[]): string =>
  spells.map(([from, to]) => (from === to ? from : `${from} to ${to}`)).join(', ');
