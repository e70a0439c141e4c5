import { distinctItems, type Catalogue, type Strip } from '../../document/catalogue/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import type { Brief } from '../../document/design/index.js';
import { sum } from '../../base/maths/index.js';
import type { LightRuns } from '../../light/runs/index.js';
import type { BoughtPart } from './types.js';

/** Strip that an assembly uses. */
export interface StripUse {
  readonly strip: Strip;
  readonly runs: Pick<LightRuns, 'stripMm'>;
}

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

/** Pairs that so many conductors take. */
const pairsFor = (cores: number): number => Math.ceil(cores / 2);

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

/** All strip of a sign, each kind once. */
const strips = (assemblies: readonly StripUse[]): readonly BoughtPart[] =>
  distinctItems(assemblies.map(({ strip }) => strip)).map((strip): BoughtPart => {
    const stripM = sum(assemblies.filter((each) => each.strip.id === strip.id).map(({ runs }) => runs.stripMm / 1000));
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

/** Strip, supply, controller, wires, joints and fuses of a sign. */
export const electrical = (
  catalogue: Catalogue,
  brief: Brief,
  assemblies: readonly StripUse[],
  circuit: Circuit,
): readonly BoughtPart[] => {
  // More conductors than two are made up of pairs laid side by side.
  const leadM = (brief.leadLengthMm / 1000) * circuit.supplyCount * pairsFor(circuit.leadCores.length);
  const innerByWire = new Map<string, number>();
  for (const { wire, lengthMm, cores } of circuit.wires)
    innerByWire.set(wire.id, (innerByWire.get(wire.id) ?? 0) + (pairsFor(cores.length) * lengthMm) / 1000);
  const wires = catalogue.wires.flatMap((wire): readonly BoughtPart[] => {
    const metres = innerByWire.get(wire.id) ?? 0;
    const kgPerM = wire.areaMm2 * wireKgPerMmm2;
    const inner = {
      id: `${wire.id}-inside`,
      name: `${wire.name}, inside`,
      quantity: metres,
      unit: 'm',
      unitPrice: wire.price,
      kg: metres * kgPerM,
      hangs: true,
    } as const;
    const lead = {
      id: `${wire.id}-lead`,
      name: `${wire.name}, lead`,
      quantity: leadM,
      unit: 'm',
      unitPrice: wire.price,
      kg: leadM * kgPerM,
      hangs: false,
    } as const;
    return [...(metres > 0 ? [inner] : []), ...(circuit.lead.id === wire.id && leadM > 0 ? [lead] : [])];
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
            hangs: false,
          } as const,
        ]),
    ...drives(circuit),
    ...wires,
    ...sundry(
      catalogue,
      'jumper-joint',
      circuit.wires.reduce((sum, { cores }) => sum + cores.length, 0),
    ),
    ...sundry(
      catalogue,
      'fuse',
      circuit.supplyCount + circuit.chains.filter(({ fuseA }) => fuseA !== null).length,
      false,
    ),
    ...sundry(catalogue, 'grommet', assemblies.length),
  ];
};
