import type { Network } from './types.js';

/** Branches as pairs of nodes: resistors, loads and sources in turn. */
export interface BranchEnds {
  readonly a: Int32Array;
  readonly b: Int32Array;
}

export const branchEnds = ({ resistors, loads, sources }: Network): BranchEnds => {
  const [r, l] = [resistors.from.length, loads.plus.length];
  const [a, b] = [new Int32Array(r + l + sources.length), new Int32Array(r + l + sources.length)];
  a.set(resistors.from);
  b.set(resistors.to);
  a.set(loads.plus, r);
  b.set(loads.minus, r);
  sources.forEach(({ plus, minus }, source) => {
    a[r + l + source] = plus;
    b[r + l + source] = minus;
  });
  return { a, b };
};

/** Who neighbours whom: neighbours of node n from `starts[n]` to `starts[n + 1]`. */
interface Neighbours {
  readonly starts: Int32Array;
  readonly others: Int32Array;
}

const neighboursOf = (nodes: number, { a, b }: BranchEnds): Neighbours => {
  const starts = new Int32Array(nodes + 1);
  for (let branch = 0; branch < a.length; branch += 1) {
    starts[a[branch]! + 1]! += 1;
    starts[b[branch]! + 1]! += 1;
  }
  for (let node = 0; node < nodes; node += 1) starts[node + 1]! += starts[node]!;
  const others = new Int32Array(2 * a.length);
  const filled = starts.slice();
  for (let branch = 0; branch < a.length; branch += 1) {
    const [one, other] = [a[branch]!, b[branch]!];
    others[filled[one]!] = other;
    filled[one]! += 1;
    others[filled[other]!] = one;
    filled[other]! += 1;
  }
  return { starts, others };
};

/** How a network hangs together, seen from its supplies. */
export interface Reach {
  /** Nodes that a supply reaches, nearest first. */
  readonly order: Int32Array;
  /** 1 for nodes that none reaches. */
  readonly unfed: Uint8Array;
  /** The node of each part that counts as 0 V: the minus of its first supply. */
  readonly grounds: readonly number[];
}

/**
 * Walks outward from all supplies at once. The order turned round is the one to eliminate nodes in: what hangs farthest
 * out goes first, and rings that are fed from both sides are opened in their middle, so that next to nothing fills in.
 */
export const reachOf = (network: Network, ends: BranchEnds): Reach => {
  const { nodes, sources } = network;
  const { starts, others } = neighboursOf(nodes, ends);
  const order = new Int32Array(nodes);
  // Which source’s walk came to a node first; walks that meet belong to one part.
  const from = new Int32Array(nodes).fill(-1);
  const parts = Int32Array.from(sources, (_, source) => source);
  const partOf = (source: number): number => {
    let root = source;
    while (parts[root] !== root) root = parts[root]!;
    return root;
  };
  const meet = (one: number, other: number): void => {
    const [a, b] = [partOf(one), partOf(other)];
    parts[Math.max(a, b)] = Math.min(a, b);
  };
  let count = 0;
  sources.forEach(({ plus, minus }, source) => {
    for (const node of [minus, plus]) {
      if (from[node]! >= 0) meet(from[node]!, source);
      else {
        from[node] = source;
        order[count] = node;
        count += 1;
      }
    }
  });
  for (let at = 0; at < count; at += 1) {
    const node = order[at]!;
    const own = from[node]!;
    const end = starts[node + 1]!;
    for (let place = starts[node]!; place < end; place += 1) {
      const other = others[place]!;
      const theirs = from[other]!;
      if (theirs === own) continue;
      if (theirs >= 0) meet(theirs, own);
      else {
        from[other] = own;
        order[count] = other;
        count += 1;
      }
    }
  }
  return {
    order: order.subarray(0, count),
    unfed: Uint8Array.from(from, (source) => (source < 0 ? 1 : 0)),
    grounds: sources.flatMap(({ minus }, source) => (partOf(source) === source ? [minus] : [])),
  };
};
