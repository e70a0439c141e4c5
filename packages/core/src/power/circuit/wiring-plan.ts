import type { PowerDesign } from '../../document/design/index.js';
import type { LightRuns, Point3, Segment } from '../../light/runs/index.js';
import { groupChains } from './chains.js';
import type { Carries } from './cores.js';
import { routeLengthMm, type Route, type Router } from './route.js';
import { pairUp, type Contradiction, type SeriesPair } from './series-pairs.js';
import { zonesOf, type Zones } from './zones.js';

/** Extra wire at each joint, to tin and bend (mm). */
const jointSlackMm = 40;

/** One end of a piece of strip. */
export type SegmentEnd = 'start' | 'end';

/** An end of a wire: where the lead comes in, or an end of a piece (by its index among the segments). */
export type WireEnd = 'lead' | { readonly piece: number; readonly end: SegmentEnd };

/** A wire of the plan, before its gauge is chosen. */
export interface PlannedWire {
  readonly from: WireEnd;
  readonly to: WireEnd;
  readonly carries: Carries;
  readonly lengthMm: number;
  readonly route: Route;
  /** Index of the chain it feeds. */
  readonly chain: number;
  /** Feeds a place besides where the chain begins. */
  readonly injected: boolean;
}

/** Which pieces hang on each other, and the wires between them. */
export interface WiringPlan {
  /** Indices into the segments, from where the chain is fed. */
  readonly chains: readonly (readonly number[])[];
  /** Of each chain: fed at its far end. */
  readonly backward: readonly boolean[];
  readonly wires: readonly PlannedWire[];
  readonly zones: Zones;
  /** Two and two in series, when wired so; pieces without a mate; pairs that cannot be. */
  readonly pairs: readonly SeriesPair[];
  readonly alone: readonly number[];
  readonly contradictions: readonly Contradiction[];
}

/** What a plan goes by besides the maker’s wishes. */
export interface PlanFacts {
  readonly runs: Pick<LightRuns, 'segments'>;
  readonly power: PowerDesign;
  readonly longestMm: number;
  /** Where the lead comes in. */
  readonly entry: Point3;
  readonly router: Router;
  /** Pixels are told their colour from piece to piece. */
  readonly data: boolean;
}

const placeOf = (segment: Segment, end: SegmentEnd): Point3 => (end === 'start' ? segment.from : segment.to);

type Wirer = (from: WireEnd, to: WireEnd, chain: number, carries: Carries, injected?: boolean) => PlannedWire;

const wirer =
  ({ runs, entry, router }: PlanFacts): Wirer =>
  (from, to, chain, carries, injected = false) => {
    const at = (end: WireEnd): Point3 => (end === 'lead' ? entry : placeOf(runs.segments[end.piece]!, end.end));
    const route = router(at(from), at(to));
    return { from, to, carries, lengthMm: routeLengthMm(route) + jointSlackMm, route, chain, injected };
  };

/** A chain as it is fed: its pieces from there on, and whether that is its far end. */
interface Fed {
  readonly pieces: readonly number[];
  readonly backward: boolean;
}

/** Wire that is saved before a chain is fed at its far end unasked (mm). */
const savedMm = 250;

/**
 * A chain is fed at its first piece, at its far end where that is asked for, and there too where it lies much nearer to the
 * lead and nothing else was asked. Pixels are always fed where their data comes in, unless asked otherwise.
 */
const fedFrom = (chain: readonly number[], { runs, power, entry, router, data }: PlanFacts): Fed => {
  const segments = chain.map((piece) => runs.segments[piece]!);
  const name = Math.min(...segments.map(({ number }) => number));
  const wayTo = (place: Point3): number => routeLengthMm(router(entry, place));
  const saves = (): number => wayTo(segments[0]!.from) - wayTo(segments[segments.length - 1]!.to);
  const asked = power.fedBackward?.includes(name) === true;
  const free = power.fedForward?.includes(name) !== true && power.feed === 'one-end' && !data;
  const backward = asked || (free && saves() > savedMm);
  return { pieces: backward ? [...chain].reverse() : chain, backward };
};

