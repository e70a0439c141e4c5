/** The upper triangle of a sparse symmetric matrix by columns: rows of column k, all ≤ k, from `starts[k]` on. */
export interface UpperTriangle {
  readonly size: number;
  readonly starts: Int32Array;
  readonly rows: Int32Array;
}

/** What factors of one pattern share: the elimination tree, and where each column of L begins. */
export interface Pattern {
  readonly parent: Int32Array;
  readonly columnStarts: Int32Array;
}

/**
 * The pattern of L in L·D·Lᵀ (T. A. Davis, ACM Transactions on Mathematical Software 31 (2005) 587: “Algorithm 849”):
 * each row of L is found by walking up the elimination tree from the entries of its column.
 */
export const patternOf = ({ size, starts, rows }: UpperTriangle): Pattern => {
  const parent = new Int32Array(size).fill(-1);
  const seen = new Int32Array(size).fill(-1);
  const counts = new Int32Array(size);
  for (let k = 0; k < size; k += 1) {
    seen[k] = k;
    for (let place = starts[k]!; place < starts[k + 1]!; place += 1)
      for (let i = rows[place]!; seen[i] !== k; i = parent[i]!) {
        if (parent[i] === -1) parent[i] = k;
        counts[i]! += 1;
        seen[i] = k;
      }
  }
  const columnStarts = new Int32Array(size + 1);
  for (let k = 0; k < size; k += 1) columnStarts[k + 1] = columnStarts[k]! + counts[k]!;
  return { parent, columnStarts };
};

/** L (unit lower triangle, by columns) and D of a factored matrix, and room to work in; used again for each set of numbers. */
export interface Factor {
  readonly lower: Float64Array;
  readonly lowerRows: Int32Array;
  readonly diagonal: Float64Array;
}

export const roomFor = ({ columnStarts }: Pattern): Factor => {
  const size = columnStarts.length - 1;
  const entries = columnStarts[size]!;
  return {
    lower: new Float64Array(entries),
    lowerRows: new Int32Array(entries),
    diagonal: new Float64Array(size),
  };
};

/** Factors a positive definite matrix of this pattern. Mutates `factor`. Answers whether every pivot was positive. */
export const factorInto = (
  factor: Factor,
  { size, starts, rows }: UpperTriangle,
  values: Float64Array,
  { parent, columnStarts }: Pattern,
): boolean => {
  const { lower, lowerRows, diagonal } = factor;
  const work = new Float64Array(size);
  const path = new Int32Array(size);
  const seen = new Int32Array(size).fill(-1);
  const filled = Int32Array.from(columnStarts.subarray(0, size));
  for (let k = 0; k < size; k += 1) {
    let top = size;
    seen[k] = k;
    for (let place = starts[k]!; place < starts[k + 1]!; place += 1) {
      let i = rows[place]!;
      work[i]! += values[place]!;
      let length = 0;
      for (; seen[i] !== k; i = parent[i]!) {
        path[length] = i;
        length += 1;
        seen[i] = k;
      }
      // The walk up the tree is stacked, so that rows come in an order in which each depends on earlier ones only.
      while (length > 0) {
        length -= 1;
        top -= 1;
        path[top] = path[length]!;
      }
    }
    let pivot = work[k]!;
    work[k] = 0;
    for (; top < size; top += 1) {
      const i = path[top]!;
      const value = work[i]!;
      work[i] = 0;
      const end = filled[i]!;
      for (let place = columnStarts[i]!; place < end; place += 1) work[lowerRows[place]!]! -= lower[place]! * value;
      const entry = value / diagonal[i]!;
      pivot -= entry * value;
      lowerRows[end] = k;
      lower[end] = entry;
      filled[i] = end + 1;
    }
    if (!(pivot > 0)) return false;
    diagonal[k] = pivot;
  }
  return true;
};

/** Solves L·D·Lᵀ x = b. Mutates `x`, which comes in as b. */
export const solveInPlace = (x: Float64Array, factor: Factor, { columnStarts }: Pattern): void => {
  const { lower, lowerRows, diagonal } = factor;
  const size = diagonal.length;
  for (let k = 0; k < size; k += 1) {
    const value = x[k]!;
    for (let place = columnStarts[k]!; place < columnStarts[k + 1]!; place += 1)
      x[lowerRows[place]!]! -= lower[place]! * value;
  }
  for (let k = size - 1; k >= 0; k -= 1) {
    let value = x[k]! / diagonal[k]!;
    for (let place = columnStarts[k]!; place < columnStarts[k + 1]!; place += 1)
      value -= lower[place]! * x[lowerRows[place]!]!;
    x[k] = value;
  }
};
