import { shareStructure } from './share-structure.js';

/** A stage memoized by its last call; `reused` tells whether the last answer came from memory. */
export interface Memoized<Inputs extends readonly unknown[], Output> {
  readonly run: (...inputs: Inputs) => Output;
  readonly reused: () => boolean;
}

/** Remembers the last result of `compute`, by the identity of each input. One entry: an edit follows the edit before. */
export const memoizeLast = <Inputs extends readonly unknown[], Output>(
  compute: (...inputs: Inputs) => Output,
): Memoized<Inputs, Output> => {
  let last: { readonly inputs: Inputs; readonly output: Output } | null = null;
  let reused = false;
  return {
    run: (...inputs) => {
      const known = last;
      reused = known !== null && inputs.every((input, index) => Object.is(input, known.inputs[index]));
      if (known !== null && reused) return known.output;
      // An equal answer keeps its identity, so that the stages after it need not run again.
      const output = shareStructure(known?.output, compute(...inputs));
      last = { inputs, output };
      return output;
    },
    reused: () => reused,
  };
};
