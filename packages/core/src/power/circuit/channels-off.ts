import type { Network } from '../network/index.js';
import type { PlacedNetwork } from './network-of.js';

/** An output that is off leaks no more than through this (Ω). */
const offOhm = 1e9;

/** The same network with the outputs of some channels switched off, zone by zone; itself when none is. */
export const withOutputsOff = (
  { network, switches, outputs }: PlacedNetwork,
  isOff: (zone: number, channel: number) => boolean,
): Network => {
  const off = outputs.map(({ zone, channel }) => isOff(zone, channel));
  if (!off.includes(true)) return network;
  const ohm = Float64Array.from(network.resistors.ohm);
  for (const resistors of switches)
    resistors.forEach((resistor, output) => {
      if (off[output] === true) ohm[resistor] = offOhm;
    });
  return { ...network, resistors: { ...network.resistors, ohm } };
};

/** Pixels that are off take nothing: their laws give way to one without slope. Told by segment and channel. */
export const withPixelsOff = (
  { network, channels, firstLoad, groups }: PlacedNetwork,
  isOff: (segment: number, channel: number) => boolean,
): Network => {
  const nothing = network.laws.length;
  const law = Int32Array.from(network.loads.law);
  let any = false;
  firstLoad.forEach((first, segment) => {
    for (let channel = 0; channel < channels[segment]!; channel += 1) {
      if (!isOff(segment, channel)) continue;
      any = true;
      for (let group = 0; group < groups[segment]!; group += 1)
        law[first + group * channels[segment]! + channel] = nothing;
    }
  });
  if (!any) return network;
  return {
    ...network,
    loads: { ...network.loads, law },
    laws: [...network.laws, { kind: 'resistive', forwardV: 1e6, siemens: 0 }],
  };
};
