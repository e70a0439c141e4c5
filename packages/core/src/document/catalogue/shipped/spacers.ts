import type { Spacer } from '../types.js';

// A table of data: what sheets of a scene are held apart by.
const kinds = {
  stick: { id: 'stick', name: (mm: number) => `Pine stick 10 × 10 mm, ${mm} mm long`, widthMm: 10, kgPerMm: 5e-5 },
  dowel: { id: 'dowel', name: (mm: number) => `Dowel Ø 6 mm, ${mm} mm long`, widthMm: 6, kgPerMm: 2e-5 },
  ply: { id: 'block', name: (mm: number) => `Plywood block 10 × 10 × ${mm} mm`, widthMm: 10, kgPerMm: 6.5e-5 },
  washer: { id: 'washer', name: (mm: number) => `Nylon washer ${mm} mm, Ø 10 mm`, widthMm: 10, kgPerMm: 1e-4 },
} as const;

const spacer = (form: keyof typeof kinds, heightMm: number, price: number): Spacer => {
  const { id, name, widthMm, kgPerMm } = kinds[form];
  return {
    id: `${id}-${heightMm}`,
    name: name(heightMm),
    provenance: 'typical',
    price,
    form,
    heightMm,
    widthMm,
    kg: heightMm * kgPerMm,
  };
};

export const spacers: readonly Spacer[] = [
  spacer('stick', 20, 0.08),
  spacer('stick', 12, 0.06),
  spacer('ply', 9, 0.07),
  spacer('ply', 6, 0.06),
  spacer('ply', 4, 0.05),
  spacer('ply', 3, 0.05),
  spacer('washer', 1.5, 0.06),
  spacer('dowel', 20, 0.09),
  spacer('dowel', 12, 0.07),
  spacer('dowel', 6, 0.05),
  spacer('dowel', 4, 0.05),
  spacer('dowel', 3, 0.05),
  { ...spacer('washer', 1, 0.06), name: 'Nylon washer 1 mm, Ø 6 mm', widthMm: 6 },
];
