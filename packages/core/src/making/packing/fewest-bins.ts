/** Lengths laid into bins of one size, and into what lies there of other sizes. */
export interface Binned {
  /** Places of the lengths in the list that was given, bin by bin. */
  readonly bins: readonly (readonly number[])[];
  /** The same for what lies there, in its order; some may stay empty. */
  readonly offcuts: readonly (readonly number[])[];
  /** Proven: no fewer new bins hold them, whatever goes on offcuts. */
  readonly atLeast: number;
}

const almost = 1e-6;

/**
 * Bins looked into before the best so far stands beside its bound: some milliseconds, since this is done again at every edit
 * and for every fix that is tried.
 */
const mostLooks = 150_000;

/**
 * The least number of bins of `capacity` that any packing of some sizes needs (bound L2 of Martello and Toth, 1990): what is
 * larger than half a bin stands alone, and what of the rest does not fit beside it needs bins of its own.
 */
export const binsAtLeast = (sizes: readonly number[], capacity: number): number => {
  const small = sizes.filter((size) => size <= capacity / 2);
  let most = 0;
  for (const least of new Set([0, ...small])) {
    let [alone, large, room, filling] = [0, 0, 0, 0];
    for (const size of sizes)
      if (size > capacity - least) alone += 1;
      else if (size > capacity / 2) {
        large += 1;
        room += capacity - size;
      } else if (size >= least) filling += size;
    most = Math.max(most, alone + large + Math.max(0, Math.ceil((filling - room) / capacity - almost)));
  }
  return most;
};

/**
 * The least number of new bins where some `rooms` lie there: what fits none of them needs new ones (L2); and all lengths
 * together need more than the rooms have.
 */
const newBinsAtLeast = (sizes: readonly number[], capacity: number, rooms: readonly number[]): number => {
  if (rooms.length === 0) return binsAtLeast(sizes, capacity);
  const largest = Math.max(...rooms);
  const beyond = sizes.filter((size) => size > largest + almost);
  const total = sizes.reduce((sum, size) => sum + size, 0) - rooms.reduce((sum, room) => sum + room, 0);
  return Math.max(binsAtLeast(beyond, capacity), Math.ceil(total / capacity - almost), 0);
};

interface Laid {
  readonly holds: number[][];
  /** How many of them are new: those after the rooms. */
  readonly fresh: number;
}

/** Longest first, each into the fullest bin that it fits: never more than 11/9 of the best and one. */
const bestFit = (
  order: readonly number[],
  sizes: readonly number[],
  capacity: number,
  rooms: readonly number[],
): Laid => {
  const bins: { left: number; readonly holds: number[] }[] = rooms.map((left) => ({ left, holds: [] }));
  for (const at of order) {
    let best: (typeof bins)[number] | null = null;
    for (const bin of bins) if (bin.left >= sizes[at]! - almost && (best === null || bin.left < best.left)) best = bin;
    if (best === null) bins.push((best = { left: capacity, holds: [] }));
    best.holds.push(at);
    best.left -= sizes[at]!;
  }
  return { holds: bins.map(({ holds }) => holds), fresh: bins.length - rooms.length };
};

/**
 * The fewest new bins of `capacity` that hold some sizes, none of which is larger, beside `rooms` that lie there: best fit, and
 * where that is more than the bound, every packing tried in order (branch and bound, an integer programme whose columns are
 * never written down) until one meets the bound, all have been tried, or too many have.
 */
export const fewestBins = (sizes: readonly number[], capacity: number, rooms: readonly number[] = []): Binned => {
  const order = sizes.map((_, at) => at).sort((a, b) => sizes[b]! - sizes[a]!);
  const bound = newBinsAtLeast(sizes, capacity, rooms);
  let best = bestFit(order, sizes, capacity, rooms);
  const found = (atLeast: number): Binned => ({
    offcuts: best.holds.slice(0, rooms.length),
    bins: best.holds.slice(rooms.length),
    atLeast,
  });
  if (best.fresh <= bound) return found(best.fresh);
  const bins: number[][] = rooms.map(() => []);
  const left: number[] = [...rooms];
  const rest = new Float64Array(order.length + 1);
  for (let at = order.length - 1; at >= 0; at -= 1) rest[at] = rest[at + 1]! + sizes[order[at]!]!;
  let looks = 0;
  const fresh = (): number => bins.length - rooms.length;
  const place = (at: number, from: number): void => {
    if (best.fresh <= bound || looks > mostLooks) return;
    // The sum below looks into every bin once, the search after it at most once more.
    looks += 1 + bins.length;
    if (at === order.length) {
      if (fresh() < best.fresh) best = { holds: bins.map((each) => [...each]), fresh: fresh() };
      return;
    }
    const open = left.reduce((sum, each) => sum + each, 0);
    if (fresh() + Math.ceil((rest[at]! - open) / capacity - almost) >= best.fresh) return;
    const size = sizes[order[at]!]!;
    const same = at + 1 < order.length && Math.abs(sizes[order[at + 1]!]! - size) < almost;
    const tried = new Set<number>();
    for (let bin = from; bin < bins.length; bin += 1) {
      // Bins with the same room left are the same bin.
      const key = Math.round(left[bin]! / almost);
      if (left[bin]! < size - almost || tried.has(key)) continue;
      tried.add(key);
      bins[bin]!.push(order[at]!);
      left[bin]! -= size;
      place(at + 1, same ? bin : 0);
      left[bin]! += size;
      bins[bin]!.pop();
      // What fills a bin to the brim is nowhere better.
      if (Math.abs(left[bin]! - size) < almost) return;
    }
    if (fresh() + 1 >= best.fresh) return;
    bins.push([order[at]!]);
    left.push(capacity - size);
    place(at + 1, same ? bins.length - 1 : 0);
    bins.pop();
    left.pop();
  };
  place(0, 0);
  return found(looks > mostLooks ? bound : best.fresh);
};
