import type { WorkPlace } from '../../making/steps/index.js';
import { dayEnds, doneAt, stretchAt } from './hours.js';
import type { Crew, Network, Node } from './network.js';
import { nothingTaken, take, takenUntil, type Taken } from './taken.js';
import type { Floor } from './types.js';

/** Where each step came to lie; NaN where it found no time. */
export interface Lie {
  readonly start: Float64Array;
  readonly end: Float64Array;
  readonly until: Float64Array;
  /** Place of its crew in the list of crews of its size, and of its unit. */
  readonly crew: Int32Array;
  readonly unit: Int32Array;
}

interface Found {
  readonly start: number;
  readonly end: number;
}

/** How long its place is taken after its work is done. */
const heldFor = ({ step }: Node): number => (step.holds ? step.waitMinutes : 0);

interface Occupied {
  readonly people: readonly Taken[];
  readonly units: Readonly<Record<WorkPlace, readonly Taken[]>>;
}

/**
 * The first time from `earliest` on at which a crew and a place are free for the whole of a step; null where there is none
 * that ends before `endBefore`.
 */
const firstFree = (
  node: Node,
  { people, hours }: Crew,
  unit: Taken,
  occupied: Occupied,
  earliest: number,
  endBefore: number,
): Found | null => {
  const { minutes, waitMinutes, whole, attended } = node.step;
  let from = earliest;
  for (;;) {
    const at = stretchAt(hours, from);
    if (at >= hours.starts.length) return null;
    const start = Math.max(from, hours.starts[at]!);
    if (start + minutes >= endBefore) return null;
    const end = doneAt(hours, at, start, minutes);
    if (end === null || end >= endBefore) return null;
    // What is longer than any stretch has to go over a break.
    const fits = !(whole || people.length > 1) || minutes > hours.longest || end <= hours.ends[at]!;
    const stays = !attended || minutes + waitMinutes > hours.longestDay || end + waitMinutes <= dayEnds(hours, at);
    if (!fits || !stays) {
      // Not before the next stretch, and the next day where somebody has to stay.
      from = fits ? dayEnds(hours, at) : hours.ends[at]!;
      continue;
    }
    let taken = takenUntil(unit, start, end + heldFor(node));
    for (const person of people) taken ??= takenUntil(occupied.people[person]!, start, end);
    if (taken === null) return { start, end };
    from = taken;
  }
};

/** Who is no longer at work when a step is done begins nothing before they are again. */
const nextWork = (hours: Crew['hours'], minute: number): number => {
  const at = stretchAt(hours, minute);
  return Math.max(minute, hours.starts[at] ?? minute);
};

/**
 * Lays all steps, one after another by rank (the least first) among those whose forerunners are laid, each at the first
 * time that it, its people and its place are free (serial schedule generation; Kolisch 1996). Pinned ones are laid before
 * all others. `notBefore`: a step does not begin sooner than that.
 */
export const lay = (
  network: Network,
  floor: Pick<Floor, 'people' | 'places'>,
  now: number,
  rank: Float64Array,
  notBefore: Float64Array | null = null,
): Lie => {
  const { nodes, crews } = network;
  const count = nodes.length;
  const lie: Lie = {
    start: new Float64Array(count).fill(NaN),
    end: new Float64Array(count).fill(NaN),
    until: new Float64Array(count).fill(NaN),
    crew: new Int32Array(count).fill(-1),
    unit: new Int32Array(count).fill(-1),
  };
  const units = (kind: WorkPlace): readonly Taken[] => Array.from({ length: floor.places[kind] }, nothingTaken);
  const occupied: Occupied = {
    people: floor.people.map(nothingTaken),
    units: { bench: units('bench'), saw: units('saw'), paint: units('paint'), site: units('site') },
  };
  const layOne = (at: number, earliest: number, exactly: number | null): void => {
    const node = nodes[at]!;
    let best: (Found & { readonly crew: number; readonly unit: number }) | null = null;
    const own = crews.get(node.step.people) ?? [];
    const places = occupied.units[node.step.place];
    for (let crew = 0; crew < own.length; crew += 1)
      for (let unit = 0; unit < places.length; unit += 1) {
        const found = firstFree(node, own[crew]!, places[unit]!, occupied, exactly ?? earliest, best?.end ?? Infinity);
        if (found !== null) best = { ...found, crew, unit };
        // An empty place is as good as the next one.
        if (places[unit]!.from.length === 0) break;
      }
    if (best === null) return;
    lie.start[at] = best.start;
    lie.end[at] = best.end;
    lie.until[at] = best.end + node.step.waitMinutes;
    lie.crew[at] = best.crew;
    lie.unit[at] = best.unit;
    for (const person of own[best.crew]!.people)
      take(occupied.people[person]!, best.start, nextWork(network.hours[person]!, best.end));
    take(places[best.unit]!, best.start, best.end + heldFor(node));
  };
  nodes.forEach(({ pinnedAt }, at) => {
    if (pinnedAt !== null) layOne(at, now, Math.max(now, pinnedAt));
  });
  const waiting = nodes.map(({ before }) => before.length);
  const ready: number[] = [];
  waiting.forEach((left, at) => {
    if (left === 0) ready.push(at);
  });
  while (ready.length > 0) {
    let first = 0;
    for (let each = 1; each < ready.length; each += 1) if (rank[ready[each]!]! < rank[ready[first]!]!) first = each;
    const at = ready[first]!;
    ready[first] = ready[ready.length - 1]!;
    ready.pop();
    const node = nodes[at]!;
    if (node.pinnedAt === null) {
      let earliest = Math.max(now, notBefore === null ? now : notBefore[at]!);
      for (const each of node.before) earliest = Math.max(earliest, lie.until[each]!);
      // What comes after a step that found no time finds none.
      if (!Number.isNaN(earliest)) layOne(at, earliest, null);
    }
    for (const each of node.after) {
      waiting[each]! -= 1;
      if (waiting[each] === 0) ready.push(each);
    }
  }
  return lie;
};
