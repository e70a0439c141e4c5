import { workPlaces } from '../../making/steps/index.js';
import { workBetween, type Hours } from './hours.js';
import type { Alone, Network } from './network.js';
import type { Floor } from './types.js';

/** When so many minutes of work can be done by all of `hours` together, begun at `now`; `now` where they never are. */
const capacityAt = (hours: readonly Hours[], now: number, minutes: number): number => {
  if (minutes <= 0) return now;
  const done = (until: number): number => hours.reduce((sum, each) => sum + workBetween(each, now, until), 0);
  let [low, high] = [now, Math.max(now, ...hours.map(({ ends }) => ends.at(-1) ?? now))];
  if (done(high) < minutes) return now;
  while (high - low > 0.5) {
    const middle = (low + high) / 2;
    if (done(middle) >= minutes) high = middle;
    else low = middle;
  }
  // Not a minute more than is sure.
  return low;
};

/** When the work of these jobs can be done at the soonest, by hands and by places. */
const soonestOf = (
  { nodes, hours, anybody, crews }: Network,
  { places }: Pick<Floor, 'places'>,
  now: number,
  counts: (job: number) => boolean,
): number => {
  const own = nodes.filter(
    ({ job, step }) => counts(job) && places[step.place] > 0 && (crews.get(step.people)?.length ?? 0) > 0,
  );
  const hands = own.reduce((sum, { step }) => sum + step.minutes * step.people, 0);
  const atPlaces = workPlaces.map((place) =>
    capacityAt(
      Array.from({ length: places[place] }, () => anybody),
      now,
      own.reduce((sum, { step }) => sum + (step.place === place ? step.minutes : 0), 0),
    ),
  );
  // What is held while it waits is held by night as well.
  const held = workPlaces.map(
    (place) =>
      now +
      own.reduce(
        (sum, { step }) => sum + (step.place === place && step.holds ? step.minutes + step.waitMinutes : 0),
        0,
      ) /
        Math.max(1, places[place]),
  );
  return Math.max(capacityAt(hours, now, hands), ...atPlaces, ...held);
};

/**
 * How late all jobs together are at least, and when the last can be done: each job as if it were alone, and all that is due
 * up to a day as mere hours of work. What no plan can beat.
 */
export const boundsOf = (
  network: Network,
  alone: Alone,
  floor: Pick<Floor, 'places'>,
  now: number,
): { readonly lateMinutes: number; readonly endsAt: number } => {
  const { nodes, dueAt } = network;
  const ends = dueAt.map(() => now);
  nodes.forEach(({ job }, at) => {
    // What nobody can do has no end that could be met.
    if (Number.isFinite(alone.until[at]!)) ends[job] = Math.max(ends[job]!, alone.until[at]!);
  });
  const lateAlone = ends.reduce((sum, end, job) => sum + Math.max(0, end - dueAt[job]!), 0);
  const days = [...new Set(dueAt.filter(Number.isFinite))];
  const lateByHours = days.map((due) => soonestOf(network, floor, now, (job) => dueAt[job]! <= due) - due);
  return {
    lateMinutes: Math.max(0, lateAlone, ...lateByHours),
    endsAt: Math.max(
      now,
      ...ends,
      soonestOf(network, floor, now, () => true),
    ),
  };
};
