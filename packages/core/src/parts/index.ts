import { rulesOf, type PartFacts } from '../builds/index.js';
import type { Catalogue, Materials } from '../catalogue/index.js';
import type { Circuit } from '../circuit/index.js';
import type { Assembly, Brief } from '../design/index.js';
import type { CaseGeometry } from '../geometry/index.js';
import type { LightRuns } from '../light-runs/index.js';
import type { BoughtPart, CutPart, Parts } from './types.js';

export type { BoughtPart, CutPart, Operation, PartLayer, Parts, PartShape } from './types.js';

/** Weight of strip with its backing (kg/m), typical. */
const stripKgPerM = 0.025;
/** Weight of copper pair for each mm² of one conductor, with its jacket (kg/m), typical. */
const wireKgPerMmm2 = 0.035;
/** Weight of one coat of paint or one layer of film (kg/m²), typical. */
const coatKgPerM2 = 0.12;
/** Length of one hanging plate's share of the weight before another is added (kg). */
const kgPerHanger = 6;

const sundry = (catalogue: Catalogue, id: string, quantity: number, hangs = true): readonly BoughtPart[] => {
  const item = catalogue.sundries.find((candidate) => candidate.id === id);
  if (item === undefined || quantity <= 0) return [];
  return [{ id, name: item.name, quantity, unit: 'piece', unitPrice: item.price, kg: item.kg * quantity, hangs }];
};

const countHoles = (cut: readonly CutPart[], id: string): number =>
  cut
    .filter((part) => part.id === id)
    .flatMap(({ layers }) => layers)
    .filter(({ operation }) => operation === 'drill')
    .reduce((sum, { shapes }) => sum + shapes.length, 0);

const electrical = (
  catalogue: Catalogue,
  brief: Brief,
  { strip }: Materials,
  runs: LightRuns,
  circuit: Circuit,
): readonly BoughtPart[] => {
  const leadM = (brief.leadLengthMm / 1000) * circuit.supplyCount;
  const innerByWire = new Map<string, number>();
  for (const { wire, lengthMm } of circuit.wires)
    innerByWire.set(wire.id, (innerByWire.get(wire.id) ?? 0) + lengthMm / 1000);
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
  const stripM = runs.stripMm / 1000;
  return [
    {
      id: strip.id,
      name: strip.name,
      quantity: stripM,
      unit: 'm',
      unitPrice: (strip.price * 1000) / strip.reelMm,
      kg: stripM * stripKgPerM,
      hangs: true,
    },
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
    ...wires,
    ...sundry(catalogue, 'jumper-joint', circuit.wires.length * 2),
    ...sundry(catalogue, 'fuse', circuit.supplyCount, false),
    ...sundry(catalogue, 'grommet', 1),
  ];
};

const lined = ({ lining }: Materials, { inside }: CaseGeometry): readonly BoughtPart[] => {
  const { widthMm: w, heightMm: h, depthMm: d } = inside;
  const m2 = (w * h + 2 * d * (w + h)) / 1e6;
  if (lining.price === 0) return [];
  return [
    {
      id: lining.id,
      name: lining.name,
      quantity: m2,
      unit: 'm²',
      unitPrice: lining.price,
      kg: m2 * lining.kgPerM2,
      hangs: true,
    },
  ];
};

/** What is done to or laid on the sheets of the face, by the square metre and coat. */
const coated = ({ faceCoats, second }: Materials, { face, inside }: CaseGeometry): readonly BoughtPart[] => {
  const front = (face.widthMm * face.heightMm) / 1e6;
  const behind = (inside.widthMm * inside.heightMm) / 1e6;
  return [
    ...faceCoats.map((each) => ({ ...each, m2: front })),
    ...(second?.coats ?? []).map((each) => ({ ...each, m2: behind })),
  ].map(({ coating, coats, m2 }, index) => ({
    id: `coat-${index + 1}-${coating.id}`,
    name: coats === 1 ? coating.name : `${coating.name}, ${coats} coats`,
    quantity: m2 * coats,
    unit: 'm²',
    unitPrice: coating.price,
    kg: coating.kind === 'sanding' ? 0 : m2 * coats * coatKgPerM2,
    hangs: true,
  }));
};

/** The parts stage: what is cut (by the rules of the build) and what is bought, for one piece. */
export const listParts = (
  build: Assembly['build'],
  catalogue: Catalogue,
  facts: PartFacts,
  circuit: Circuit,
): Parts => {
  const { brief, geometry, materials, runs, design } = facts;
  const cut = rulesOf(build).cutParts(facts);
  const cutKg = cut.reduce((sum, part) => sum + part.kg * part.count, 0);
  const corners = design.cornerJoint === 'butt' ? 8 : 0;
  const faceRoundM = (2 * (geometry.inside.widthMm + geometry.inside.heightMm)) / 1000;
  const hangers = Math.max(2, Math.ceil(cutKg / kgPerHanger));
  const bought = [
    ...electrical(catalogue, brief, materials, runs, circuit),
    ...lined(materials, geometry),
    ...coated(materials, geometry),
    ...sundry(catalogue, 'screw', countHoles(cut, 'back')),
    ...sundry(catalogue, 'corner-screw', corners),
    ...sundry(catalogue, 'face-tape', design.retention === 'groove' ? 0 : Math.ceil(faceRoundM)),
    ...sundry(catalogue, 'hanger', brief.place === 'wall' || brief.place === 'window' ? hangers : 0),
    ...sundry(catalogue, 'wall-fixing', brief.place === 'counter' ? 0 : hangers, false),
  ];
  return {
    cut,
    bought,
    kg: cutKg + bought.reduce((sum, part) => sum + (part.hangs ? part.kg : 0), 0),
  };
};
