import { eliminationOrder } from './order.js';
import { ampsAt, slopeAt } from './law.js';
import { factorInto, patternOf, roomFor, solveInPlace, type UpperTriangle } from './ldl.js';
import { partsOf } from './parts.js';
import type { Network, Solution } from './types.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { abs, max, min } = Math;

/** No joint is better than this (Ω): wires of no length would make sums of unlike size. */
const leastOhm = 1e-5;
/** To every node’s own conductance, for the step alone: what hangs on nothing else must not make it endless (S). */
const leakSiemens = 1e-9;
const mostRounds = 80;
/** Kirchhoff’s law holds to this, or to this share of all that the supplies give, whichever is more (A). */
const leftoverA = 1e-10;
const leftoverShare = 1e-11;
/** A step may overshoot until its slope is this share of what it was, turned round. */
const overshoot = 0.5;

/** Where each branch’s numbers go in the matrix. */
interface Assembly {
  readonly triangle: UpperTriangle;
  readonly diagonalAt: Int32Array;
  /** By branch: resistors, loads, sources in turn; −1 where one end is fixed. */
  readonly crossAt: Int32Array;
  /** Branch ends as rows of the matrix; −1 for fixed nodes. */
  readonly rowA: Int32Array;
  readonly rowB: Int32Array;
}

const branchEnds = ({ resistors, loads, sources }: Network): readonly [Int32Array, Int32Array] => {
  const [r, l] = [resistors.from.length, loads.plus.length];
  const [a, b] = [new Int32Array(r + l + sources.length), new Int32Array(r + l + sources.length)];
  a.set(resistors.from);
  b.set(resistors.to);
  a.set(loads.plus, r);
  b.set(loads.minus, r);
  sources.forEach(({ plus, minus }, source) => {
    a[r + l + source] = plus;
    b[r + l + source] = minus;
  });
  return [a, b];
};

const assemblyOf = (network: Network, fixed: Uint8Array): Assembly => {
  const rowOf = new Int32Array(network.nodes).fill(-1);
  let size = 0;
  for (const node of eliminationOrder(network)) {
    if (fixed[node]) continue;
    rowOf[node] = size;
    size += 1;
  }
  const [a, b] = branchEnds(network);
  const [rowA, rowB] = [a.map((node) => rowOf[node]!), b.map((node) => rowOf[node]!)];
  const counts = new Int32Array(size).fill(1);
  for (let branch = 0; branch < rowA.length; branch += 1)
    if (rowA[branch]! >= 0 && rowB[branch]! >= 0 && rowA[branch] !== rowB[branch])
      counts[max(rowA[branch]!, rowB[branch]!)]! += 1;
  const starts = new Int32Array(size + 1);
  for (let row = 0; row < size; row += 1) starts[row + 1] = starts[row]! + counts[row]!;
  const rows = new Int32Array(starts[size]!);
  const filled = Int32Array.from(starts.subarray(0, size));
  const diagonalAt = new Int32Array(size);
  for (let row = 0; row < size; row += 1) {
    diagonalAt[row] = filled[row]!;
    rows[filled[row]!] = row;
    filled[row]! += 1;
  }
  const crossAt = new Int32Array(rowA.length).fill(-1);
  for (let branch = 0; branch < rowA.length; branch += 1) {
    const [one, other] = [rowA[branch]!, rowB[branch]!];
    if (one < 0 || other < 0 || one === other) continue;
    const column = max(one, other);
    crossAt[branch] = filled[column]!;
    rows[filled[column]!] = min(one, other);
    filled[column]! += 1;
  }
  return { triangle: { size, starts, rows }, diagonalAt, crossAt, rowA, rowB };
};

/** Currents of all branches at given voltages, from their first node to their second. Mutates `amps`. */
const branchAmps = (network: Network, volts: Float64Array, amps: Float64Array): void => {
  const { resistors, loads, laws, sources } = network;
  const [r, l] = [resistors.from.length, loads.plus.length];
  for (let branch = 0; branch < r; branch += 1)
    amps[branch] =
      (volts[resistors.from[branch]!]! - volts[resistors.to[branch]!]!) / max(leastOhm, resistors.ohm[branch]!);
  for (let load = 0; load < l; load += 1)
    amps[r + load] = ampsAt(laws[loads.law[load]!]!, volts[loads.plus[load]!]! - volts[loads.minus[load]!]!);
  sources.forEach(({ plus, minus, volts: emf, ohm }, source) => {
    amps[r + l + source] = (volts[plus]! - volts[minus]! - emf) / max(leastOhm, ohm);
  });
};

