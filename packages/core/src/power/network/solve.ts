import { roundOff } from '../../base/maths/index.js';
import { branchEnds, reachOf, type BranchEnds, type Reach } from './graph.js';
import { loadColumns } from './laws.js';
import { factorInto, patternOf, roomFor, solveInPlace, type Pattern, type UpperTriangle } from './ldl.js';
import type { Network, Solution } from './types.js';

/** No joint is better than this (Ω): wires of no length would make sums of unlike size. */
const leastOhm = 1e-5;
/** To every node’s own conductance, for the step alone: what hangs on nothing else must not make it endless (S). */
const leakSiemens = roundOff;
/** Pixels in series, which all draw the same whatever they get, take a hundred or two. */
const mostRounds = 400;
/** Kirchhoff’s law holds to this, or to this share of what the supplies would give into a short, whichever is more (A). */
const leftoverA = roundOff;
const leftoverShare = 2e-15;
/** Good enough is polished on as long as each round leaves less than this share of what the last one left. */
const polished = 0.1;
/** A step may overshoot until its slope is this share of what it was, turned round; it is shortened so often at most. */
const overshoot = 0.5;
const mostTurns = 30;

/** Where each branch’s numbers go in the matrix; −1 for nodes that are fixed, and where there is nothing to write. */
interface Assembly {
  readonly triangle: UpperTriangle;
  readonly diagonalAt: Int32Array;
  readonly crossAt: Int32Array;
  readonly rowA: Int32Array;
  readonly rowB: Int32Array;
  /** The node of each row. */
  readonly nodeOf: Int32Array;
}

const assemblyOf = (network: Network, { a, b }: BranchEnds, { order, grounds }: Reach): Assembly => {
  const rowOf = new Int32Array(network.nodes).fill(-1);
  const fixed = new Set(grounds);
  const nodeOf = new Int32Array(order.length - fixed.size);
  let size = 0;
  for (let at = order.length - 1; at >= 0; at -= 1) {
    const node = order[at]!;
    if (fixed.has(node)) continue;
    rowOf[node] = size;
    nodeOf[size] = node;
    size += 1;
  }
  const [rowA, rowB] = [new Int32Array(a.length), new Int32Array(a.length)];
  const starts = new Int32Array(size + 1);
  for (let row = 0; row < size; row += 1) starts[row + 1] = 1;
  for (let branch = 0; branch < a.length; branch += 1) {
    const [one, other] = [rowOf[a[branch]!]!, rowOf[b[branch]!]!];
    rowA[branch] = one;
    rowB[branch] = other;
    if (one >= 0 && other >= 0 && one !== other) starts[Math.max(one, other) + 1]! += 1;
  }
  for (let row = 0; row < size; row += 1) starts[row + 1]! += starts[row]!;
  const rows = new Int32Array(starts[size]!);
  const diagonalAt = starts.slice(0, size);
  const filled = diagonalAt.map((place) => place + 1);
  for (let row = 0; row < size; row += 1) rows[diagonalAt[row]!] = row;
  const crossAt = new Int32Array(a.length).fill(-1);
  for (let branch = 0; branch < a.length; branch += 1) {
    const [one, other] = [rowA[branch]!, rowB[branch]!];
    if (one < 0 || other < 0 || one === other) continue;
    const column = Math.max(one, other);
    crossAt[branch] = filled[column]!;
    rows[filled[column]!] = Math.min(one, other);
    filled[column]! += 1;
  }
  return { triangle: { size, starts, rows }, diagonalAt, crossAt, rowA, rowB, nodeOf };
};

/** Adds conductances of branches `first` up to `last` to the matrix. Mutates `values`. */
const addSiemens = (
  values: Float64Array,
  siemens: Float64Array,
  { diagonalAt, crossAt, rowA, rowB }: Assembly,
  first: number,
  last: number,
): void => {
  for (let branch = first; branch < last; branch += 1) {
    const own = siemens[branch]!;
    const [a, b] = [rowA[branch]!, rowB[branch]!];
    if (own === 0 || a === b) continue;
    if (a >= 0) values[diagonalAt[a]!]! += own;
    if (b >= 0) values[diagonalAt[b]!]! += own;
    const cross = crossAt[branch]!;
    if (cross >= 0) values[cross]! -= own;
  }
};

/** What flows into each free node and does not leave it. Mutates `left`. Answers with the largest. */
const leftOver = (amps: Float64Array, { rowA, rowB }: Assembly, left: Float64Array): number => {
  left.fill(0);
  for (let branch = 0; branch < amps.length; branch += 1) {
    const [a, b] = [rowA[branch]!, rowB[branch]!];
    if (a >= 0) left[a]! -= amps[branch]!;
    if (b >= 0) left[b]! += amps[branch]!;
  }
  let most = 0;
  for (let row = 0; row < left.length; row += 1) most = Math.max(most, Math.abs(left[row]!));
  return most;
};

const dot = (one: Float64Array, other: Float64Array): number => {
  let sum = 0;
  for (let at = 0; at < one.length; at += 1) sum += one[at]! * other[at]!;
  return sum;
};

