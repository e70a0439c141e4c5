import { addLadder, networkBuilder, solveNetwork, type LoadLaw } from '../power/network/index.js';
import type { ValidationCase } from './types.js';

const [groups, lengthM, railOhm, volts] = [2000, 5, 0.3, 12];
/** Copper out and back (Ω/m). */
const ohmPerM = (2 * railOhm) / lengthM;

/** Volts across one group of a strip on a stiff supply, fed at its start, and at its end too where asked. */
const acrossGroup = (law: LoadLaw, group: number, bothEnds = false): number => {
  const builder = networkBuilder();
  const [minus, plus] = [builder.node(), builder.node()];
  builder.source(minus, plus, volts, 0);
  const ladder = addLadder(builder, { groups, law, railOhm });
  const feeds = [[ladder.startPlus, ladder.startMinus], ...(bothEnds ? [[ladder.endPlus, ladder.endMinus]] : [])];
  for (const [ownPlus, ownMinus] of feeds) {
    builder.resistor(plus, ownPlus!, 0);
    builder.resistor(minus, ownMinus!, 0);
  }
  const network = builder.build();
  const found = solveNetwork(network);
  return found.volts[network.loads.plus[group]!]! - found.volts[network.loads.minus[group]!]!;
};

const ampsPerM = 0.8;
const regulated: LoadLaw = { kind: 'regulated', fromV: 6, fullV: 8, amps: (ampsPerM * lengthM) / groups };
const siemensPerM = 0.09;
const resistive: LoadLaw = { kind: 'resistive', forwardV: 9, siemens: (siemensPerM * lengthM) / groups };
const middleOf = (group: number): number => ((group + 0.5) * lengthM) / groups;

/** Strips as networks of groups, against their closed forms. */
export const circuitCases: readonly ValidationCase[] = [
  {
    group: 'circuits',
    name: 'drop at the end of 5 m with a constant current all along',
    against: 'r i L² / 2: a parabola',
    tolerance: 1e-3,
    run: () => ({
      computed: volts - acrossGroup(regulated, groups - 1),
      expected: (ohmPerM * ampsPerM * lengthM ** 2) / 2,
    }),
  },
  {
    group: 'circuits',
    name: 'the same strip fed at both ends, drop in its middle',
    against: 'r i L² / 8',
    tolerance: 1e-3,
    run: () => ({
      computed: volts - acrossGroup(regulated, groups / 2, true),
      expected: (ohmPerM * ampsPerM * lengthM ** 2) / 8,
    }),
  },
  ...[700, groups - 1].map((group): ValidationCase => ({
    group: 'circuits',
    name: `voltage above forward ${middleOf(group).toFixed(2)} m along 5 m of a load in proportion to it`,
    against: 'u₀ cosh k(L − x) / cosh kL',
    tolerance: 1e-3,
    run: () => {
      const k = Math.sqrt(ohmPerM * siemensPerM);
      return {
        computed: acrossGroup(resistive, group) - 9,
        expected: (3 * Math.cosh(k * (lengthM - middleOf(group)))) / Math.cosh(k * lengthM),
      };
    },
  })),
  {
    group: 'circuits',
    name: 'first of two segments in series on 24 V, the second twice as long',
    against: 'f + (V − 2f) g₂ / (g₁ + g₂)',
    tolerance: 1e-3,
    run: () => {
      const builder = networkBuilder();
      const [minus, middle, plus] = [builder.node(), builder.node(), builder.node()];
      builder.source(minus, plus, 24, 0);
      builder.load(plus, middle, { kind: 'resistive', forwardV: 9, siemens: 0.1 });
      builder.load(middle, minus, { kind: 'resistive', forwardV: 9, siemens: 0.2 });
      const found = solveNetwork(builder.build());
      return { computed: found.volts[plus]! - found.volts[middle]!, expected: 9 + (6 * 0.2) / 0.3 };
    },
  },
];
