import type { LoadLaw, Network, Source } from './types.js';

/** A node while a network is put together; the network’s own numbers come when it is done. */
export type NodeMark = number & { readonly mark: 'node' };

/** Puts a network together branch by branch. Mutable; one for each network. */
export interface NetworkBuilder {
  /** A node inside a ladder: made in order along it. */
  readonly inner: () => NodeMark;
  /** A node outside of ladders: a terminal, a joint. */
  readonly outer: () => NodeMark;
  /** Each answers with the branch’s index among its kind. */
  readonly resistor: (from: NodeMark, to: NodeMark, ohm: number) => number;
  readonly load: (plus: NodeMark, minus: NodeMark, law: LoadLaw) => number;
  readonly source: (minus: NodeMark, plus: NodeMark, volts: number, ohm: number) => number;
  readonly build: () => { readonly network: Network; readonly numberOf: (mark: NodeMark) => number };
}

/** Grows a column of numbers. */
const pusher = () => {
  const numbers: number[] = [];
  return { numbers, push: (value: number): number => numbers.push(value) - 1 };
};

export const networkBuilder = (): NetworkBuilder => {
  let [innerCount, outerCount] = [0, 0];
  const [from, to, ohms] = [pusher(), pusher(), pusher()];
  const [pluses, minuses, lawOf] = [pusher(), pusher(), pusher()];
  const laws: LoadLaw[] = [];
  const known = new Map<LoadLaw, number>();
  const sources: Source[] = [];
  // Outer nodes count down from −1 until it is known how many inner ones stand before them.
  const numbered = (mark: number): number => (mark >= 0 ? mark : innerCount - 1 - mark);
  return {
    inner: () => innerCount++ as NodeMark,
    outer: () => (outerCount -= 1) as NodeMark,
    resistor: (a, b, ohm) => {
      from.push(a);
      to.push(b);
      return ohms.push(ohm);
    },
    load: (plus, minus, law) => {
      pluses.push(plus);
      minuses.push(minus);
      const index = known.get(law) ?? laws.push(law) - 1;
      known.set(law, index);
      return lawOf.push(index);
    },
    source: (minus, plus, volts, ohm) => sources.push({ minus, plus, volts, ohm }) - 1,
    build: () => ({
      numberOf: numbered,
      network: {
        nodes: innerCount - outerCount,
        inner: innerCount,
        resistors: {
          from: Int32Array.from(from.numbers, numbered),
          to: Int32Array.from(to.numbers, numbered),
          ohm: Float64Array.from(ohms.numbers),
        },
        loads: {
          plus: Int32Array.from(pluses.numbers, numbered),
          minus: Int32Array.from(minuses.numbers, numbered),
          law: Int32Array.from(lawOf.numbers),
        },
        laws,
        sources: sources.map((source) => ({
          ...source,
          minus: numbered(source.minus),
          plus: numbered(source.plus),
        })),
      },
    }),
  };
};
