/** A source of numbers in [0, 1). Passed in wherever chance is used, so that runs repeat. */
export type Random = () => number;

/**
 * A seeded generator (mulberry32, 32-bit state, period 2³²): small, fast, good enough for sampling and tests,
 * not for secrets. Source: Tommy Ettinger's public-domain mulberry32.
 */
export const seededRandom = (seed: number): Random => {
  // In an array of 32-bit numbers: a plain variable of that size would be allocated anew at every draw.
  const held = Int32Array.of(seed);
  return () => {
    const state = (held[0]! + 0x6d2b79f5) | 0;
    held[0] = state;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
};

/**
 * The `index`-th point of the R2 low-discrepancy sequence in the unit square
 * (M. Roberts, 2018: additive recurrence on the plastic number).
 */
export const evenPoint = (index: number): readonly [number, number] => [
  (0.5 + index * 0.7548776662466927) % 1,
  (0.5 + index * 0.5698402909980532) % 1,
];

/**
 * The `index`-th point of the R4 sequence in the unit cube of four dimensions: the same recurrence on the root of
 * x⁵ = x + 1.
 */
export const evenPoint4 = (index: number): readonly [number, number, number, number] => [
  (0.5 + index * 0.8566748838545029) % 1,
  (0.5 + index * 0.733891856627126) % 1,
  (0.5 + index * 0.6287067210378087) % 1,
  (0.5 + index * 0.5385972572236101) % 1,
];
