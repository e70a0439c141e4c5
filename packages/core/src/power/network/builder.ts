import type { LoadLaw, Network, Source } from './types.js';

/** Puts a network together branch by branch. Mutable; one for each network. */
export interface NetworkBuilder {
  /** A new node’s number. */
  readonly node: () => number;
  /** Each answers with the branch’s index among its kind. */
  readonly resistor: (from: number, to: number, ohm: number) => number;
  readonly load: (plus: number, minus: number, law: LoadLaw) => number;
  readonly source: (minus: number, plus: number, volts: number, ohm: number) => number;
  readonly build: () => Network;
}

export const networkBuilder = (): NetworkBuilder => {
  let nodes = 0;
  const [from, to, ohms]: [number[], number[], number[]] = [[], [], []];
  const [pluses, minuses, lawOf]: [number[], number[], number[]] = [[], [], []];
  const laws: LoadLaw[] = [];
  const known = new Map<LoadLaw, number>();
  const sources: Source[] = [];
  return {
    node: () => (nodes += 1) - 1,
    resistor: (a, b, ohm) => {
      from.push(a);
      to.push(b);
      return ohms.push(ohm) - 1;
    },
    load: (plus, minus, law) => {
      pluses.push(plus);
      minuses.push(minus);
      const index = known.get(law) ?? laws.push(law) - 1;
      known.set(law, index);
      return lawOf.push(index) - 1;
    },
    source: (minus, plus, volts, ohm) => sources.push({ minus, plus, volts, ohm }) - 1,
    build: () => ({
      nodes,
      resistors: { from: Int32Array.from(from), to: Int32Array.from(to), ohm: Float64Array.from(ohms) },
      loads: { plus: Int32Array.from(pluses), minus: Int32Array.from(minuses), law: Int32Array.from(lawOf) },
      laws: [...laws],
      sources: [...sources],
    }),
  };
};
