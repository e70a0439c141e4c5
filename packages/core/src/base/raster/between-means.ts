/**
 * Values at the edges of cells in a row (`edges` ascending, one more than there are means) of the smooth curve of
 * parabolas, one a cell, that has exactly those means: value and slope run through every edge. At both ends the first two
 * parabolas bend alike; two cells or one make a straight line.
 */
const valuesAtEdges = (means: ArrayLike<number>, edges: ArrayLike<number>): Float64Array => {
  const count = means.length;
  if (count === 1) return Float64Array.of(means[0]!, means[0]!);
  const wide = (cell: number): number => edges[cell + 1]! - edges[cell]!;
  // Slope runs through edge k: 2 g(k−1) / w(k−1) + 4 g(k) (1 / w(k−1) + 1 / w(k)) + 2 g(k+1) / w(k) = 6 (m(k−1) / w(k−1) + m(k) / w(k)).
  const below = new Float64Array(count + 1);
  const own = new Float64Array(count + 1);
  const above = new Float64Array(count + 1);
  const right = new Float64Array(count + 1);
  for (let edge = 1; edge < count; edge += 1) {
    const [before, after] = [1 / wide(edge - 1), 1 / wide(edge)];
    [below[edge], own[edge], above[edge]] = [before, 2 * (before + after), after];
    right[edge] = 3 * (means[edge - 1]! * before + means[edge]! * after);
  }
  // The ends: g(0) + g(1) − 2 m(0) = s (g(1) + g(2) − 2 m(1)), s = (w(0) / w(1))², with g(2) taken from the row of edge 1.
  const end = (
    at: number,
    next: number,
    cell: number,
    nextCell: number,
    far: Float64Array,
    near: Float64Array,
  ): void => {
    const share = count > 2 ? (wide(cell) / wide(nextCell)) ** 2 : 0;
    const out = share / far[next]!;
    own[at] = 1 + out * near[next]!;
    const off = 1 - share + out * own[next]!;
    if (at === 0) above[0] = off;
    else below[at] = off;
    right[at] = 2 * (means[cell]! - share * means[nextCell]!) + out * right[next]!;
  };
  end(0, 1, 0, 1, above, below);
  end(count, count - 1, count - 1, count - 2, below, above);
  for (let edge = 1; edge <= count; edge += 1) {
    const factor = below[edge]! / own[edge - 1]!;
    own[edge]! -= factor * above[edge - 1]!;
    right[edge]! -= factor * right[edge - 1]!;
  }
  const values = new Float64Array(count + 1);
  for (let edge = count; edge >= 0; edge -= 1)
    values[edge] = (right[edge]! - (edge < count ? above[edge]! * values[edge + 1]! : 0)) / own[edge]!;
  return values;
};

/**
 * How much of each cell’s mean the curve has at wanted places (beyond the ends too), place by place: it is linear in the
 * means.
 */
const weightsAt = (edges: ArrayLike<number>, wanted: readonly number[]): Float64Array => {
  const count = edges.length - 1;
  const weights = new Float64Array(wanted.length * count);
  const own = new Float64Array(count);
  for (let of = 0; of < count; of += 1) {
    own.fill(0);
    own[of] = 1;
    const at = valuesAtEdges(own, edges);
    let cell = 0;
    wanted.forEach((place, index) => {
      if (edges[cell]! > place) cell = 0;
      while (cell < count - 1 && edges[cell + 1]! <= place) cell += 1;
      const u = (place - edges[cell]!) / (edges[cell + 1]! - edges[cell]!);
      weights[index * count + of] =
        at[cell]! * (1 - 4 * u + 3 * u * u) + at[cell + 1]! * (3 * u * u - 2 * u) + 6 * own[cell]! * u * (1 - u);
    });
  }
  return weights;
};

/**
 * What cells between `xEdges` and `yEdges` (ascending, however far apart; row by row) hold in the mean, read at every
 * crossing of `wantedX` and `wantedY` off the smooth surface that has exactly those means: narrow cells follow what is steep,
 * and no slope breaks where cells of unlike width meet.
 */
export const betweenMeans = (
  means: ArrayLike<number>,
  xEdges: ArrayLike<number>,
  yEdges: ArrayLike<number>,
  wantedX: readonly number[],
  wantedY: readonly number[],
): Float64Array => {
  const [columns, rows, wide] = [xEdges.length - 1, yEdges.length - 1, wantedX.length];
  const [across, up] = [weightsAt(xEdges, wantedX), weightsAt(yEdges, wantedY)];
  const out = new Float64Array(wide * wantedY.length);
  const line = new Float64Array(wide);
  for (let row = 0; row < rows; row += 1) {
    for (let x = 0; x < wide; x += 1) {
      let value = 0;
      for (let cell = 0; cell < columns; cell += 1) value += across[x * columns + cell]! * means[row * columns + cell]!;
      line[x] = value;
    }
    for (let y = 0; y < wantedY.length; y += 1) {
      const weight = up[y * rows + row]!;
      for (let x = 0; x < wide; x += 1) out[y * wide + x]! += weight * line[x]!;
    }
  }
  return out;
};
