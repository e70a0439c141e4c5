import { channelsOf, type Strip } from '../../document/catalogue/index.js';
import type { LightRuns } from '../../light/runs/index.js';
import type { Solution } from '../network/index.js';
import { nominalAmps } from './group-loads.js';
import type { PlacedNetwork } from './network-of.js';
import type { Groups } from './types.js';

/** Sum of `weights` over the channels’ shares of their nominal light, against the sum of the weights. */
const weighed = (shares: readonly Float64Array[], weights: readonly number[], at: number): number => {
  let [light, whole] = [0, 0];
  shares.forEach((share, channel) => {
    light += weights[channel]! * share[at]!;
    whole += weights[channel]!;
  });
  return whole > 0 ? light / whole : 0;
};

/**
 * Volts, amperes and light of every group, in the order of the segments: volts of the channel that has least, light of each
 * channel against its nominal and of all by their lumens.
 */
export const groupsOf = (placed: PlacedNetwork, { volts, loadAmps }: Solution, strip: Strip): Groups => {
  const { network, firstLoad, groups, channels } = placed;
  const count = network.loads.plus.length / channels;
  const nominal = nominalAmps(strip);
  const lumens = channelsOf(strip).map(({ lumensPerM }) => lumensPerM);
  const segment = new Uint32Array(count);
  const alongMm = new Float64Array(count);
  const least = new Float64Array(count).fill(Infinity);
  const amps = new Float64Array(count);
  const shares = nominal.map(() => new Float64Array(count));
  let at = 0;
  firstLoad.forEach((first, piece) => {
    for (let group = 0; group < groups[piece]!; group += 1, at += 1) {
      segment[at] = piece;
      alongMm[at] = (group + 0.5) * strip.cutPitchMm;
      for (let channel = 0; channel < channels; channel += 1) {
        const load = first + group * channels + channel;
        const across = volts[network.loads.plus[load]!]! - volts[network.loads.minus[load]!]!;
        least[at] = Math.min(least[at]!, across);
        amps[at]! += loadAmps[load]!;
        shares[channel]![at] = loadAmps[load]! / nominal[channel]!;
      }
    }
  });
  const light = Float64Array.from(amps, (_, group) => weighed(shares, lumens, group));
  return { segment, alongMm, volts: least, amps, shares, light };
};

/** The group of each LED. */
export const groupOfLeds = ({ leds }: Pick<LightRuns, 'leds'>, placed: PlacedNetwork, strip: Strip): Uint32Array => {
  const firstGroup: number[] = [];
  let counted = 0;
  for (const groups of placed.groups) {
    firstGroup.push(counted);
    counted += groups;
  }
  return Uint32Array.from({ length: leds.count }, (_, led) => {
    const piece = leds.segment[led]!;
    const group = Math.floor(leds.along[led]! / strip.cutPitchMm);
    return firstGroup[piece]! + Math.min(placed.groups[piece]! - 1, Math.max(0, group));
  });
};

/**
 * Light of each LED as it is set, against the nominal light of that mix: by its group’s channels, its zone and the level.
 * Groups from `told` on are pixels that the controller does not know of.
 */
export const fluxShares = (
  groupOf: Uint32Array,
  groups: Groups,
  weights: readonly number[],
  levelOf: (segment: number) => number,
  told: number,
): Float64Array =>
  Float64Array.from(groupOf, (group) =>
    group < told ? levelOf(groups.segment[group]!) * weighed(groups.shares, weights, group) : 0,
  );

/** Mean power of the strip as it is set: each channel’s own for the part of the time that it is on. */
export const setWattsOf = (
  groups: Groups,
  mix: readonly number[],
  levelOf: (segment: number) => number,
  strip: Strip,
): number => {
  const channels = channelsOf(strip);
  let watts = 0;
  groups.segment.forEach((segment, group) => {
    channels.forEach(({ wattsPerM }, channel) => {
      const whole = (wattsPerM * strip.cutPitchMm) / 1000;
      watts += whole * groups.shares[channel]![group]! * mix[channel]! * levelOf(segment);
    });
  });
  return watts;
};
