import type { CatalogueKind } from '../../document/catalogue/index.js';

/** Something that lies in the demo shop. */
export interface DemoLot {
  readonly kind: CatalogueKind;
  readonly itemId: string;
  /** Of lengths: mm on each reel; else as it is counted; what is usual where it is left out. */
  readonly amount?: number;
  readonly pieces?: number;
  readonly sheetMm?: readonly [widthMm: number, heightMm: number];
  readonly openedDaysAgo?: number;
}

/** What lies in the demo shop: reels that were begun, offcuts, tins that are open; some of what its jobs take, not all. */
export const demoStock: readonly DemoLot[] = [
  { kind: 'strips', itemId: 'white-12v-60', pieces: 2 },
  { kind: 'strips', itemId: 'white-12v-60', amount: 1450 },
  { kind: 'strips', itemId: 'fine-24v-120' },
  { kind: 'strips', itemId: 'fine-24v-120', amount: 2300 },
  { kind: 'strips', itemId: 'fine-24v-120', amount: 900 },
  { kind: 'strips', itemId: 'white-24v-60', amount: 6400 },
  { kind: 'boards', itemId: 'ply-12', pieces: 2 },
  { kind: 'boards', itemId: 'ply-6', pieces: 1 },
  { kind: 'boards', itemId: 'ply-6', pieces: 1, sheetMm: [920, 610] },
  { kind: 'boards', itemId: 'ply-3', pieces: 3 },
  { kind: 'boards', itemId: 'ply-3', pieces: 2, sheetMm: [480, 320] },
  { kind: 'faces', itemId: 'opal-3', pieces: 2 },
  { kind: 'faces', itemId: 'opal-3', pieces: 1, sheetMm: [640, 310] },
  { kind: 'supplies', itemId: 'plug-24v-36', amount: 2 },
  { kind: 'supplies', itemId: 'plug-12v-60', amount: 1 },
  { kind: 'sundries', itemId: 'screw', amount: 240 },
  { kind: 'sundries', itemId: 'corner-screw', amount: 60 },
  { kind: 'sundries', itemId: 'grommet', amount: 14 },
  { kind: 'sundries', itemId: 'fuse', amount: 5 },
  { kind: 'wires', itemId: 'pair-0.35', amount: 38 },
  { kind: 'glues', itemId: 'wood-glue', amount: 140, openedDaysAgo: 40 },
  { kind: 'glues', itemId: 'silicone', amount: 300 },
  { kind: 'paints', itemId: 'primer', amount: 0.42, openedDaysAgo: 12 },
];
