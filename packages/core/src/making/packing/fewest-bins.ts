/** Lengths laid into bins of one size. */
export interface Binned {
  /** Places of the lengths in the list that was given, bin by bin. */
  readonly bins: readonly (readonly number[])[];
  /** Proven: no fewer bins hold them. */
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

/** Longest first, each into the fullest bin that it fits: never more than 11/9 of the best and one. */
const bestFit = (order: readonly number[], sizes: readonly number[], capacity: number): number[][] => {
  const bins: { left: number; readonly holds: number[] }[] = [];
  for (const at of order) {
    let best: (typeof bins)[number] | null = null;
    for (const bin of bins) if (bin.left >= sizes[at]! - almost && (best === null || bin.left < best.left)) best = bin;
    if (best === null) bins.push((best = { left: capacity, holds: [] }));
    best.holds.push(at);
    best.left -= sizes[at]!;
  }
  return bins.map(({ holds }) => holds);
};

/**
 * The fewest bins of `capacity` that hold some sizes, none of which is larger: best fit, and where that is more than the
 * bound, every packing tried in order (branch and bound) until one meets the bound, all have been tried, or too many have.
 */
export const fewestBins = (sizes: readonly number[], capacity: number): Binned => {
  const order = sizes.map((_, at) => at).sort((a, b) => sizes[b]! - sizes[a]!);
  const bound = binsAtLeast(sizes, capacity);
  let best = bestFit(order, sizes, capacity);
  if (best.length <= bound) return { bins: best, atLeast: best.length };
  const bins: number[][] = [];
  const left: number[] = [];
  const rest = new Float64Array(order.length + 1);
  for (let at = order.length - 1; at >= 0; at -= 1) rest[at] = rest[at + 1]! + sizes[order[at]!]!;
  let looks = 0;
  const place = (at: number, from: number): void => {
    if (best.length <= bound || looks > mostLooks) return;
    // The sum below looks into every bin once, the search after it at most once more.
    looks += 1 + bins.length;
    if (at === order.length) {
      if (bins.length < best.length) best = bins.map((each) => [...each]);
      return;
    }
    const open = left.reduce((sum, each) => sum + each, 0);
    if (bins.length + Math.ceil((rest[at]! - open) / capacity - almost) >= best.length) return;
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
    if (bins.length + 1 >= best.length) return;
    bins.push([order[at]!]);
    left.push(capacity - size);
    place(at + 1, same ? bins.length - 1 : 0);
    bins.pop();
    left.pop();
  };
  place(0, 0);
  return { bins: best, atLeast: looks > mostLooks ? bound : best.length };
};
