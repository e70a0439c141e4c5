import type { Network } from './types.js';

/** Sets of nodes that grow together. */
export interface Together {
  readonly join: (a: number, b: number) => void;
  readonly of: (node: number) => number;
}

export const together = (count: number): Together => {
  const parent = Int32Array.from({ length: count }, (_, node) => node);
  const of = (node: number): number => {
    let root = node;
    while (parent[root] !== root) root = parent[root]!;
    for (let at = node; parent[at] !== root;) [at, parent[at]] = [parent[at]!, root];
    return root;
  };
  return {
    join: (a, b) => {
      parent[of(a)] = of(b);
    },
    of,
  };
};

/** The parts of a network that hang together, and the node of each that counts as 0 V: the minus of its first supply. */
export interface Parts {
  readonly grounds: readonly number[];
  /** 1 for nodes that no supply is joined to. */
  readonly unfed: Uint8Array;
}

export const partsOf = ({ nodes, resistors, loads, sources }: Network): Parts => {
  const sets = together(nodes);
  resistors.from.forEach((from, branch) => sets.join(from, resistors.to[branch]!));
  loads.plus.forEach((plus, load) => sets.join(plus, loads.minus[load]!));
  for (const { plus, minus } of sources) sets.join(plus, minus);
  const ground = new Map<number, number>();
  for (const { minus } of sources) if (!ground.has(sets.of(minus))) ground.set(sets.of(minus), minus);
  const unfed = new Uint8Array(nodes);
  for (let node = 0; node < nodes; node += 1) unfed[node] = ground.has(sets.of(node)) ? 0 : 1;
  return { grounds: [...ground.values()], unfed };
};
