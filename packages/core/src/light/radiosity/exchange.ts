import { evenPoint4 } from '../../base/maths/index.js';
import { parallelExchange, perpendicularExchange, type CellExchange } from './form-factors.js';
import { normalOf, patchHit, pointOn, type Enclosure, type Panel } from './patches.js';

/** Exchange areas A·F (mm²) between all patches, a symmetric matrix; each row sums to the area of its patch. */
export type Exchange = Float64Array;

const acrossOf = ({ a, b }: Panel): number => 3 - a - b;
const edgesAlong = (panel: Panel, axis: number): Float64Array => (panel.a === axis ? panel.aEdges : panel.bEdges);

/** Edges counted from the end at which another panel stands that looks along + from the low end (mm from it). */
const fromEnd = (edges: Float64Array, low: boolean): Float64Array => {
  const last = edges.length - 1;
  return edges.map((_, at) => (low ? edges[at]! - edges[0]! : edges[last]! - edges[last - at]!));
};

/** The patches of a panel by their places along an axis, and along the other one, counted from either end of that. */
const rowsAlong = (panel: Panel, axis: number, fromLow: boolean): readonly Int32Array[] => {
  const { start, aCount, bCount } = panel;
  const alongA = panel.a === axis;
  const [rows, cells] = alongA ? [aCount, bCount] : [bCount, aCount];
  return Array.from({ length: rows }, (_, row) =>
    Int32Array.from({ length: cells }, (_cell, at) => {
      const cell = fromLow ? at : cells - 1 - at;
      return start + (alongA ? cell * aCount + row : row * aCount + cell);
    }),
  );
};

/** A pair of panels: their exchange, and the patches of each that its blocks are of. */
interface Pair {
  readonly exchange: CellExchange;
  readonly one: readonly Int32Array[];
  readonly other: readonly Int32Array[];
}

const parallelPair = (one: Panel, other: Panel): Pair => ({
  exchange: parallelExchange(one.aEdges, one.bEdges, Math.abs(one.at - other.at)),
  one: rowsAlong(one, one.b, true),
  other: rowsAlong(other, one.b, true),
});

/** Tables of right angles by their edges: sides that face each other have the same. */
type Known = Map<string, CellExchange>;

/** The two planes meet along the axis that both span; cells count from the edge, whichever end it lies at. */
const perpendicularPair = (one: Panel, other: Panel, known: Known): Pair => {
  const edge = 3 - acrossOf(one) - acrossOf(other);
  // A panel that looks along + stands at the low end of its axis.
  const [uLow, vLow] = [other.looks === 1, one.looks === 1];
  const sides = [
    fromEnd(edgesAlong(one, acrossOf(other)), uLow),
    fromEnd(edgesAlong(other, acrossOf(one)), vLow),
    edgesAlong(one, edge),
  ] as const;
  const key = sides.map((edges) => edges.map((mm) => Math.round(mm * 1000)).join()).join('|');
  const exchange = known.get(key) ?? perpendicularExchange(...sides);
  known.set(key, exchange);
  return { exchange, one: rowsAlong(one, edge, uLow), other: rowsAlong(other, edge, vLow) };
};

/** Fills both halves of the matrix for one pair of panels. Mutates `matrix`. */
const fill = (matrix: Exchange, count: number, { exchange, one, other }: Pair): void => {
  const { oneCells, otherCells } = exchange;
  one.forEach((ones, i) =>
    other.forEach((others, j) => {
      const block = exchange.block(i, j);
      for (let v = 0; v < otherCells; v += 1)
        for (let u = 0; u < oneCells; u += 1) {
          const value = block[v * oneCells + u]!;
          matrix[ones[u]! * count + others[v]!] = value;
          matrix[others[v]! * count + ones[u]!] = value;
        }
    }),
  );
};

/** Analytic, for an empty box. */
const analytic = ({ panels, count }: Enclosure): Exchange => {
  const matrix = new Float64Array(count * count);
  const known: Known = new Map();
  panels.forEach((one, index) => {
    for (const other of panels.slice(index + 1))
      fill(
        matrix,
        count,
        acrossOf(one) === acrossOf(other) ? parallelPair(one, other) : perpendicularPair(one, other, known),
      );
  });
  return matrix;
};

const raysAPatch = 1500;
const balancings = 40;

/** Scales a symmetric matrix of rough exchange areas until each row sums to the area of its patch. Mutates `matrix`. */
const balance = (matrix: Exchange, { count, areaMm2 }: Enclosure): Exchange => {
  const scale = new Float64Array(count).fill(1);
  for (let turn = 0; turn < balancings; turn += 1)
    for (let i = 0; i < count; i += 1) {
      let sum = 0;
      for (let j = 0; j < count; j += 1) sum += matrix[i * count + j]! * scale[j]!;
      // The root keeps the turns from swinging past the goal.
      if (sum > 0) scale[i] = Math.sqrt((scale[i]! * areaMm2[i]!) / sum);
    }
  for (let i = 0; i < count; i += 1) for (let j = 0; j < count; j += 1) matrix[i * count + j]! *= scale[i]! * scale[j]!;
  return matrix;
};

/** With something in the way: by even rays of the cosine law from every patch, made symmetric and balanced. */
const thrown = (enclosure: Enclosure): Exchange => {
  const { panels, count, areaMm2, block } = enclosure;
  const matrix = new Float64Array(count * count);
  for (const panel of panels) {
    const normal = normalOf(panel);
    const [ux, uy, uz] = [normal[2], normal[0], normal[1]];
    const [vx, vy, vz] = [normal[1], normal[2], normal[0]];
    for (let cell = 0; cell < panel.aCount * panel.bCount; cell += 1) {
      const i = panel.start + cell;
      if (areaMm2[i] === 0) continue;
      const weight = areaMm2[i]! / raysAPatch / 2;
      for (let ray = 0; ray < raysAPatch; ray += 1) {
        const [p, q, u, v] = evenPoint4(i * raysAPatch + ray);
        const from = pointOn(panel, cell, u, v);
        if (block !== null && panel.side === 'back' && inside(block, from)) continue;
        const [ahead, aside] = [Math.sqrt(1 - p), Math.sqrt(p)];
        const [across, up] = [aside * Math.cos(2 * Math.PI * q), aside * Math.sin(2 * Math.PI * q)];
        const j = patchHit(
          enclosure,
          from[0],
          from[1],
          from[2],
          normal[0] * ahead + ux * across + vx * up,
          normal[1] * ahead + uy * across + vy * up,
          normal[2] * ahead + uz * across + vz * up,
        );
        if (j === i) continue;
        matrix[i * count + j]! += weight;
        matrix[j * count + i]! += weight;
      }
    }
  }
  return balance(matrix, enclosure);
};

const inside = (block: NonNullable<Enclosure['block']>, [x, y]: readonly [number, number, number]): boolean =>
  x > block.x0 && x < block.x1 && y > block.y0 && y < block.y1;

/** Exchange areas between all patches of a case: analytic when it is empty, by thrown rays when a block stands in it. */
export const exchangeAreas = (enclosure: Enclosure): Exchange =>
  enclosure.block === null ? analytic(enclosure) : thrown(enclosure);