/** A first guess: what copper joins to a supply’s plus has its voltage, all else none. Mutates `volts`. */
const guess = ({ resistors, sources }: Network, volts: Float64Array): void => {
  const [from, to] = [resistors.from, resistors.to];
  for (const { plus, volts: emf } of sources) volts[plus] = emf;
  const minuses = new Set(sources.map(({ minus }) => minus));
  // Copper is laid outward from the supplies, so that going over it once reaches all but rings.
  for (let branch = 0; branch < from.length; branch += 1) {
    const [a, b] = [from[branch]!, to[branch]!];
    if (volts[a] !== 0 && volts[b] === 0 && !minuses.has(b)) volts[b] = volts[a]!;
    else if (volts[b] !== 0 && volts[a] === 0 && !minuses.has(a)) volts[a] = volts[b]!;
  }
};

/** What depends on which node is joined to which alone; good for every network wired alike. */
export interface Prepared {
  readonly ends: BranchEnds;
  readonly reach: Reach;
  readonly assembly: Assembly;
  readonly pattern: Pattern;
}

/** Prepares all networks that are wired as this one, whatever their resistances, laws and volts. */
export const prepareNetwork = (network: Network): Prepared => {
  const ends = branchEnds(network);
  const reach = reachOf(network, ends);
  const assembly = assemblyOf(network, ends, reach);
  return { ends, reach, assembly, pattern: patternOf(assembly.triangle) };
};

/**
 * Solves a network of resistors, loads and supplies by Newton’s method on Kirchhoff’s current law. Laws of loads only rise,
 * so that the answer is the lowest place of a convex function, and steps shortened where they overshoot always reach it
 * (S. Boyd & L. Vandenberghe, Convex Optimization, 2004, 9.5). Always ends; `residualA` says how exact the answer is.
 * Pass what was `prepared` for a network wired alike to save a third of the time.
 */
export const solveNetwork = (network: Network, prepared = prepareNetwork(network)): Solution => {
  const { resistors, loads, sources } = network;
  const [r, l] = [resistors.from.length, loads.plus.length];
  const { ends, reach, assembly, pattern } = prepared;
  const { triangle, diagonalAt, nodeOf } = assembly;
  const factor = roomFor(pattern);
  const columns = loadColumns(network);
  const siemens = new Float64Array(ends.a.length);
  for (let branch = 0; branch < r; branch += 1) siemens[branch] = 1 / Math.max(leastOhm, resistors.ohm[branch]!);
  sources.forEach(({ ohm }, source) => (siemens[r + l + source] = 1 / Math.max(leastOhm, ohm)));
  // What copper and supplies add is the same each round.
  const steady = new Float64Array(triangle.rows.length);
  for (let row = 0; row < triangle.size; row += 1) steady[diagonalAt[row]!] = leakSiemens;
  addSiemens(steady, siemens, assembly, 0, r);
  addSiemens(steady, siemens, assembly, r + l, siemens.length);
  const values = new Float64Array(steady.length);
  const amps = new Float64Array(ends.a.length);
  const [left, leftThen] = [new Float64Array(triangle.size), new Float64Array(triangle.size)];
  const step = new Float64Array(triangle.size);
  const [volts, tried] = [new Float64Array(network.nodes), new Float64Array(network.nodes)];

  const residual = (at: Float64Array, into: Float64Array): number => {
    for (let branch = 0; branch < r; branch += 1)
      amps[branch] = (at[ends.a[branch]!]! - at[ends.b[branch]!]!) * siemens[branch]!;
    columns.amps(at, amps, r);
    sources.forEach(({ plus, minus, volts: emf }, source) => {
      amps[r + l + source] = (at[plus]! - at[minus]! - emf) * siemens[r + l + source]!;
    });
    return leftOver(amps, assembly, into);
  };
  // While no load crosses a knee the matrix stays as it is, and so do its factors: the step then only takes out rounding.
  let rounds = 0;
  const factored = new Float64Array(l).fill(-1);
  const findStep = (): boolean => {
    columns.slopes(volts, siemens, r);
    const slopes = siemens.subarray(r, r + l);
    if (rounds === 0 || slopes.some((slope, load) => slope !== factored[load])) {
      factored.set(slopes);
      values.set(steady);
      addSiemens(values, siemens, assembly, r, r + l);
      if (!factorInto(factor, triangle, values, pattern)) return false;
    }
    step.set(left);
    solveInPlace(step, factor, pattern);
    return true;
  };
  const goBy = (share: number): number => {
    tried.set(volts);
    for (let row = 0; row < step.length; row += 1) tried[nodeOf[row]!]! += share * step[row]!;
    return residual(tried, leftThen);
  };

  const shortA = sources.reduce((sum, { volts: emf, ohm }) => sum + Math.abs(emf) / Math.max(leastOhm, ohm), 0);
  const enough = Math.max(leftoverA, leftoverShare * shortA);
  guess(network, volts);
  let most = residual(volts, left);
  let before = Infinity;
  while (rounds < mostRounds && most > 0 && (most > enough || most < polished * before) && findStep()) {
    rounds += 1;
    before = most;
    const slope = dot(left, step);
    let share = 1;
    most = goBy(share);
    for (let turn = 0; turn < mostTurns; turn += 1) {
      const then = dot(leftThen, step);
      if (then >= -overshoot * slope) break;
      share *= Math.min(0.9, Math.max(0.05, slope / (slope - then)));
      most = goBy(share);
    }
    volts.set(tried);
    left.set(leftThen);
  }
  residual(volts, left);
  return {
    volts,
    resistorAmps: amps.slice(0, r),
    loadAmps: amps.slice(r, r + l),
    sourceAmps: amps.slice(r + l).map((amp) => -amp),
    residualA: most,
    rounds,
    settled: most <= enough,
    unfed: reach.unfed,
  };
};
