import { shareStructure } from './share-structure.js';

/** A stage memoized by its last calls; `reused` tells whether the last answer came from memory. */
export interface Memoized<Inputs extends readonly unknown[], Output> {
  readonly run: (...inputs: Inputs) => Output;
  readonly reused: () => boolean;
}

/** Answers are kept of so many calls: trials of changes go back and forth between what stands and what is tried. */
const kept = 4;

/** Remembers the last results of `compute`, by the identity of each input. */
export const memoizeLast = <Inputs extends readonly unknown[], Output>(
  compute: (...inputs: Inputs) => Output,
): Memoized<Inputs, Output> => {
  /** The last that was asked for first. */
  let known: readonly { readonly inputs: Inputs; readonly output: Output }[] = [];
  // What was never asked was not computed anew.
  let reused = true;
  return {
    run: (...inputs) => {
      const found = known.find((call) => inputs.every((input, index) => Object.is(input, call.inputs[index])));
      reused = found !== undefined;
      // An equal answer keeps its identity, so that the stages after it need not run again.
      const call = found ?? { inputs, output: shareStructure(known[0]?.output, compute(...inputs)) };
      if (call !== known[0]) known = [call, ...known.filter((other) => other !== call)].slice(0, kept);
      return call.output;
    },
    reused: () => reused,
  };
};
