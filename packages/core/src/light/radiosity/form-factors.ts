/** Corner function of two parallel rectangles (J. Howell, A Catalog of Radiation Heat Transfer Configuration Factors, C-13). */
const parallelCorner = (u: number, v: number, distance: number): number => {
  const [u2, v2, d2] = [u * u, v * v, distance * distance];
  const [ru, rv] = [Math.sqrt(u2 + d2), Math.sqrt(v2 + d2)];
  return (v * ru * Math.atan(v / ru) + u * rv * Math.atan(u / rv) - (d2 / 2) * Math.log(u2 + v2 + d2)) / (2 * Math.PI);
};

/** Corner function of two rectangles at a right angle, `u` and `v` from their common edge, `w` apart along it (Howell C-15). */
const perpendicularCorner = (u: number, v: number, w: number): number => {
  const r2 = u * u + v * v;
  const w2 = w * w;
  if (r2 + w2 === 0) return 0;
  const r = Math.sqrt(r2);
  const turn = r === 0 ? 0 : w * r * Math.atan(w / r);
  return (turn - ((r2 - w2) / 4) * Math.log(r2 + w2)) / (2 * Math.PI);
};

/** How far all edges lie from each other: each distance once, and by two edges which of them it is. */
interface Distances {
  readonly mm: readonly number[];
  readonly of: Int32Array;
  readonly edges: number;
}

/** Distances that agree to a thousandth of a millimetre are one: patches of one size give the same again and again. */
const stepsPerMm = 1000;

const distancesOf = (edges: Float64Array): Distances => {
  const known = new Map<number, number>();
  const mm: number[] = [];
  const of = new Int32Array(edges.length * edges.length);
  for (let i = 0; i < edges.length; i += 1)
    for (let j = 0; j < edges.length; j += 1) {
      const apart = Math.abs(edges[i]! - edges[j]!);
      const key = Math.round(apart * stepsPerMm);
      const at = known.get(key) ?? mm.push(apart) - 1;
      known.set(key, at);
      of[i * edges.length + j] = at;
    }
  return { mm, of, edges: edges.length };
};

/**
 * Exchange areas (area × form factor, mm²) of cells of two panels cut at the same edges along one axis that both span: by
 * the places of both along it, a block of their places along their other axes, `[other × oneCells + one]`.
 */
export interface CellExchange {
  readonly oneCells: number;
  readonly otherCells: number;
  readonly block: (one: number, other: number) => Float64Array;
}

/** Blocks as second differences of what belongs to each distance: of like ends of two cells once more, of unlike once less. */
const blocksOf = (
  { mm, of, edges }: Distances,
  summed: readonly Float64Array[],
  oneCells: number,
  otherCells: number,
): CellExchange => {
  const known = new Map<number, Float64Array>();
  const many = mm.length;
  return {
    oneCells,
    otherCells,
    block: (one, other) => {
      const here = of[one * edges + other]!;
      const beyond = of[(one + 1) * edges + other + 1]!;
      const [left, right] = [of[one * edges + other + 1]!, of[(one + 1) * edges + other]!];
      // Two cells see each other as their mirror images do.
      const [near, far] = left < right ? [left, right] : [right, left];
      const key = ((here * many + beyond) * many + near) * many + far;
      let block = known.get(key);
      if (block === undefined) {
        const [p, q, r, s] = [summed[here]!, summed[beyond]!, summed[near]!, summed[far]!];
        block = new Float64Array(p.length);
        for (let cell = 0; cell < block.length; cell += 1) block[cell] = p[cell]! + q[cell]! - r[cell]! - s[cell]!;
        known.set(key, block);
      }
      return block;
    },
  };
};

/** Between cells of two parallel planes `distance` apart: blocks along b, of cells along a. Analytic; Howell C-13. */
export const parallelExchange = (aEdges: Float64Array, bEdges: Float64Array, distance: number): CellExchange => {
  const [alongA, alongB] = [distancesOf(aEdges), distancesOf(bEdges)];
  const cells = aEdges.length - 1;
  const { of, edges } = alongA;
  const summed = alongB.mm.map((v) => {
    const corner = alongA.mm.map((u) => parallelCorner(u, v, distance));
    const sums = new Float64Array(cells * cells);
    for (let other = 0; other < cells; other += 1)
      for (let one = 0; one < cells; one += 1) {
        const [here, next] = [one * edges + other, (one + 1) * edges + other];
        sums[other * cells + one] =
          corner[of[here]!]! + corner[of[next + 1]!]! - corner[of[here + 1]!]! - corner[of[next]!]!;
      }
    return sums;
  });
  return blocksOf(alongB, summed, cells, cells);
};

/**
 * Between cells of two planes that meet at a right angle: `u` and `v` of each from the common edge outward (mm, from 0 on),
 * `w` along it: blocks along w, of cells along u and v. Analytic; Howell C-15.
 */
export const perpendicularExchange = (
  uEdges: Float64Array,
  vEdges: Float64Array,
  wEdges: Float64Array,
): CellExchange => {
  const along = distancesOf(wEdges);
  const [uCells, vCells] = [uEdges.length - 1, vEdges.length - 1];
  const summed = along.mm.map((w) => {
    const wide = uEdges.length;
    const corner = new Float64Array(wide * vEdges.length);
    for (let v = 0; v < vEdges.length; v += 1)
      for (let u = 0; u < wide; u += 1) corner[v * wide + u] = perpendicularCorner(uEdges[u]!, vEdges[v]!, w);
    const sums = new Float64Array(uCells * vCells);
    for (let v = 0; v < vCells; v += 1)
      for (let u = 0; u < uCells; u += 1) {
        const at = v * wide + u;
        sums[v * uCells + u] = corner[at]! - corner[at + 1]! - corner[at + wide]! + corner[at + wide + 1]!;
      }
    return sums;
  });
  return blocksOf(along, summed, uCells, vCells);
};
