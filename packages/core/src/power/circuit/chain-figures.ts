import type { Strip } from '../../document/catalogue/index.js';
import { lightOfMix, uvOf } from '../../light/colour/index.js';
import { trackRatedA } from './carriers.js';
import type { WiredSegment } from './sign-runs.js';
import type { WiringPlan } from './wiring-plan.js';
import type { Chain, Groups, WireRun } from './types.js';

/** The most that the copper of a chain’s segments carries at any end of them. */
const trackAmps = (chain: number, wires: readonly WireRun[]): number =>
  wires.reduce((most, run) => (run.chain === chain ? Math.max(most, run.amps) : most), 0);

/** How far a mix of channels with these shares of their light is from the mix itself, in u′v′. */
export const colourShiftOf = (strip: Strip, levels: readonly number[], shares: readonly number[]): number => {
  const [u, v] = uvOf(lightOfMix(strip, levels));
  const [shiftedU, shiftedV] = uvOf(
    lightOfMix(
      strip,
      levels.map((level, channel) => level * shares[channel]!),
    ),
  );
  return Math.hypot(shiftedU - u, shiftedV - v);
};

/** Light, volts and colour of the groups of some segments at their extremes. */
const extremesOf = (
  segments: readonly number[],
  groups: Groups,
  setGroups: Groups,
  strip: Strip,
  levels: readonly number[],
) => {
  const wanted = new Set(segments);
  let [least, most, volts, dimmest, shift] = [Infinity, 0, Infinity, 0, 0];
  for (let group = 0; group < groups.segment.length; group += 1) {
    if (!wanted.has(groups.segment[group]!)) continue;
    if (groups.light[group]! < least) [least, dimmest] = [groups.light[group]!, group];
    most = Math.max(most, groups.light[group]!);
    volts = Math.min(volts, groups.volts[group]!);
  }
  if (levels.length > 1 && Number.isFinite(least))
    shift = colourShiftOf(
      strip,
      levels,
      levels.map((_, channel) => setGroups.shares[channel]![dimmest]!),
    );
  return { least, most, volts, dimmest, shift };
};

/** What is common to all chains. */
export interface ChainFacts {
  readonly plan: WiringPlan;
  readonly segments: readonly WiredSegment[];
  readonly wires: readonly WireRun[];
  readonly groups: Groups;
  readonly setGroups: Groups;
  /** How far each channel of a segment is turned up for its light. */
  readonly levelsOf: (segment: WiredSegment) => readonly number[];
  /** By chain. */
  readonly supplyOf: readonly number[];
  readonly fuseOf: (chain: number) => number | null;
}

/** What each chain draws, loses and gives, and what its own copper carries. */
export const chainsOf = (facts: ChainFacts): readonly Chain[] => {
  const { plan, wires, groups, setGroups, levelsOf, supplyOf, fuseOf } = facts;
  return plan.chains.map((segments, index): Chain => {
    const first = facts.segments[segments[0]!]!;
    const { strip } = first;
    const { least, most, volts, dimmest, shift } = extremesOf(segments, groups, setGroups, strip, levelsOf(first));
    const feeds = wires.filter(
      ({ chain, from, carries }) => chain === index + 1 && from === 'lead' && carries !== 'data' && carries !== 'minus',
    );
    const stripMm = segments.reduce((sum, segment) => sum + facts.segments[segment]!.lengthMm, 0);
    const amps = feeds.reduce((sum, feed) => sum + feed.amps, 0);
    const trackA = trackAmps(index + 1, wires);
    return {
      number: index + 1,
      supply: supplyOf[index]!,
      zone: (plan.zones.ofSegment[segments[0]!] ?? 0) + 1,
      segments,
      backward: plan.backward[index]!,
      stripMm,
      amps,
      trackA,
      fedMm: amps > 0 ? (stripMm * trackA) / amps : stripMm,
      trackRatedA: trackRatedA(strip),
      dropV: strip.voltageV - volts,
      dimmestShare: least,
      brightestShare: most,
      dimmestGroup: dimmest,
      injections: feeds.length - 1,
      colourShift: shift,
      fuseA: fuseOf(index),
    };
  });
};
