/** Minutes of a day by the clock of the shop; the hour that clocks are put on or back is left out. */
export const dayMinutes = 1440;

const dayMs = 86_400_000;
const numberOf = (day: string): number => Math.round(Date.parse(`${day}T00:00:00Z`) / dayMs);

const earliestYear = 1900;

/** Whether it is a day of the calendar, written as 2030-01-31. */
export const isDay = (value: unknown): value is string => {
  if (typeof value !== 'string' || !/^\d{4}-\d{2}-\d{2}$/.test(value)) return false;
  const time = Date.parse(`${value}T00:00:00Z`);
  // A thirtieth of February becomes a day of March; it is none.
  return (
    !Number.isNaN(time) && new Date(time).toISOString().startsWith(value) && Number(value.slice(0, 4)) >= earliestYear
  );
};

/** The day so many days after another: 2030-01-31. */
export const dayAfter = (day: string, days: number): string =>
  new Date((numberOf(day) + days) * dayMs).toISOString().slice(0, 10);

/** Days from one to another; less than 0 where the other is before it. */
export const daysBetween = (from: string, to: string): number => numberOf(to) - numberOf(from);

/** Monday is 0. */
export const weekday = (day: string): number => (((numberOf(day) + 3) % 7) + 7) % 7;

/** Minutes after midnight of `fromDay` of a time such as 2030-01-31T09:15. */
export const minuteOf = (fromDay: string, at: string): number =>
  daysBetween(fromDay, at.slice(0, 10)) * dayMinutes + Number(at.slice(11, 13)) * 60 + Number(at.slice(14, 16));

/** The same time in words that `minuteOf` reads. */
export const timeOf = (fromDay: string, minute: number): string => {
  const days = Math.floor(minute / dayMinutes);
  const rest = Math.floor(minute - days * dayMinutes);
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${dayAfter(fromDay, days)}T${two(Math.floor(rest / 60))}:${two(rest % 60)}`;
};
