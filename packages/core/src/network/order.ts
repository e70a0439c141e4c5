import { together } from './parts.js';
import type { Network } from './types.js';

/** Calls `each` with the two nodes of every branch. */
const forBranches = ({ resistors, loads, sources }: Network, each: (a: number, b: number) => void): void => {
  resistors.from.forEach((from, branch) => each(from, resistors.to[branch]!));
  loads.plus.forEach((plus, load) => each(plus, loads.minus[load]!));
  for (const { plus, minus } of sources) each(plus, minus);
};

/** Who neighbours whom among the nodes outside ladders, once the ladders’ insides have been eliminated. */
const outerNeighbours = (network: Network): ReadonlyMap<number, Set<number>> => {
  const { nodes, inner } = network;
  const neighbours = new Map<number, Set<number>>();
  for (let node = inner; node < nodes; node += 1) neighbours.set(node, new Set());
  const ladders = together(nodes);
  forBranches(network, (a, b) => {
    if (a < inner && b < inner) ladders.join(a, b);
  });
  const ends = new Map<number, Set<number>>();
  forBranches(network, (a, b) => {
    if (a === b) return;
    if (a >= inner && b >= inner) {
      neighbours.get(a)!.add(b);
      neighbours.get(b)!.add(a);
    } else if (a >= inner || b >= inner) {
      const ladder = ladders.of(a < inner ? a : b);
      const own = ends.get(ladder) ?? new Set();
      ends.set(ladder, own.add(a < inner ? b : a));
    }
  });
  for (const own of ends.values()) for (const a of own) for (const b of own) if (a !== b) neighbours.get(a)!.add(b);
  return neighbours;
};

/**
 * The order in which nodes are eliminated: ladders’ insides as they are numbered, along each ladder, which fills in
 * nothing; then the rest, at each step one of those with the fewest neighbours left (minimum degree).
 */
export const eliminationOrder = (network: Network): Int32Array => {
  const { nodes, inner } = network;
  const neighbours = outerNeighbours(network);
  const order = Int32Array.from({ length: nodes }, (_, node) => node);
  // Nodes by how many neighbours they have; those whose number has changed since are found again where they belong.
  const byDegree: number[][] = [];
  const file = (node: number): void => void (byDegree[neighbours.get(node)!.size] ??= []).push(node);
  for (const node of neighbours.keys()) file(node);
  const done = new Set<number>();
  let next = inner;
  for (let degree = 0; next < nodes;) {
    const node = byDegree[degree]?.pop();
    if (node === undefined) degree += 1;
    else if (!done.has(node) && neighbours.get(node)!.size === degree) {
      done.add(node);
      order[next] = node;
      next += 1;
      const own = [...neighbours.get(node)!];
      for (const a of own) {
        const theirs = neighbours.get(a)!;
        theirs.delete(node);
        for (const b of own) if (b !== a) theirs.add(b);
        file(a);
      }
      degree = Math.max(0, degree - 1);
    }
  }
  return order;
};
