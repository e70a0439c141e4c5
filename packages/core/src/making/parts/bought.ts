import { distinctItems, type Catalogue, type Strip, type Wire } from '../../document/catalogue/index.js';
import { boughtAs, jointPieces, type Circuit } from '../../power/circuit/index.js';
import type { Brief, PowerDesign } from '../../document/design/index.js';
import { sum } from '../../base/maths/index.js';
import { stripsOf, type LightRuns, type StripOf } from '../../light/runs/index.js';
import type { BoughtPart } from './types.js';

/** Strip that an assembly uses, and how it is held. */
export interface StripUse {
  readonly strip: Strip;
  readonly runs: Pick<LightRuns, 'stripMm' | 'segments'>;
  readonly hold: 'tape' | 'clips';
}

/** Clips hold strip at both ends of a segment and so often between (mm), typical. */
export const clipEveryMm = 300;

/** Clips that hold the segments of an assembly; none where tape alone does. */
export const clipsOf = ({ segments }: Pick<LightRuns, 'segments'>, hold: StripUse['hold']): number =>
  hold === 'tape' ? 0 : sum(segments.map(({ lengthMm }) => 1 + Math.max(1, Math.ceil(lengthMm / clipEveryMm))));

/** Weight of strip with its backing (kg/m), typical. */
const stripKgPerM = 0.025;
/** Weight of copper pair for each mm² of one conductor, with its jacket (kg/m), typical. */
const wireKgPerMmm2 = 0.035;
/** A small thing bought by the piece; none when there is none in the catalogue or none is wanted. */
export const sundry = (catalogue: Catalogue, id: string, quantity: number, hangs = true): readonly BoughtPart[] => {
  const item = catalogue.sundries.find((candidate) => candidate.id === id);
  if (item === undefined || quantity <= 0) return [];
  return [{ id, name: item.name, quantity, unit: 'piece', unitPrice: item.price, kg: item.kg * quantity, hangs }];
};

/** The controller and what repeats it. */
const drives = ({ drive }: Circuit): readonly BoughtPart[] =>
  [
    { item: drive.controller, quantity: 1 },
    { item: drive.amplifier, quantity: drive.amplifiers },
  ].flatMap(({ item, quantity }): readonly BoughtPart[] =>
    item === null || quantity === 0
      ? []
      : [
          {
            id: item.id,
            name: item.name,
            quantity,
            unit: 'piece',
            unitPrice: item.price,
            kg: item.kg * quantity,
            hangs: drive.inside,
          },
        ],
  );

const kindsIn = (assemblies: readonly StripUse[]): readonly StripOf[] =>
  assemblies.flatMap(({ strip, runs }) => stripsOf(strip, runs));

/** All strip of a sign, each kind once. */
const strips = (assemblies: readonly StripUse[]): readonly BoughtPart[] =>
  distinctItems(kindsIn(assemblies).map(({ strip }) => strip)).map((strip): BoughtPart => {
    const own = kindsIn(assemblies).filter((each) => each.strip.id === strip.id);
    const stripM = sum(own.map(({ runs }) => runs.stripMm / 1000));
    return {
      id: strip.id,
      name: strip.name,
      quantity: stripM,
      unit: 'm',
      unitPrice: (strip.price * 1000) / strip.reelMm,
      kg: stripM * stripKgPerM,
      hangs: true,
    };
  });

/** The joints that the ends of all wires take, of the kind that is used. */
const jointsOf = ({ joint, wires }: Circuit): readonly BoughtPart[] => {
  const quantity = 2 * sum(wires.map(({ cores }) => jointPieces(joint, cores.length)));
  return quantity === 0
    ? []
    : [
        {
          id: `joint-${joint.id}`,
          name: joint.name,
          quantity,
          unit: 'piece',
          unitPrice: joint.price,
          kg: joint.kg * quantity,
          hangs: true,
        },
      ];
};

/** Wire by the metre, each kind once. */
const wireParts = (
  laid: readonly { readonly item: Wire; readonly metres: number; readonly hangs: boolean }[],
): readonly BoughtPart[] =>
  distinctItems(laid.map(({ item }) => item)).flatMap((item): readonly BoughtPart[] => {
    const own = laid.filter((each) => each.item.id === item.id);
    const quantity = sum(own.map(({ metres }) => metres));
    const hangs = own[0]!.hangs;
    return quantity === 0
      ? []
      : [
          {
            id: `${item.id}-${hangs ? 'inside' : 'lead'}`,
            name: `${item.name}, ${hangs ? 'inside' : 'lead'}`,
            quantity,
            unit: 'm',
            unitPrice: item.price,
            kg: (quantity * (item.cores ?? 2) * item.areaMm2 * wireKgPerMmm2) / 2,
            hangs,
          },
        ];
  });

/** Strip, supply, controller, wires, joints and fuses of a sign. */
export const electrical = (
  catalogue: Catalogue,
  brief: Brief,
  power: Pick<PowerDesign, 'supplyPlace'>,
  assemblies: readonly StripUse[],
  circuit: Circuit,
): readonly BoughtPart[] => {
  const wires = [
    ...circuit.wires.map(({ wire, lengthMm, cores }) => ({
      wire,
      cores: cores.length,
      metres: lengthMm / 1000,
      hangs: true,
    })),
    {
      wire: circuit.lead,
      cores: circuit.leadCores.length,
      metres: (brief.leadLengthMm / 1000) * circuit.supplyCount,
      hangs: false,
    },
  ].map(({ wire, cores, metres, hangs }) => {
    const { wire: item, count } = boughtAs(catalogue.wires, wire, cores);
    return { item, metres: metres * count, hangs };
  });
  const { supply } = circuit;
  return [
    ...strips(assemblies),
    ...(supply === null
      ? []
      : [
          {
            id: supply.id,
            name: supply.name,
            quantity: circuit.supplyCount,
            unit: 'piece',
            unitPrice: supply.price,
            kg: supply.kg * circuit.supplyCount,
            hangs: power.supplyPlace === 'inside',
          } as const,
        ]),
    ...drives(circuit),
    ...[true, false].flatMap((hangs) => wireParts(wires.filter((wire) => wire.hangs === hangs))),
    ...jointsOf(circuit),
    ...sundry(
      catalogue,
      'fuse',
      circuit.supplyCount + circuit.chains.filter(({ fuseA }) => fuseA !== null).length,
      false,
    ),
    ...sundry(catalogue, 'grommet', assemblies.length),
    ...sundry(catalogue, 'strip-clip', sum(assemblies.map(({ runs, hold }) => clipsOf(runs, hold)))),
  ];
};
