import type { FaultReply } from '@vitrum/core';
import type { Held } from './bench-drawing';

type Opened = Extract<FaultReply, { kind: 'opened' }>;
type Probes = Opened['probes'];
type Probe = Probes[number]['probe'];

/** Where a probe is held. */
export const heldBy = (probe: Probe): Held => {
  if (probe.kind === 'amps') return { wire: probe.wire };
  return probe.kind === 'colour' ? { segment: probe.segment } : { point: probe.point };
};

/** Where the probe at a place in the list is held. */
export const heldAt = (probes: Probes, place: number): Held => heldBy(probes[place]!.probe);

/** The places in the list of all that can be read where the meter is held. */
export const probesAt = (probes: Probes, held: Held | null): readonly number[] =>
  held === null
    ? []
    : probes.flatMap(({ probe }, place) => (JSON.stringify(heldBy(probe)) === JSON.stringify(held) ? [place] : []));

/** How the meter is held for a probe, or which colour is on, in few words. */
export const mannerWords = (probe: Probe, { drawing: { colours } }: Opened): string => {
  switch (probe.kind) {
    case 'amps':
      return 'amperes, by clamp';
    case 'colour':
      return `with only ${colours[probe.channel] ?? 'one colour'} on`;
    case 'plus':
      return 'plus there to the supply’s minus';
    case 'volts':
      return `plus to ${colours[probe.channel ?? 0] ?? 'minus'} there`;
    case 'minus':
      return `the supply’s plus to ${colours[probe.channel ?? 0] ?? 'minus'} there`;
  }
};

/** A reading with its unit, or the colour that is seen. */
export const readingText = ({ probes, drawing }: Opened, place: number, value: number): string => {
  const { kind } = probes[place]!.probe;
  if (kind === 'colour') return value < 0 ? 'dark' : (drawing.colours[value % drawing.colours.length] ?? '–');
  return `${value.toFixed(2)} ${kind === 'amps' ? 'A' : 'V'}`;
};
