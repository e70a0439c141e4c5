/**
 * Solves x = b + M x for an operator that shrinks what it is given, by the least residual over the vectors that it makes
 * (GMRES; Y. Saad & M. Schultz, SIAM J. Sci. Stat. Comput. 7 (1986) 856): until the residual is `tolerance` of b.
 */
export const solveLinear = (
  apply: (x: Float64Array) => Float64Array,
  b: Float64Array,
  tolerance: number,
  most = 60,
): Float64Array => {
  const norm = (x: Float64Array): number => Math.sqrt(dot(x, x));
  const length = norm(b);
  const x = new Float64Array(b.length);
  if (length === 0) return x;
  const basis: Float64Array[] = [b.map((value) => value / length)];
  const triangle: Float64Array[] = [];
  const turns: (readonly [number, number])[] = [];
  const left: number[] = [length];
  for (let step = 0; step < most; step += 1) {
    const own = basis[step]!;
    const image = apply(own);
    const next = own.map((value, at) => value - image[at]!);
    const column = new Float64Array(step + 2);
    for (let before = 0; before <= step; before += 1) {
      const part = dot(next, basis[before]!);
      column[before] = part;
      const vector = basis[before]!;
      for (let at = 0; at < next.length; at += 1) next[at]! -= part * vector[at]!;
    }
    const rest = norm(next);
    turns.forEach(([c, s], at) => {
      const [one, other] = [column[at]!, column[at + 1]!];
      column[at] = c * one + s * other;
      column[at + 1] = c * other - s * one;
    });
    const r = Math.hypot(column[step]!, rest) || 1;
    const [c, s] = [column[step]! / r, rest / r];
    turns.push([c, s]);
    column[step] = r;
    triangle.push(column);
    left.push(-s * left[step]!);
    left[step] = c * left[step]!;
    if (Math.abs(left[step + 1]!) < tolerance * length || rest === 0) break;
    basis.push(next.map((value) => value / rest));
  }
  const size = triangle.length;
  const weights = new Float64Array(size);
  for (let row = size - 1; row >= 0; row -= 1) {
    let value = left[row]!;
    for (let column = row + 1; column < size; column += 1) value -= triangle[column]![row]! * weights[column]!;
    weights[row] = value / triangle[row]![row]!;
  }
  weights.forEach((weight, at) => {
    const vector = basis[at]!;
    for (let place = 0; place < x.length; place += 1) x[place]! += weight * vector[place]!;
  });
  return x;
};

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let at = 0; at < a.length; at += 1) sum += a[at]! * b[at]!;
  return sum;
};