/** Conductances of all branches at given voltages. Mutates `siemens`. */
const branchSiemens = (network: Network, volts: Float64Array, siemens: Float64Array): void => {
  const { resistors, loads, laws, sources } = network;
  const [r, l] = [resistors.from.length, loads.plus.length];
  for (let branch = 0; branch < r; branch += 1) siemens[branch] = 1 / max(leastOhm, resistors.ohm[branch]!);
  for (let load = 0; load < l; load += 1)
    siemens[r + load] = slopeAt(laws[loads.law[load]!]!, volts[loads.plus[load]!]! - volts[loads.minus[load]!]!);
  sources.forEach(({ ohm }, source) => {
    siemens[r + l + source] = 1 / max(leastOhm, ohm);
  });
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
  for (let row = 0; row < left.length; row += 1) most = max(most, abs(left[row]!));
  return most;
};

const dot = (one: Float64Array, other: Float64Array): number => {
  let sum = 0;
  for (let at = 0; at < one.length; at += 1) sum += one[at]! * other[at]!;
  return sum;
};

const fixedNodes = (network: Network, grounds: readonly number[], unfed: Uint8Array): Uint8Array => {
  const fixed = Uint8Array.from(unfed);
  for (const ground of grounds) fixed[ground] = 1;
  return fixed;
};

/**
 * Solves a network of resistors, loads and supplies by Newton’s method on Kirchhoff’s current law. Laws of loads only rise,
 * so that the answer is the lowest place of a convex function, and steps shortened where they overshoot always reach it
 * (S. Boyd & L. Vandenberghe, Convex Optimization, 2004, 9.5). Always ends; `residualA` says how exact the answer is.
 */
export const solveNetwork = (network: Network): Solution => {
  const { nodes, resistors, loads, sources } = network;
  const { grounds, unfed } = partsOf(network);
  const assembly = assemblyOf(network, fixedNodes(network, grounds, unfed));
  const { triangle, diagonalAt, crossAt, rowA, rowB } = assembly;
  const { size } = triangle;
  const pattern = patternOf(triangle);
  const factor = roomFor(pattern);
  const values = new Float64Array(triangle.rows.length);
  const volts = new Float64Array(nodes);
  const nodeOf = new Int32Array(size);
  const [aEnds, bEnds] = branchEnds(network);
  aEnds.forEach((node, branch) => rowA[branch]! >= 0 && (nodeOf[rowA[branch]!] = node));
  bEnds.forEach((node, branch) => rowB[branch]! >= 0 && (nodeOf[rowB[branch]!] = node));
  const [amps, siemens] = [new Float64Array(rowA.length), new Float64Array(rowA.length)];
  const [left, leftThen] = [new Float64Array(size), new Float64Array(size)];
  const step = new Float64Array(size);
  const tried = new Float64Array(nodes);

  const residual = (at: Float64Array, into: Float64Array): number => {
    branchAmps(network, at, amps);
    return leftOver(amps, assembly, into);
  };
  const findStep = (): boolean => {
    branchSiemens(network, volts, siemens);
    values.fill(0);
    for (let row = 0; row < size; row += 1) values[diagonalAt[row]!] = leakSiemens;
    for (let branch = 0; branch < siemens.length; branch += 1) {
      const [a, b] = [rowA[branch]!, rowB[branch]!];
      if (a === b) continue;
      if (a >= 0) values[diagonalAt[a]!]! += siemens[branch]!;
      if (b >= 0) values[diagonalAt[b]!]! += siemens[branch]!;
      if (crossAt[branch]! >= 0) values[crossAt[branch]!]! -= siemens[branch]!;
    }
    if (!factorInto(factor, triangle, values, pattern)) return false;
    step.set(left);
    solveInPlace(step, factor, pattern);
    return true;
  };
  const goTo = (share: number): number => {
    tried.set(volts);
    for (let row = 0; row < size; row += 1) tried[nodeOf[row]!]! += share * step[row]!;
    return residual(tried, leftThen);
  };
  const enough = (): number =>
    max(leftoverA, leftoverShare * sources.reduce((sum, { volts: emf, ohm }) => sum + emf / max(leastOhm, ohm), 0));

  let most = residual(volts, left);
  let rounds = 0;
  for (; rounds < mostRounds && most > enough(); rounds += 1) {
    if (!findStep()) break;
    const slope = dot(left, step);
    let share = 1;
    let found = goTo(share);
    for (let turn = 0; turn < 30; turn += 1) {
      const then = dot(leftThen, step);
      if (then >= -overshoot * slope) break;
      share *= min(0.9, max(0.05, slope / (slope - then)));
      found = goTo(share);
    }
    volts.set(tried);
    left.set(leftThen);
    most = found;
  }
  branchAmps(network, volts, amps);
  const [r, l] = [resistors.from.length, loads.plus.length];
  return {
    volts,
    resistorAmps: amps.slice(0, r),
    loadAmps: amps.slice(r, r + l),
    sourceAmps: amps.slice(r + l).map((amp) => -amp),
    residualA: most,
    rounds,
    settled: most <= enough(),
    unfed,
  };
};
