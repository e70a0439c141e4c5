import type { LoadLaw } from './types.js';
import type { NetworkBuilder } from './builder.js';

/** A piece of strip as a network: groups at even steps on copper that runs out and back. */
export interface Ladder {
  readonly groups: number;
  readonly law: LoadLaw;
  /** Copper of one rail over the whole piece (Ω); both have it. */
  readonly railOhm: number;
}

/** Where a ladder begins and ends, and its groups’ places among the loads. */
export interface LadderEnds {
  readonly startPlus: number;
  readonly startMinus: number;
  readonly endPlus: number;
  readonly endMinus: number;
  readonly firstLoad: number;
  /** The plus rail before its first group; its minus is next, and so on in turn along the piece. */
  readonly firstRail: number;
}

/**
 * Adds a ladder: each group sits in the middle of its share of the copper, so that the first and the last have half a
 * step of rail to the ends. Without groups it is two wires.
 */
export const addLadder = (builder: NetworkBuilder, { groups, law, railOhm }: Ladder): LadderEnds => {
  const [startPlus, startMinus, endPlus, endMinus] = [builder.node(), builder.node(), builder.node(), builder.node()];
  const step = railOhm / Math.max(1, groups);
  let [plus, minus] = [startPlus, startMinus];
  let [firstLoad, firstRail] = [-1, -1];
  for (let group = 0; group < groups; group += 1) {
    const [nextPlus, nextMinus] = [builder.node(), builder.node()];
    const ohm = group === 0 ? step / 2 : step;
    const rail = builder.resistor(plus, nextPlus, ohm);
    builder.resistor(minus, nextMinus, ohm);
    const load = builder.load(nextPlus, nextMinus, law);
    if (group === 0) [firstLoad, firstRail] = [load, rail];
    [plus, minus] = [nextPlus, nextMinus];
  }
  const last = groups === 0 ? railOhm : step / 2;
  const lastRail = builder.resistor(plus, endPlus, last);
  builder.resistor(minus, endMinus, last);
  return { startPlus, startMinus, endPlus, endMinus, firstLoad, firstRail: groups === 0 ? lastRail : firstRail };
};
