import { evenPoint4 } from '../maths/index.js';
import { parallelTable, perpendicularTable } from './form-factors.js';
import { normalOf, patchHit, pointOn, type Enclosure, type Panel } from './patches.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { abs, cos, floor, PI, sin, sqrt } = Math;

/** Exchange areas A·F (mm²) between all patches, a symmetric matrix; each row sums to the area of its patch. */
export type Exchange = Float64Array;

type Pair = (i: number, j: number) => number;

const acrossOf = ({ a, b }: Panel): number => 3 - a - b;
const stepAlong = (panel: Panel, axis: number): number => (panel.a === axis ? panel.aStep : panel.bStep);
const countAlong = (panel: Panel, axis: number): number => (panel.a === axis ? panel.aCount : panel.bCount);
const indexAlong = (panel: Panel, cell: number, axis: number): number =>
  panel.a === axis ? cell % panel.aCount : floor(cell / panel.aCount);

const parallelPair = (one: Panel, other: Panel): Pair => {
  const table = parallelTable(one.aStep, one.aCount, one.bStep, one.bCount, abs(one.at - other.at));
  return (i, j) => {
    const da = abs((i % one.aCount) - (j % one.aCount));
    const db = abs(floor(i / one.aCount) - floor(j / one.aCount));
    return table[db * one.aCount + da]!;
  };
};

/** The two planes meet along the axis that both span; cells count from the edge, whichever end it lies at. */
const perpendicularPair = (one: Panel, other: Panel): Pair => {
  const edge = 3 - acrossOf(one) - acrossOf(other);
  const [uAxis, vAxis] = [acrossOf(other), acrossOf(one)];
  const [uCount, vCount, wCount] = [countAlong(one, uAxis), countAlong(other, vAxis), countAlong(one, edge)];
  const table = perpendicularTable(
    stepAlong(one, uAxis),
    uCount,
    stepAlong(other, vAxis),
    vCount,
    stepAlong(one, edge),
    wCount,
  );
  // A panel that looks along + stands at the low end of its axis.
  const [uFromLow, vFromLow] = [other.looks === 1, one.looks === 1];
  return (i, j) => {
    const [u, v] = [indexAlong(one, i, uAxis), indexAlong(other, j, vAxis)];
    const w = abs(indexAlong(one, i, edge) - indexAlong(other, j, edge));
    return table[(w * vCount + (vFromLow ? v : vCount - 1 - v)) * uCount + (uFromLow ? u : uCount - 1 - u)]!;
  };
};

/** Analytic, for an empty box. */
const analytic = ({ panels, count }: Enclosure): Exchange => {
  const matrix = new Float64Array(count * count);
  panels.forEach((one, index) => {
    for (const other of panels.slice(index + 1)) {
      const pair = acrossOf(one) === acrossOf(other) ? parallelPair(one, other) : perpendicularPair(one, other);
      const [ones, others] = [one.aCount * one.bCount, other.aCount * other.bCount];
      for (let i = 0; i < ones; i += 1)
        for (let j = 0; j < others; j += 1) {
          const value = pair(i, j);
          matrix[(one.start + i) * count + other.start + j] = value;
          matrix[(other.start + j) * count + one.start + i] = value;
        }
    }
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
      if (sum > 0) scale[i] = sqrt((scale[i]! * areaMm2[i]!) / sum);
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
        const [ahead, aside] = [sqrt(1 - p), sqrt(p)];
        const [across, up] = [aside * cos(2 * PI * q), aside * sin(2 * PI * q)];
        const j = patchHit(enclosure, from, [
          normal[0] * ahead + ux * across + vx * up,
          normal[1] * ahead + uy * across + vy * up,
          normal[2] * ahead + uz * across + vz * up,
        ]);
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
