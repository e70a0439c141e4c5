import type { NetworkBuilder } from './builder.js';
import type { LoadLaw } from './types.js';

/** A load of each group, and the return rail it hangs on, counted from 0. */
export interface RailLoad {
  readonly law: LoadLaw;
  readonly back: number;
}

/** A segment of strip as a network: groups at even steps on copper that goes out by one rail and comes back by one or more. */
export interface Rails {
  readonly groups: number;
  readonly loads: readonly RailLoad[];
  readonly backs: number;
  /** Copper of one rail over the whole segment (Ω); each has it. */
  readonly railOhm: number;
}

/** Where the rails of a segment begin and end, plus first, and its places among loads and resistors. */
export interface RailEnds {
  readonly start: readonly number[];
  readonly end: readonly number[];
  /** The loads follow group by group, those of a group in their own order. */
  readonly firstLoad: number;
  /** The plus rail before the first group; its returns are next, and so on in turn along the segment. */
  readonly firstRail: number;
}

/**
 * Adds a segment: each group sits in the middle of its share of the copper, so that the first and the last have half a step
 * of rail to the ends. Without groups it is so many wires.
 */
export const addRails = (builder: NetworkBuilder, { groups, loads, backs, railOhm }: Rails): RailEnds => {
  const nodes = (): readonly number[] => Array.from({ length: 1 + backs }, () => builder.node());
  const [start, end] = [nodes(), nodes()];
  const step = railOhm / Math.max(1, groups);
  const lay = (from: readonly number[], to: readonly number[], ohm: number): number => {
    const first = builder.resistor(from[0]!, to[0]!, ohm);
    for (let back = 1; back <= backs; back += 1) builder.resistor(from[back]!, to[back]!, ohm);
    return first;
  };
  let at = start;
  let [firstLoad, firstRail] = [-1, -1];
  for (let group = 0; group < groups; group += 1) {
    const next = nodes();
    const rail = lay(at, next, group === 0 ? step / 2 : step);
    loads.forEach(({ law, back }, index) => {
      const load = builder.load(next[0]!, next[1 + back]!, law);
      if (group === 0 && index === 0) [firstLoad, firstRail] = [load, rail];
    });
    at = next;
  }
  const last = lay(at, end, groups === 0 ? railOhm : step / 2);
  return { start, end, firstLoad, firstRail: groups === 0 ? last : firstRail };
};