/** Wires of one chain: from the lead from piece to piece, back to the lead when both ends are fed, and what is injected. */
const wiresOf = (
  { pieces: chain, backward }: Fed,
  index: number,
  { runs, power }: PlanFacts,
  wire: Wirer,
): readonly PlannedWire[] => {
  const segments = chain.map((piece) => runs.segments[piece]!);
  const [first, last]: readonly [SegmentEnd, SegmentEnd] = backward ? ['end', 'start'] : ['start', 'end'];
  const hops = chain.map((piece, place) =>
    wire(place === 0 ? 'lead' : { piece: chain[place - 1]!, end: last }, { piece, end: first }, index, 'power'),
  );
  const fed = new Set([`${chain[0]} ${first}`]);
  const extra: { piece: number; end: SegmentEnd }[] = [];
  const inject = (piece: number, end: SegmentEnd): void => {
    if (fed.has(`${piece} ${end}`)) return;
    fed.add(`${piece} ${end}`);
    extra.push({ piece, end });
  };
  if (power.feed === 'both-ends') inject(chain[chain.length - 1]!, last);
  for (const { piece: number, end } of power.injections ?? []) {
    const place = segments.findIndex((segment) => segment.number === number);
    if (place >= 0) inject(chain[place]!, end);
  }
  return [...hops, ...extra.map((to) => wire('lead', to, index, 'power', true))];
};

/** The wires of two pieces in series: plus to the first, its minus on to the plus of the second, and that one’s minus back. */
const pairWires = ([first, second]: SeriesPair, index: number, wire: Wirer): readonly PlannedWire[] => {
  const start = (piece: number): WireEnd => ({ piece, end: 'start' });
  return [
    wire('lead', start(first), index, 'plus'),
    wire(start(first), start(second), index, 'link'),
    wire('lead', start(second), index, 'minus'),
  ];
};

const sameEnd = (one: WireEnd, other: WireEnd): boolean =>
  one === 'lead' || other === 'lead' ? one === other : one.piece === other.piece && one.end === other.end;

/** Data goes from the end of each piece to the start of the next, in a core of the wire that is there or a wire of its own. */
const withData = (
  wires: readonly PlannedWire[],
  { runs }: PlanFacts,
  chainOf: (piece: number) => number,
  wire: Wirer,
): readonly PlannedWire[] => {
  const found = [...wires];
  runs.segments.forEach((_, piece) => {
    const from: WireEnd = piece === 0 ? 'lead' : { piece: piece - 1, end: 'end' };
    const to: WireEnd = { piece, end: 'start' };
    const there = found.findIndex((each) => sameEnd(each.from, from) && sameEnd(each.to, to));
    if (there >= 0) found[there] = { ...found[there]!, carries: 'power-and-data' };
    else found.push(wire(from, to, chainOf(piece), 'data'));
  });
  return found;
};

/** Pieces two and two in series, each pair a chain of its own; one without a mate stands alone. */
const seriesPlan = (facts: PlanFacts, zones: Zones): WiringPlan => {
  const { pairs, alone, contradictions } = pairUp(facts.runs.segments, facts.power.seriesPairs ?? []);
  const wire = wirer(facts);
  const wires = [
    ...pairs.flatMap((pair, index) => pairWires(pair, index, wire)),
    ...alone.map((piece, index) => wire('lead', { piece, end: 'start' }, pairs.length + index, 'power')),
  ];
  const chains = [...pairs, ...alone.map((piece) => [piece])];
  return { chains, backward: chains.map(() => false), wires, zones, pairs, alone, contradictions };
};

/**
 * Chains within the strip’s longest run, and the wires that feed them from the entry; what the maker joined, split, turned
 * round, fed besides, zoned or put in series is done as told. A chain never leaves its zone.
 */
export const planWiring = (facts: PlanFacts): WiringPlan => {
  const { runs, power, longestMm } = facts;
  const zones = zonesOf(runs.segments, power);
  if (power.arrangement === 'series-pairs') return seriesPlan(facts, zones);
  const borders = runs.segments.flatMap(({ number }, index) =>
    index > 0 && zones.ofSegment[index] !== zones.ofSegment[index - 1] ? [number] : [],
  );
  const begin = new Set([...(power.chainsBegin ?? []), ...borders]);
  const carryOn = new Set((power.chainsCarryOn ?? []).filter((number) => !borders.includes(number)));
  const fed = groupChains(runs.segments, longestMm, { begin, carryOn }, power.supplyCount).map((chain) =>
    fedFrom(chain, facts),
  );
  const chains = fed.map(({ pieces }) => pieces);
  const wire = wirer(facts);
  const wires = fed.flatMap((chain, index) => wiresOf(chain, index, facts, wire));
  const chainOf = (piece: number): number => chains.findIndex((chain) => chain.includes(piece));
  return {
    chains,
    backward: fed.map(({ backward }) => backward),
    wires: facts.data ? withData(wires, facts, chainOf, wire) : wires,
    zones,
    pairs: [],
    alone: [],
    contradictions: [],
  };
};
