import type { Joint, Strip } from '../../document/catalogue/index.js';
import type { Segment } from '../../light/runs/index.js';
import { addRails, networkBuilder, type Network, type NetworkBuilder, type RailEnds } from '../network/index.js';
import { backsOf, type Carries } from './cores.js';
import { groupLoads } from './group-loads.js';
import type { WireEnd } from './wiring-plan.js';

/** Nodes of the conductors at one place, plus first. */
export type Conductors = readonly number[];

/** A network, and where the parts of the design are in it. */
export interface PlacedNetwork {
  readonly network: Network;
  /** By segment: its first load, how many groups it has, and its first rail. */
  readonly firstLoad: Int32Array;
  readonly groups: Int32Array;
  readonly firstRail: Int32Array;
  /** By segment: loads of one group, a channel each, and rails side by side in it. */
  readonly channels: Int32Array;
  readonly rails: Int32Array;
  /** By output of a supply: which channel of its zone it switches, and the zone. */
  readonly outputs: readonly { readonly zone: number; readonly channel: number }[];
  /** By wire and by lead: the resistor of each of its conductors that carries power, joints and all. */
  readonly wireCores: readonly (readonly number[])[];
  readonly leadCores: readonly (readonly number[])[];
  /** By supply: the resistor in each return, zone by zone, that switches it. */
  readonly switches: readonly (readonly number[])[];
  /** Where a meter can be held: terminals of supplies, ends of their leads zone by zone, ends of segments. */
  readonly supplies: readonly Conductors[];
  readonly entries: readonly (readonly Conductors[])[];
  readonly starts: readonly Conductors[];
  readonly ends: readonly Conductors[];
}

/** What a network is made from besides the strip: wires with their ends and resistance, leads, supplies, a controller. */
export interface Wiring {
  readonly wires: readonly {
    readonly ends: readonly [WireEnd, WireEnd];
    readonly carries: Carries;
    readonly supply: number;
    readonly zone: number;
    /** Out and back. */
    readonly ohm: number;
  }[];
  readonly joint: Joint;
  readonly leadOhm: number;
  readonly supplyCount: number;
  readonly voltageV: number;
  /** Return conductors of the strip in each zone. */
  readonly backs: readonly number[];
  /** What switches the returns, and whether that sits before the lead or after it; null without. */
  readonly switching: { readonly onOhm: number; readonly inside: boolean } | null;
}

/** One supply with its lead and what switches its returns. */
interface Source {
  readonly terminals: Conductors;
  readonly lead: readonly number[];
  readonly switches: readonly number[];
  readonly entries: readonly Conductors[];
}

/**
 * A supply’s plus goes by the lead to the entry. Its returns are switched before the lead, which then has a conductor for
 * each, or after it, where one brings them all.
 */
const addSource = (builder: NetworkBuilder, { leadOhm, voltageV, backs, switching }: Wiring): Source => {
  const [minus, plus] = [builder.node(), builder.node()];
  builder.source(minus, plus, voltageV, 0);
  const entryPlus = builder.node();
  const lead = [builder.resistor(plus, entryPlus, leadOhm / 2)];
  const entries = backs.map((count): Conductors => [entryPlus, ...Array.from({ length: count }, () => builder.node())]);
  const outputs = entries.flatMap((conductors) => conductors.slice(1));
  const terminals = [plus, minus];
  if (switching !== null && !switching.inside) {
    const switches = outputs.map((output) => builder.resistor(minus, output, leadOhm / 2 + switching.onOhm));
    return { terminals, lead: [...lead, ...switches], switches, entries };
  }
  // One return for all: without a controller that is the whole of it.
  if (switching === null && outputs.length === 1) {
    const back = builder.resistor(minus, outputs[0]!, leadOhm / 2);
    return { terminals, lead: [...lead, back], switches: [back], entries };
  }
  const joined = builder.node();
  const back = builder.resistor(minus, joined, leadOhm / 2);
  const switches = outputs.map((output) => builder.resistor(joined, output, switching?.onOhm ?? 0));
  return { terminals, lead: [...lead, back], switches, entries };
};

/** Which conductors of both ends a wire joins, by what it carries. */
const joinsOf = (carries: Carries, conductors: number): readonly (readonly [from: number, to: number])[] => {
  switch (carries) {
    case 'power':
    case 'power-and-data':
      return Array.from({ length: conductors }, (_, conductor) => [conductor, conductor] as const);
    case 'plus':
      return [[0, 0]];
    case 'minus':
      return [[1, 1]];
    case 'link':
      return [[1, 0]];
    case 'data':
      return [];
  }
};

/** A segment of strip as the network sees it. */
export type StripSegment = Pick<Segment, 'lengthMm'> & { readonly strip: Strip };

/** The network of a wired sign: every group of LEDs on the copper of its segment, wires with their joints, leads, supplies. */
export const networkOf = (segments: readonly StripSegment[], wiring: Wiring): PlacedNetwork => {
  const builder = networkBuilder();
  const loadsOf = new Map<Strip, ReturnType<typeof groupLoads>>();
  for (const { strip } of segments) if (!loadsOf.has(strip)) loadsOf.set(strip, groupLoads(strip));
  const sources = Array.from({ length: wiring.supplyCount }, () => addSource(builder, wiring));
  const groups = segments.map(({ lengthMm, strip }) => Math.max(1, Math.round(lengthMm / strip.cutPitchMm)));
  const rails = segments.map(({ lengthMm, strip }, segment): RailEnds =>
    addRails(builder, {
      groups: groups[segment]!,
      loads: loadsOf.get(strip)!,
      backs: backsOf(strip),
      railOhm: ((strip.trackOhmPerM / 2) * lengthMm) / 1000,
    }),
  );
  const starts = rails.map(({ start }) => start);
  const ends = rails.map(({ end }) => end);
  const contactOhm = 2 * wiring.joint.ohm;
  const wireCores = wiring.wires.map(({ ends: [from, to], carries, supply, zone, ohm }) => {
    const at = (end: WireEnd): Conductors =>
      end === 'lead' ? sources[supply - 1]!.entries[zone]! : (end.end === 'start' ? starts : ends)[end.segment]!;
    return joinsOf(carries, 1 + wiring.backs[zone]!).map(([one, other]) =>
      builder.resistor(at(from)[one]!, at(to)[other]!, ohm / 2 + contactOhm),
    );
  });
  return {
    network: builder.build(),
    firstLoad: Int32Array.from(rails, ({ firstLoad }) => firstLoad),
    groups: Int32Array.from(groups),
    firstRail: Int32Array.from(rails, ({ firstRail }) => firstRail),
    channels: Int32Array.from(segments, ({ strip }) => loadsOf.get(strip)!.length),
    rails: Int32Array.from(segments, ({ strip }) => 1 + backsOf(strip)),
    outputs: wiring.backs.flatMap((count, zone) => Array.from({ length: count }, (_, channel) => ({ zone, channel }))),
    wireCores,
    leadCores: sources.map(({ lead }) => lead),
    switches: sources.map(({ switches }) => switches),
    supplies: sources.map(({ terminals }) => terminals),
    entries: sources.map(({ entries }) => entries),
    starts,
    ends,
  };
};
