import type { Strip } from '../../document/catalogue/index.js';
import { sum } from '../../base/maths/index.js';
import type { PowerDesign, SegmentRef } from '../../document/design/index.js';
import { stripsOf, wattsOfRuns, type Point3, type Segment } from '../../light/runs/index.js';
import { groupChains, joinChains } from './chains.js';
import type { Carries } from './cores.js';
import { drivingStrip } from './driving-strip.js';
import { routeLengthMm, type Route } from './route.js';
import { pairsOfGroups, type SeriesGroups } from './series-groups.js';
import { pairUp, type Contradiction } from './series-pairs.js';
import { sameSegment, segmentIndexOf, signRoute, type SignRuns, type WiredSegment } from './sign-runs.js';
import { zonesOf, type Zones } from './zones.js';

/** Extra wire at each joint, to tin and bend (mm). */
const jointSlackMm = 40;

/** One end of a segment of strip. */
export type SegmentEnd = 'start' | 'end';

/** An end of a wire: where the lead comes in, or an end of a segment (by its index among those of the sign). */
export type WireEnd = 'lead' | { readonly segment: number; readonly end: SegmentEnd };

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

/** Which segments hang on each other, and the wires between them. */
export interface WiringPlan {
  /** Indices into the segments, from where the chain is fed. */
  readonly chains: readonly (readonly number[])[];
  /** Of each chain: fed at its far end. */
  readonly backward: readonly boolean[];
  readonly wires: readonly PlannedWire[];
  readonly zones: Zones;
  /** What is in series with what, when wired so; segments without a mate; pairs that cannot be. */
  readonly pairs: readonly SeriesGroups[];
  readonly alone: readonly number[];
  readonly contradictions: readonly Contradiction[];
}

/** Whether strip is in series on double voltage, in pairs or in groups. */
export const isInSeries = ({ arrangement }: Pick<PowerDesign, 'arrangement'>): boolean =>
  arrangement === 'series-pairs' || arrangement === 'series-groups';

/** What a plan goes by besides the maker’s wishes. */
export interface PlanFacts {
  readonly sign: SignRuns;
  readonly power: PowerDesign;
  /** The longest chain that a strip takes, as the maker feeds it (mm). */
  readonly longestMm: (strip: Strip) => number;
}

const placeOf = (segment: WiredSegment, end: SegmentEnd): Point3 => (end === 'start' ? segment.from : segment.to);

type Wirer = (from: WireEnd, to: WireEnd, chain: number, carries: Carries, injected?: boolean) => PlannedWire;

const routeBetween = ({ sign }: PlanFacts, from: WireEnd, to: WireEnd): Route => {
  const at = (end: WireEnd): Point3 => (end === 'lead' ? sign.entry : placeOf(sign.segments[end.segment]!, end.end));
  const assemblyOf = (end: WireEnd): number => (end === 'lead' ? 0 : sign.segments[end.segment]!.assembly);
  return signRoute(sign, at(from), assemblyOf(from), at(to), assemblyOf(to));
};

const wirer =
  (facts: PlanFacts): Wirer =>
  (from, to, chain, carries, injected = false) => {
    const route = routeBetween(facts, from, to);
    return { from, to, carries, lengthMm: routeLengthMm(route) + jointSlackMm, route, chain, injected };
  };

const isData = ({ strip }: WiredSegment): boolean => strip.addressable === true;

/** A chain as it is fed: its segments from there on, and whether that is its far end. */
interface Fed {
  readonly segments: readonly number[];
  readonly backward: boolean;
}

/** Wire that is saved before a chain is fed at its far end unasked (mm). */
const savedMm = 250;

/**
 * A chain is fed at its first segment, at its far end where that is asked for, and there too where it lies much nearer to the
 * lead and nothing else was asked. Pixels are always fed where their data comes in, unless asked otherwise.
 */
const fedFrom = (chain: readonly number[], facts: PlanFacts): Fed => {
  const { sign, power } = facts;
  const [first, last] = [chain[0]!, chain[chain.length - 1]!];
  const name = sign.segments[Math.min(...chain)]!.ref;
  const names = (list: readonly SegmentRef[] | undefined): boolean =>
    list?.some((each) => sameSegment(each, name)) === true;
  const wayTo = (end: WireEnd): number => routeLengthMm(routeBetween(facts, 'lead', end));
  const saves = (): number => wayTo({ segment: first, end: 'start' }) - wayTo({ segment: last, end: 'end' });
  const free = !names(power.fedForward) && power.feed === 'one-end' && !isData(sign.segments[first]!);
  const backward = names(power.fedBackward) || (free && saves() > savedMm);
  return { segments: backward ? [...chain].reverse() : chain, backward };
};

