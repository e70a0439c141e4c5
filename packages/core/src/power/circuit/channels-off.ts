import type { Network } from '../network/index.js';
import type { PlacedNetwork } from './network-of.js';

/** An output that is off leaks no more than through this (Ω). */
const offOhm = 1e9;

/** The same network with the outputs of some channels switched off; itself when none is. */
export const withChannelsOff = ({ network, switches }: PlacedNetwork, off: readonly boolean[]): Network => {
  if (!off.includes(true) || off.length < 2) return network;
  const ohm = Float64Array.from(network.resistors.ohm);
  for (const outputs of switches)
    outputs.forEach((resistor, output) => {
      if (off[output % off.length] === true) ohm[resistor] = offOhm;
    });
  return { ...network, resistors: { ...network.resistors, ohm } };
};

/** Pixels that are off take nothing: their laws give way to one without slope. */
export const withPixelsOff = ({ network, channels }: PlacedNetwork, off: readonly boolean[]): Network => {
  if (!off.includes(true)) return network;
  const nothing = network.laws.length;
  const law = Int32Array.from(network.loads.law, (own, load) => (off[load % channels] === true ? nothing : own));
  return {
    ...network,
    loads: { ...network.loads, law },
    laws: [...network.laws, { kind: 'resistive', forwardV: 1e6, siemens: 0 }],
  };
};
