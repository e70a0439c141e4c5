import { channelsOf, type Strip } from '../../document/catalogue/index.js';
import type { LedField } from '../../light/runs/index.js';
import type { Solution } from '../network/index.js';
import { nominalAmps } from './group-loads.js';
import type { PlacedNetwork } from './network-of.js';
import type { SignRuns } from './sign-runs.js';
import type { Groups } from './types.js';

/** Sum of `weights` over the channels’ shares of their nominal light, against the sum of the weights. */
const weighed = (shares: readonly Float64Array[], weights: readonly number[], at: number): number => {
  let [light, whole] = [0, 0];
  weights.forEach((weight, channel) => {
    light += weight * shares[channel]![at]!;
    whole += weight;
  });
  return whole > 0 ? light / whole : 0;
};

/** What a strip gives, channel by channel: amperes of a group at its own voltage, and lumens. */
const channelFacts = (strip: Strip) => ({
  nominal: nominalAmps(strip),
  lumens: channelsOf(strip).map(({ lumensPerM }) => lumensPerM),
});

/** The same of each strip, worked out once. */
const factsByStrip = () => {
  const known = new Map<Strip, ReturnType<typeof channelFacts>>();
  return (strip: Strip) => {
    const facts = known.get(strip) ?? channelFacts(strip);
    known.set(strip, facts);
    return facts;
  };
};

/**
 * Volts, amperes and light of every group, in the order of the segments: volts of the channel that has least, light of each
 * channel against its nominal and of all by their lumens. A channel that a strip does not have gives nothing.
 */
export const groupsOf = (
  placed: PlacedNetwork,
  { volts, loadAmps }: Solution,
  segments: readonly { readonly strip: Strip }[],
): Groups => {
  const { network, firstLoad, groups, channels } = placed;
  const count = groups.reduce((sum, own) => sum + own, 0);
  const most = channels.reduce((high, own) => Math.max(high, own), 0);
  const factsOf = factsByStrip();
  const segment = new Uint32Array(count);
  const alongMm = new Float64Array(count);
  const least = new Float64Array(count).fill(Infinity);
  const amps = new Float64Array(count);
  const light = new Float64Array(count);
  const shares = Array.from({ length: most }, () => new Float64Array(count));
  let at = 0;
  firstLoad.forEach((first, own) => {
    const { strip } = segments[own]!;
    const { nominal, lumens } = factsOf(strip);
    for (let group = 0; group < groups[own]!; group += 1, at += 1) {
      segment[at] = own;
      alongMm[at] = (group + 0.5) * strip.cutPitchMm;
      for (let channel = 0; channel < channels[own]!; channel += 1) {
        const load = first + group * channels[own]! + channel;
        const across = volts[network.loads.plus[load]!]! - volts[network.loads.minus[load]!]!;
        least[at] = Math.min(least[at]!, across);
        amps[at]! += loadAmps[load]!;
        shares[channel]![at] = loadAmps[load]! / nominal[channel]!;
      }
      light[at] = weighed(shares, lumens, at);
    }
  });
  return { segment, alongMm, volts: least, amps, shares, light };
};

/** The group of each LED of one assembly, among the groups of the sign. */
export const groupOfLeds = (
  leds: LedField,
  firstSegment: number,
  { segments }: Pick<SignRuns, 'segments'>,
  placed: PlacedNetwork,
): Uint32Array => {
  const firstGroup: number[] = [];
  let counted = 0;
  for (const groups of placed.groups) {
    firstGroup.push(counted);
    counted += groups;
  }
  return Uint32Array.from({ length: leds.count }, (_, led) => {
    const segment = firstSegment + leds.segment[led]!;
    const group = Math.floor(leds.along[led]! / segments[segment]!.strip.cutPitchMm);
    return firstGroup[segment]! + Math.min(placed.groups[segment]! - 1, Math.max(0, group));
  });
};

/**
 * Light of each LED as it is set, against the nominal light of that mix: by its group’s channels, its zone and the level.
 * Pixels that the controller does not know of (`isTold`) stay dark.
 */
export const fluxShares = (
  groupOf: Uint32Array,
  groups: Groups,
  weightsOf: (segment: number) => readonly number[],
  levelOf: (segment: number) => number,
  isTold: (group: number) => boolean,
): Float64Array =>
  Float64Array.from(groupOf, (group) =>
    isTold(group)
      ? levelOf(groups.segment[group]!) * weighed(groups.shares, weightsOf(groups.segment[group]!), group)
      : 0,
  );

/** Mean power of the strip as it is set: each channel’s own for the part of the time that it is on. */
export const setWattsOf = (
  groups: Groups,
  mixOfSegment: (segment: number) => readonly number[],
  levelOf: (segment: number) => number,
  segments: readonly { readonly strip: Strip }[],
): number => {
  let watts = 0;
  groups.segment.forEach((segment, group) => {
    const { strip } = segments[segment]!;
    const mix = mixOfSegment(segment);
    channelsOf(strip).forEach(({ wattsPerM }, channel) => {
      const whole = (wattsPerM * strip.cutPitchMm) / 1000;
      watts += whole * groups.shares[channel]![group]! * mix[channel]! * levelOf(segment);
    });
  });
  return watts;
};
