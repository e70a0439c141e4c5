import type { PowerDesign } from '../design/index.js';
import type { LightRuns, Point3, Segment } from '../light-runs/index.js';
import { groupChains } from './chains.js';

/** Extra wire at each joint, to tin and bend (mm). */
const jointSlackMm = 40;

/** One end of a piece of strip. */
export type PieceEnd = 'start' | 'end';

/** An end of a wire: where the lead comes in, or an end of a piece (by its index among the segments). */
export type WireEnd = 'lead' | { readonly piece: number; readonly end: PieceEnd };

/** A wire pair of the plan, before its gauge is chosen. */
export interface PlannedWire {
  readonly from: WireEnd;
  readonly to: WireEnd;
  readonly lengthMm: number;
  /** Where it begins and ends. */
  readonly at: readonly [Point3, Point3];
  /** Index of the chain it feeds. */
  readonly chain: number;
  /** Feeds a place besides where the chain begins. */
  readonly injected: boolean;
}

/** Which pieces hang on each other, and the wires between them. */
export interface WiringPlan {
  /** Indices into the segments, from where the chain is fed. */
  readonly chains: readonly (readonly number[])[];
  readonly wires: readonly PlannedWire[];
}

const distance = (a: Point3, b: Point3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

const placeOf = (segment: Segment, end: PieceEnd): Point3 => (end === 'start' ? segment.from : segment.to);

/** Wires of one chain: from the lead from piece to piece, back to the lead when both ends are fed, and what is injected. */
const wiresOf = (
  chain: readonly number[],
  index: number,
  runs: LightRuns,
  entry: Point3,
  power: PowerDesign,
): readonly PlannedWire[] => {
  const segments = chain.map((piece) => runs.segments[piece]!);
  const backward = power.fedBackward?.includes(Math.min(...segments.map(({ number }) => number))) ?? false;
  const [first, last]: readonly [PieceEnd, PieceEnd] = backward ? ['end', 'start'] : ['start', 'end'];
  const wire = (from: WireEnd, to: { piece: number; end: PieceEnd }, injected: boolean): PlannedWire => {
    const begins = from === 'lead' ? entry : placeOf(runs.segments[from.piece]!, from.end);
    const ends = placeOf(runs.segments[to.piece]!, to.end);
    return { from, to, lengthMm: distance(begins, ends) + jointSlackMm, at: [begins, ends], chain: index, injected };
  };
  const hops = chain.map((piece, place) =>
    wire(place === 0 ? 'lead' : { piece: chain[place - 1]!, end: last }, { piece, end: first }, false),
  );
  const fed = new Set([`${chain[0]} ${first}`]);
  const extra: { piece: number; end: PieceEnd }[] = [];
  const inject = (piece: number, end: PieceEnd): void => {
    if (fed.has(`${piece} ${end}`)) return;
    fed.add(`${piece} ${end}`);
    extra.push({ piece, end });
  };
  if (power.feed === 'both-ends') inject(chain[chain.length - 1]!, last);
  for (const { piece: number, end } of power.injections ?? []) {
    const place = segments.findIndex((segment) => segment.number === number);
    if (place >= 0) inject(chain[place]!, end);
  }
  return [...hops, ...extra.map((to) => wire('lead', to, true))];
};

/**
 * Chains within the strip’s longest run, and the wires that feed them from `entry`, where the lead comes in; what the maker
 * joined, split, turned round or fed besides is done as told.
 */
export const planWiring = (runs: LightRuns, power: PowerDesign, longestMm: number, entry: Point3): WiringPlan => {
  const wish = { begin: new Set(power.chainsBegin ?? []), carryOn: new Set(power.chainsCarryOn ?? []) };
  const chains = groupChains(runs.segments, longestMm, wish).map((chain) => {
    const numbers = chain.map((piece) => runs.segments[piece]!.number);
    return power.fedBackward?.includes(Math.min(...numbers)) === true ? [...chain].reverse() : chain;
  });
  return { chains, wires: chains.flatMap((chain, index) => wiresOf(chain, index, runs, entry, power)) };
};
