import { evenPoint4 } from '../../base/maths/index.js';
import { parallelTable, perpendicularTable } from './form-factors.js';
import { normalOf, patchHit, pointOn, type Enclosure, type Panel } from './patches.js';

/** Exchange areas A·F (mm²) between all patches, a symmetric matrix; each row sums to the area of its patch. */
export type Exchange = Float64Array;

/** Where the exchange of cell i of one panel with cell j of another stands in a table: three indices, each times its stride. */
interface Lookup {
  readonly table: Float64Array;
  /** Added up: `one[i] + other[j] + |oneAlong[i] − otherAlong[j]| × stride`, and for facing panels the same across. */
  readonly one: Int32Array;
  readonly other: Int32Array;
  readonly oneAlong: Int32Array;
  readonly otherAlong: Int32Array;
  readonly alongStride: number;
  readonly oneAcross: Int32Array;
  readonly otherAcross: Int32Array;
}

const acrossOf = ({ a, b }: Panel): number => 3 - a - b;
const stepAlong = (panel: Panel, axis: number): number => (panel.a === axis ? panel.aStep : panel.bStep);
const countAlong = (panel: Panel, axis: number): number => (panel.a === axis ? panel.aCount : panel.bCount);

/** Of every cell of a panel, its index along one axis. */
const indices = (panel: Panel, axis: number): Int32Array =>
  Int32Array.from({ length: panel.aCount * panel.bCount }, (_, cell) =>
    panel.a === axis ? cell % panel.aCount : Math.floor(cell / panel.aCount),
  );

const parallelLookup = (one: Panel, other: Panel): Lookup => {
  const none = new Int32Array(one.aCount * one.bCount);
  const [along, across] = [indices(one, one.b), indices(one, one.a)];
  return {
    table: parallelTable(one.aStep, one.aCount, one.bStep, one.bCount, Math.abs(one.at - other.at)),
    one: none,
    other: none,
    oneAlong: along,
    otherAlong: along,
    alongStride: one.aCount,
    oneAcross: across,
    otherAcross: across,
  };
};

/** The two planes meet along the axis that both span; cells count from the edge, whichever end it lies at. */
const perpendicularLookup = (one: Panel, other: Panel): Lookup => {
  const edge = 3 - acrossOf(one) - acrossOf(other);
  const [uAxis, vAxis] = [acrossOf(other), acrossOf(one)];
  const [uCount, vCount, wCount] = [countAlong(one, uAxis), countAlong(other, vAxis), countAlong(one, edge)];
  // A panel that looks along + stands at the low end of its axis.
  const u = indices(one, uAxis).map((index) => (other.looks === 1 ? index : uCount - 1 - index));
  const v = indices(other, vAxis).map((index) => (one.looks === 1 ? index : vCount - 1 - index) * uCount);
  return {
    table: perpendicularTable(
      stepAlong(one, uAxis),
      uCount,
      stepAlong(other, vAxis),
      vCount,
      stepAlong(one, edge),
      wCount,
    ),
    one: u,
    other: v,
    oneAlong: indices(one, edge),
    otherAlong: indices(other, edge),
    alongStride: uCount * vCount,
    oneAcross: new Int32Array(u.length),
    otherAcross: new Int32Array(v.length),
  };
};

/** Fills both halves of the matrix for one pair of panels. Mutates `matrix`. */
const fill = (matrix: Exchange, count: number, one: Panel, other: Panel, lookup: Lookup): void => {
  const { table, alongStride, oneAlong, otherAlong, oneAcross, otherAcross } = lookup;
  const others = otherAlong.length;
  for (let i = 0; i < oneAlong.length; i += 1) {
    const [base, along, across] = [lookup.one[i]!, oneAlong[i]!, oneAcross[i]!];
    const row = (one.start + i) * count + other.start;
    for (let j = 0; j < others; j += 1) {
      const value =
        table[
          base + lookup.other[j]! + Math.abs(along - otherAlong[j]!) * alongStride + Math.abs(across - otherAcross[j]!)
        ]!;
      matrix[row + j] = value;
      matrix[(other.start + j) * count + one.start + i] = value;
    }
  }
};

/** Analytic, for an empty box. */
const analytic = ({ panels, count }: Enclosure): Exchange => {
  const matrix = new Float64Array(count * count);
  panels.forEach((one, index) => {
    for (const other of panels.slice(index + 1))
      fill(
        matrix,
        count,
        one,
        other,
        acrossOf(one) === acrossOf(other) ? parallelLookup(one, other) : perpendicularLookup(one, other),
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