/** Wires of one chain: from the lead from segment to segment, back to the lead when both ends are fed, and what is injected. */
const wiresOf = (
  { segments: chain, backward }: Fed,
  index: number,
  { sign, power }: PlanFacts,
  wire: Wirer,
): readonly PlannedWire[] => {
  const [first, last]: readonly [SegmentEnd, SegmentEnd] = backward ? ['end', 'start'] : ['start', 'end'];
  const hops = chain.map((segment, place) =>
    wire(place === 0 ? 'lead' : { segment: chain[place - 1]!, end: last }, { segment, end: first }, index, 'power'),
  );
  const fed = new Set([`${chain[0]} ${first}`]);
  const extra: { segment: number; end: SegmentEnd }[] = [];
  const inject = (segment: number, end: SegmentEnd): void => {
    if (fed.has(`${segment} ${end}`)) return;
    fed.add(`${segment} ${end}`);
    extra.push({ segment, end });
  };
  if (power.feed === 'both-ends') inject(chain[chain.length - 1]!, last);
  for (const { end, ...ref } of power.injections ?? []) {
    const segment = segmentIndexOf(sign.segments, ref);
    if (chain.includes(segment)) inject(segment, end);
  }
  return [...hops, ...extra.map((to) => wire('lead', to, index, 'power', true))];
};

/**
 * The wires of two groups in series: plus to the first of one, from there from segment to segment, its minus on to the plus of the first of
 * the other, and that one’s minus back.
 */
const seriesWires = ([one, other]: SeriesGroups, index: number, wire: Wirer): readonly PlannedWire[] => {
  const start = (segment: number): WireEnd => ({ segment, end: 'start' });
  const hops = (group: readonly number[]): readonly PlannedWire[] =>
    group
      .slice(1)
      .map((segment, place) => wire({ segment: group[place]!, end: 'end' }, start(segment), index, 'power'));
  return [
    wire('lead', start(one[0]!), index, 'plus'),
    ...hops(one),
    wire(start(one[0]!), start(other[0]!), index, 'link'),
    ...hops(other),
    wire('lead', start(other[0]!), index, 'minus'),
  ];
};

const sameEnd = (one: WireEnd, other: WireEnd): boolean =>
  one === 'lead' || other === 'lead' ? one === other : one.segment === other.segment && one.end === other.end;

/**
 * Data goes from the end of each segment of pixels to the start of the next, from one assembly to the next as well, in a core
 * of the wire that is there or a wire of its own.
 */
const withData = (
  wires: readonly PlannedWire[],
  { sign }: PlanFacts,
  chainOf: (segment: number) => number,
  wire: Wirer,
): readonly PlannedWire[] => {
  const found = [...wires];
  let from: WireEnd = 'lead';
  sign.segments.forEach((each, segment) => {
    if (!isData(each)) return;
    const to: WireEnd = { segment, end: 'start' };
    const there = found.findIndex((known) => sameEnd(known.from, from) && sameEnd(known.to, to));
    if (there >= 0) found[there] = { ...found[there]!, carries: 'power-and-data' };
    else found.push(wire(from, to, chainOf(segment), 'data'));
    from = { segment, end: 'end' };
  });
  return found;
};

/** Segments two and two in series. */
const pairsOfTwo = (segments: readonly WiredSegment[], wished: NonNullable<PowerDesign['seriesPairs']>) => {
  const found = pairUp(segments, wished);
  return { ...found, pairs: found.pairs.map(([first, second]): SeriesGroups => [[first], [second]]) };
};

