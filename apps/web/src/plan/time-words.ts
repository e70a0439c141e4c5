import { dayAfter, dayMinutes, timeOf } from '@vitrum/core';

const days = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });

/** “Mon 7 Jan”. */
export const dayWords = (day: string): string => days.format(new Date(`${day}T00:00:00Z`)).replace(',', '');

/** “Mon 7 Jan 14:30”. */
export const timeWords = (fromDay: string, minute: number): string => {
  const time = timeOf(fromDay, Math.round(minute));
  return `${dayWords(time.slice(0, 10))} ${time.slice(11)}`;
};

/** “14:30”. */
export const clockWords = (minute: number): string => timeOf('2000-01-01', Math.round(minute)).slice(11);

/** “45 min”, “3.5 h”, “2 days”: a span by the clock. */
export const spanWords = (minutes: number): string =>
  minutes < 60
    ? `${Math.round(minutes)} min`
    : minutes < 2 * dayMinutes
      ? `${Math.round(minutes / 6) / 10} h`
      : `${Math.round(minutes / 144) / 10} days`;

/** The day on which a minute of the plan lies: 2030-01-31. */
export const dayOf = (fromDay: string, minute: number): string => dayAfter(fromDay, Math.floor(minute / dayMinutes));

/** Today and the minute of it by the clock of this machine, up to the next quarter of an hour. */
export const nowHere = (date = new Date()): { readonly fromDay: string; readonly now: number } => {
  const two = (value: number): string => String(value).padStart(2, '0');
  return {
    fromDay: `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`,
    now: Math.ceil((date.getHours() * 60 + date.getMinutes()) / 15) * 15,
  };
};
