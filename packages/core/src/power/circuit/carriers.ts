import type { Joint, Strip, Supply, Wire } from '../../document/catalogue/index.js';
import type { Drive } from './choose-controller.js';
import { jointWords } from './joints.js';
import type { Carrier, Chain, WireRun } from './types.js';

/** What the copper of a strip may carry: the current of its longest run fed at one end (A). */
export const trackRatedA = ({ maxRunMm, wattsPerM, voltageV }: Strip): number =>
  ((maxRunMm / 1000) * wattsPerM) / voltageV;

/** What goes through one controller or amplifier: by output, and in all (A). */
export interface Switched {
  readonly outputs: readonly number[];
  readonly total: number;
}

/** Controllers and amplifiers: the hardest used output of each, and all of its outputs together. */
const switchCarriers = ({ controller, amplifier }: Drive, switched: readonly Switched[]): readonly Carrier[] =>
  switched.flatMap(({ outputs, total }, index): readonly Carrier[] => {
    const item = index === 0 ? controller : amplifier;
    if (item === null || item.signal === 'data') return [];
    const name = index === 0 ? item.kind : `amplifier ${index}`;
    return [
      { kind: 'controller', name: `one output of the ${name}`, amps: Math.max(...outputs), ratedA: item.channelA },
      { kind: 'controller', name: `all outputs of the ${name}`, amps: total, ratedA: item.totalA },
    ].map((each): Carrier => ({ ...each, kind: 'controller', at: null }));
  });

/** Everything that carries current, with its rating: supplies, leads, controllers, wires, joints and the strip’s own copper. */
export const carriersOf = (
  chains: readonly Chain[],
  wires: readonly WireRun[],
  lead: Wire,
  joint: Joint,
  supply: Supply | null,
  supplyAmps: readonly number[],
  drive: Drive,
  switched: readonly Switched[],
): readonly Carrier[] => [
  ...supplyAmps.flatMap((amps, index): readonly Carrier[] => {
    const of = supplyAmps.length > 1 ? ` ${index + 1}` : '';
    return [
      ...(supply === null
        ? []
        : [{ kind: 'supply', name: `supply${of}`, amps, ratedA: supply.watts / supply.voltageV, at: null } as const]),
      { kind: 'lead', name: `lead${of}`, amps, ratedA: lead.ampacityA, at: null },
    ];
  }),
  ...switchCarriers(drive, switched),
  ...wires
    .filter(({ coreAmps }) => coreAmps.length > 0)
    .flatMap((run): readonly Carrier[] => [
      {
        kind: 'wire',
        name: `wire from ${run.from} to ${run.to}`,
        amps: run.amps,
        ratedA: run.wire.ampacityA,
        at: run.at[1],
      },
      {
        kind: 'joint',
        name: `${jointWords[joint.kind]} at ${run.to}`,
        amps: run.amps,
        ratedA: joint.ratedA,
        at: run.at[1],
      },
    ]),
  ...chains.map((chain): Carrier => {
    const feed = wires.find((run) => run.chain === chain.number && run.from === 'lead' && run.coreAmps.length > 0);
    return {
      kind: 'strip',
      name: `copper of the strip in chain ${chain.number}`,
      amps: chain.trackA,
      ratedA: chain.trackRatedA,
      at: feed?.at[1] ?? null,
    };
  }),
];

/** The share of its rating that a carrier is used to. */
export const ratingShare = ({ amps, ratedA }: Carrier): number => amps / ratedA;

/** The carrier that is used hardest; null without any. */
export const hardestUsed = (carriers: readonly Carrier[]): Carrier | null =>
  carriers.reduce<Carrier | null>(
    (most, each) => (most === null || ratingShare(each) > ratingShare(most) ? each : most),
    null,
  );
