/** A function of one object that remembers what it gave for as long as the object is there. */
export const keptByIdentity = <In extends object, Out>(work: (input: In) => Out): ((input: In) => Out) => {
  const kept = new WeakMap<In, { readonly out: Out }>();
  return (input) => {
    const known = kept.get(input) ?? { out: work(input) };
    kept.set(input, known);
    return known.out;
  };
};