/** Segments two and two in series, or in groups; each pair a chain of its own; one without a mate stands alone. */
const seriesPlan = (facts: PlanFacts, zones: Zones): WiringPlan => {
  const { segments } = facts.sign;
  const { pairs, alone, contradictions } =
    facts.power.arrangement === 'series-groups'
      ? { ...pairsOfGroups(segments, facts.power.groupPairs ?? 1), contradictions: [] }
      : pairsOfTwo(segments, facts.power.seriesPairs ?? []);
  const wire = wirer(facts);
  const wires = [
    ...pairs.flatMap((pair, index) => seriesWires(pair, index, wire)),
    ...alone.map((segment, index) => wire('lead', { segment, end: 'start' }, pairs.length + index, 'power')),
  ];
  const chains = [...pairs.map((pair) => pair.flat()), ...alone.map((segment) => [segment])];
  return { chains, backward: chains.map(() => false), wires, zones, pairs, alone, contradictions };
};

/** Segments of one strip after the other, as far as they follow each other. */
const stretchesOfOne = (strip: Strip, segments: readonly Segment[]) => {
  const found: { readonly strip: Strip; readonly segments: Segment[]; whole: boolean }[] = [];
  for (const segment of segments) {
    const own = segment.own?.strip ?? strip;
    const last = found.at(-1);
    if (last?.strip.id === own.id) last.segments.push(segment);
    else found.push({ strip: own, segments: [segment], whole: false });
  }
  if (found.length === 1) found[0]!.whole = true;
  return found;
};

/** Chains of all assemblies: of each by itself, as many as its share of the supplies asks for; joined where told. */
const chainsOfSign = ({ sign, power, longestMm }: PlanFacts, zones: Zones): readonly (readonly number[])[] => {
  const { segments, assemblies, firstSegment } = sign;
  const indices = (list: readonly SegmentRef[] | undefined): readonly number[] =>
    (list ?? []).map((ref) => segmentIndexOf(segments, ref));
  const isBorder = (index: number): boolean =>
    index > 0 &&
    (zones.ofSegment[index] !== zones.ofSegment[index - 1] ||
      segments[index]!.strip.id !== segments[index - 1]!.strip.id);
  const borders = segments.flatMap((_, index) => (isBorder(index) ? [index] : []));
  const begin = new Set([...indices(power.chainsBegin), ...borders]);
  // From one strip to another no chain carries on.
  const carryOn = new Set(
    indices(power.chainsCarryOn).filter(
      (index) => !isBorder(index) && segments[index]?.strip.id === segments[index - 1]?.strip.id,
    ),
  );
  const wattsOf = (at: number): number => 1000 * wattsOfRuns(assemblies[at]!.strip, assemblies[at]!.runs);
  const watts = assemblies.reduce((sum, _, at) => sum + wattsOf(at), 0);
  const chains = assemblies.flatMap(({ strip, runs }, at) => {
    const share = watts > 0 ? wattsOf(at) / watts : 1;
    let first = firstSegment[at]!;
    return stretchesOfOne(strip, runs.segments).flatMap((stretch) => {
      const lengths = stretch.segments.map(({ lengthMm }) => lengthMm);
      const own = share * (sum(lengths) / Math.max(1e-9, runs.stripMm));
      const found = groupChains(
        lengths,
        longestMm(stretch.strip),
        { begin },
        Math.max(1, Math.round((stretch.whole ? share : own) * power.supplyCount)),
        first,
      );
      first += lengths.length;
      return found;
    });
  });
  return joinChains(chains, carryOn);
};

/**
 * Chains within the strip’s longest run, and the wires that feed them from the entry; what the maker joined, split, turned
 * round, fed besides, zoned or put in series is done as told. A chain never leaves its zone.
 */
export const planWiring = (facts: PlanFacts): WiringPlan => {
  const { sign, power } = facts;
  const zones = zonesOf(
    sign.segments,
    power,
    drivingStrip(sign.assemblies.flatMap(({ strip, runs }) => stripsOf(strip, runs).map((each) => each.strip))),
  );
  if (isInSeries(power)) return seriesPlan(facts, zones);
  const fed = chainsOfSign(facts, zones).map((chain) => fedFrom(chain, facts));
  const chains = fed.map(({ segments }) => segments);
  const wire = wirer(facts);
  const wires = fed.flatMap((chain, index) => wiresOf(chain, index, facts, wire));
  const chainOf = (segment: number): number => chains.findIndex((chain) => chain.includes(segment));
  return {
    chains,
    backward: fed.map(({ backward }) => backward),
    wires: sign.segments.some(isData) ? withData(wires, facts, chainOf, wire) : wires,
    zones,
    pairs: [],
    alone: [],
    contradictions: [],
  };
};
