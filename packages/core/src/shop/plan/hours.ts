import { dayAfter, dayMinutes, weekday } from './days.js';
import type { Floor, Person, Stretch } from './types.js';

/** Beyond so many days nothing is planned. */
export const mostDays = 731;

/** Stretches of work in order, apart from each other; minutes after midnight of the first day. */
export interface Hours {
  readonly starts: Float64Array;
  readonly ends: Float64Array;
  /** The longest of them. */
  readonly longest: number;
  /** From the first hour to the last of the longest day. */
  readonly longestDay: number;
}

/** Stretches that are in order and apart, ready to be searched. */
export const packedHours = (stretches: readonly Stretch[]): Hours => {
  const starts = Float64Array.from(stretches, ([from]) => from);
  const ends = Float64Array.from(stretches, ([, to]) => to);
  let longestDay = 0;
  for (let at = 0, first = 0; at < starts.length; at += 1) {
    if (Math.floor(starts[at]! / dayMinutes) !== Math.floor(starts[first]! / dayMinutes)) first = at;
    longestDay = Math.max(longestDay, ends[at]! - starts[first]!);
  }
  return { starts, ends, longest: stretches.reduce((most, [from, to]) => Math.max(most, to - from), 0), longestDay };
};

/** Stretches in order, those that touch or overlap made one. */
const joined = (stretches: readonly Stretch[]): readonly Stretch[] => {
  const found: [number, number][] = [];
  for (const [from, to] of [...stretches].sort(([a], [b]) => a - b)) {
    const last = found.at(-1);
    if (to <= from) continue;
    if (last !== undefined && from <= last[1]) last[1] = Math.max(last[1], to);
    else found.push([from, to]);
  }
  return found;
};

/** When a person works, from the first day on. */
export const hoursOf = (
  person: Person,
  { closed, extra }: Pick<Floor, 'closed' | 'extra'>,
  fromDay: string,
  days = mostDays,
): Hours => {
  const shut = new Set(closed);
  const found: Stretch[] = [];
  for (let day = 0; day < days; day += 1) {
    const on = dayAfter(fromDay, day);
    if (shut.has(on) || person.away.some(([from, to]) => from <= on && on <= to)) continue;
    const longer = extra.filter((each) => each.on === on).map(({ hours }) => hours);
    for (const [from, to] of joined([...(person.hours[weekday(on)] ?? []), ...longer]))
      found.push([day * dayMinutes + from, day * dayMinutes + to]);
  }
  return packedHours(found);
};

/** When anybody works. */
export const anybodysHours = (all: readonly Hours[]): Hours =>
  packedHours(
    joined(all.flatMap(({ starts, ends }) => Array.from(starts, (start, at): Stretch => [start, ends[at]!]))),
  );

/** When anybody works on so many days: what a plan is drawn over. */
export const openStretches = (floor: Floor, fromDay: string, days: number): readonly Stretch[] => {
  const { starts, ends } = anybodysHours(floor.people.map((person) => hoursOf(person, floor, fromDay, days)));
  return Array.from(starts, (start, at): Stretch => [start, ends[at]!]);
};

/** Minutes of work between two times. */
export const workBetween = (hours: Hours, from: number, to: number): number => {
  let sum = 0;
  for (let at = stretchAt(hours, from); at < hours.starts.length && hours.starts[at]! < to; at += 1)
    sum += Math.min(to, hours.ends[at]!) - Math.max(from, hours.starts[at]!);
  return sum;
};

/** When all of several work. */
export const commonHours = (all: readonly Hours[]): Hours => {
  const [first, ...rest] = all;
  if (first === undefined) return packedHours([]);
  return rest.reduce((common, other) => {
    const found: Stretch[] = [];
    for (let a = 0, b = 0; a < common.starts.length && b < other.starts.length;) {
      const from = Math.max(common.starts[a]!, other.starts[b]!);
      const to = Math.min(common.ends[a]!, other.ends[b]!);
      if (to > from) found.push([from, to]);
      if (common.ends[a]! <= other.ends[b]!) a += 1;
      else b += 1;
    }
    return packedHours(found);
  }, first);
};

/** The first stretch that ends after `minute`; their number where none does. */
export const stretchAt = ({ ends }: Hours, minute: number): number => {
  let [low, high] = [0, ends.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (ends[middle]! > minute) high = middle;
    else low = middle + 1;
  }
  return low;
};

/** Work begun at `start`, which lies in stretch `at`, is done then: over breaks and nights; null where hours do not reach. */
export const doneAt = ({ starts, ends }: Hours, at: number, start: number, minutes: number): number | null => {
  let left = minutes;
  let from = start;
  for (let each = at; each < starts.length; each += 1) {
    from = Math.max(from, starts[each]!);
    if (ends[each]! - from >= left) return from + left;
    left -= ends[each]! - from;
  }
  return null;
};

/** The last minute of work of the day on which `minute` lies, of stretch `at` and those after it. */
export const dayEnds = ({ starts, ends }: Hours, at: number): number => {
  const day = Math.floor(starts[at]! / dayMinutes);
  let last = at;
  while (last + 1 < starts.length && Math.floor(starts[last + 1]! / dayMinutes) === day) last += 1;
  return ends[last]!;
};
