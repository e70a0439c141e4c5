import type { NetworkBuilder } from './builder.js';
import { addRails } from './rails.js';
import type { LoadLaw } from './types.js';

/** A segment of strip of one colour as a network: groups at even steps on copper that runs out and back. */
export interface Ladder {
  readonly groups: number;
  readonly law: LoadLaw;
  /** Copper of one rail over the whole segment (Ω); both have it. */
  readonly railOhm: number;
}

/** Where a ladder begins and ends, and its groups’ places among the loads. */
export interface LadderEnds {
  readonly startPlus: number;
  readonly startMinus: number;
  readonly endPlus: number;
  readonly endMinus: number;
  readonly firstLoad: number;
  /** The plus rail before its first group; its minus is next, and so on in turn along the segment. */
  readonly firstRail: number;
}

/** Adds a ladder: rails with one return and one load a group. */
export const addLadder = (builder: NetworkBuilder, { groups, law, railOhm }: Ladder): LadderEnds => {
  const { start, end, firstLoad, firstRail } = addRails(builder, {
    groups,
    loads: [{ law, back: 0 }],
    backs: 1,
    railOhm,
  });
  return {
    startPlus: start[0]!,
    startMinus: start[1]!,
    endPlus: end[0]!,
    endMinus: end[1]!,
    firstLoad,
    firstRail,
  };
};
