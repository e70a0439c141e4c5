import type { BoughtPart } from '../parts/index.js';
import type { Finishing } from './types.js';

/** A litre of paint that has dried weighs about so much (kg), typical; of what is bought a part goes past. */
const dryKgPerL = 0.6;

/** Paint and glue of one sign, by what is used up: the rest of a can goes back on the shelf. A lining is priced by the metre. */
export const finishBought = ({ surfaces, bonds }: Finishing): readonly BoughtPart[] => {
  const litres = new Map<string, BoughtPart>();
  for (const { layers, fixed } of surfaces)
    for (const { paint, litres: needed } of fixed === null ? layers : []) {
      const quantity = (litres.get(paint.id)?.quantity ?? 0) + needed;
      litres.set(paint.id, {
        id: paint.id,
        name: paint.name,
        quantity,
        unit: 'L',
        unitPrice: paint.price / paint.canL,
        kg: quantity * (1 - paint.wasteShare) * dryKgPerL,
        hangs: true,
      });
    }
  const tubes = new Map<string, BoughtPart>();
  for (const { glue, ml } of bonds)
    if (glue !== null) {
      const quantity = (tubes.get(glue.id)?.quantity ?? 0) + ml;
      tubes.set(glue.id, {
        id: glue.id,
        name: glue.name,
        quantity,
        unit: 'ml',
        unitPrice: glue.price / glue.ml,
        kg: quantity / 1000,
        hangs: true,
      });
    }
  return [...litres.values(), ...tubes.values()];
};
