/** The places about a wanted one, up to four, and the weights of the polynomial through them (Lagrange). */
interface Taps {
  readonly first: number;
  readonly weights: readonly number[];
}

const mostTaps = 4;

const tapsAt = (places: readonly number[], wanted: number): Taps => {
  let below = 0;
  while (below < places.length - 2 && places[below + 1]! <= wanted) below += 1;
  const taps = Math.min(mostTaps, places.length);
  const first = Math.min(places.length - taps, Math.max(0, below - 1));
  const at = (tap: number): number => places[first + tap]!;
  return {
    first,
    weights: Array.from({ length: taps }, (_, tap) => {
      let product = 1;
      for (let other = 0; other < taps; other += 1)
        if (other !== tap) product *= (wanted - at(other)) / (at(tap) - at(other));
      return product;
    }),
  };
};

/**
 * Values at every crossing of `xs` and `ys` (ascending, however far apart), read between and a little beyond them at every
 * crossing of `wantedX` and `wantedY` by the cubics through the four next places: close places follow what is steep.
 */
export const betweenPlaces = (
  values: ArrayLike<number>,
  xs: readonly number[],
  ys: readonly number[],
  wantedX: readonly number[],
  wantedY: readonly number[],
): Float64Array => {
  const wide = wantedX.length;
  const across = wantedX.map((x) => tapsAt(xs, x));
  const rows = new Float64Array(ys.length * wide);
  for (let row = 0; row < ys.length; row += 1)
    for (let column = 0; column < wide; column += 1) {
      const { first, weights } = across[column]!;
      let sum = 0;
      for (let tap = 0; tap < weights.length; tap += 1) sum += weights[tap]! * values[row * xs.length + first + tap]!;
      rows[row * wide + column] = sum;
    }
  const out = new Float64Array(wide * wantedY.length);
  wantedY.forEach((y, row) => {
    const { first, weights } = tapsAt(ys, y);
    weights.forEach((weight, tap) => {
      const from = (first + tap) * wide;
      for (let column = 0; column < wide; column += 1) out[row * wide + column]! += weight * rows[from + column]!;
    });
  });
  return out;
};
