import type { Tool } from '../types.js';

// A table of data: what works the faces of clear sheets.
const typical = { provenance: 'typical' } as const;

export const engravers: readonly Tool[] = [
  {
    ...typical,
    id: 'engrave-beam',
    name: 'Laser, engraving',
    price: 0,
    kind: 'beam',
    // It goes over the face in lines finer than any corner.
    cutMm: 0,
    leastStrokeMm: 0.3,
    cuts: [
      { stuff: 'acrylic', mostMm: 1.5 },
      { stuff: 'glass', mostMm: 0.15 },
    ],
    bedWidthMm: 900,
    bedHeightMm: 600,
    engraves: { method: 'beam', lineMm: 0.2, takes: 0.62, ownSide: 0.52, fullMm: 0.08, passMm: 0.15, minPerM2: 600 },
  },
  {
    ...typical,
    id: 'engrave-bit',
    name: 'Engraving bit 60°, 0.2 mm tip',
    price: 16,
    kind: 'bit',
    cutMm: 0,
    leastStrokeMm: 0.4,
    cuts: [{ stuff: 'acrylic', mostMm: 2 }],
    bedWidthMm: 1250,
    bedHeightMm: 1250,
    engraves: { method: 'bit', lineMm: 0.4, takes: 0.7, ownSide: 0.45, fullMm: 0.15, passMm: 0.3, minPerM2: 2400 },
  },
  {
    ...typical,
    id: 'engrave-hand',
    name: 'Hand engraver, 1 mm ball',
    price: 48,
    kind: 'bit',
    cutMm: 0.8,
    leastStrokeMm: 0.8,
    cuts: [
      { stuff: 'acrylic', mostMm: 1 },
      { stuff: 'glass', mostMm: 0.5 },
    ],
    bedWidthMm: 3000,
    bedHeightMm: 2000,
    engraves: { method: 'hand', lineMm: 0.8, takes: 0.65, ownSide: 0.5, fullMm: 0.1, passMm: 0.15, minPerM2: 9000 },
  },
  {
    ...typical,
    id: 'blast',
    name: 'Blasting through a stencil',
    price: 260,
    kind: 'knife',
    cutMm: 0,
    leastStrokeMm: 1.2,
    cuts: [
      { stuff: 'glass', mostMm: 2 },
      { stuff: 'acrylic', mostMm: 0.5 },
    ],
    bedWidthMm: 1220,
    bedHeightMm: 10_000,
    engraves: { method: 'blasted', lineMm: 1.2, takes: 0.6, ownSide: 0.5, fullMm: 0.04, passMm: 0.1, minPerM2: 120 },
  },
  {
    ...typical,
    id: 'sand-through',
    name: 'Sanding through a stencil, 240 grit',
    price: 12,
    kind: 'knife',
    cutMm: 0,
    leastStrokeMm: 1.5,
    cuts: [{ stuff: 'acrylic', mostMm: 0.2 }],
    bedWidthMm: 1220,
    bedHeightMm: 10_000,
    engraves: { method: 'sanded', lineMm: 1.5, takes: 0.35, ownSide: 0.5, fullMm: 0.01, passMm: 0.03, minPerM2: 300 },
  },
];
