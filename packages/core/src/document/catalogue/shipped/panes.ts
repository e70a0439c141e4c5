import type { Pane } from '../types.js';

// A table of data: clear sheets and mirrors for light let in at an edge.
const typical = 'typical' as const;

/** Cast acrylic loses 0.1–0.5 of a metre’s light, typical. */
const acrylic = (thicknessMm: number, price: number): Pane => ({
  id: `clear-acrylic-${thicknessMm}`,
  name: `Clear cast acrylic ${thicknessMm} mm`,
  provenance: typical,
  price,
  stuff: 'acrylic',
  thicknessMm,
  index: 1.49,
  lossPerM: 0.3,
  sheetWidthMm: 1200,
  sheetHeightMm: 600,
  densityKgM3: 1190,
  maxC: 75,
  expansionPerK: 7e-5,
});

/** The same in the largest sheets that are sold. */
const large = (thicknessMm: number, price: number): Pane => ({
  ...acrylic(thicknessMm, price),
  id: `clear-acrylic-${thicknessMm}-large`,
  name: `Clear cast acrylic ${thicknessMm} mm, large sheet`,
  sheetWidthMm: 3050,
  sheetHeightMm: 2030,
});

const glass = {
  provenance: typical,
  stuff: 'glass',
  index: 1.52,
  densityKgM3: 2500,
  maxC: 60,
  expansionPerK: 9e-6,
} as const;
const pane = { sheetWidthMm: 1600, sheetHeightMm: 1000 } as const;

export const panes: readonly Pane[] = [
  acrylic(3, 27),
  acrylic(4, 34),
  acrylic(5, 43),
  acrylic(6, 52),
  acrylic(8, 74),
  acrylic(10, 96),
  large(6, 420),
  large(8, 560),
  large(10, 710),
  { ...glass, ...pane, id: 'float-glass-4', name: 'Float glass 4 mm', price: 48, thicknessMm: 4, lossPerM: 5 },
  { ...glass, ...pane, id: 'float-glass-6', name: 'Float glass 6 mm', price: 70, thicknessMm: 6, lossPerM: 5 },
  { ...glass, ...pane, id: 'low-iron-glass-6', name: 'Low-iron glass 6 mm', price: 112, thicknessMm: 6, lossPerM: 1.2 },
  {
    ...glass,
    ...pane,
    id: 'low-iron-glass-10',
    name: 'Low-iron glass 10 mm',
    price: 188,
    thicknessMm: 10,
    lossPerM: 1.2,
  },
  {
    ...glass,
    ...pane,
    id: 'mirror-glass-4',
    name: 'Mirror glass 4 mm',
    price: 64,
    thicknessMm: 4,
    lossPerM: 5,
    silver: 0.93,
  },
  {
    ...glass,
    ...pane,
    id: 'mirror-glass-6',
    name: 'Mirror glass 6 mm',
    price: 88,
    thicknessMm: 6,
    lossPerM: 5,
    silver: 0.93,
  },
  { ...acrylic(3, 58), id: 'mirror-acrylic-3', name: 'Mirror acrylic 3 mm', silver: 0.88 },
];
