import type { FaultReply, Probe } from '@vitrum/core';
import type { Held } from './bench-drawing';

/** How a meter is held to a point. */
export type Manner = Exclude<Probe['kind'], 'amps'>;

type Probes = Extract<FaultReply, { kind: 'opened' }>['probes'];

/** The place among the probes for where the meter is held, and how; −1 when it is held nowhere. */
export const probeAt = (probes: Probes, held: Held | null, manner: Manner): number =>
  held === null
    ? -1
    : probes.findIndex(({ probe }) =>
        'wire' in held
          ? probe.kind === 'amps' && probe.wire === held.wire
          : probe.kind === manner && probe.point === held.point,
      );

/** Where a probe is held. */
export const heldAt = (probes: Probes, place: number): Held => {
  const { probe } = probes[place]!;
  return probe.kind === 'amps' ? { wire: probe.wire } : { point: probe.point };
};
