import { controllers, joints, supplies, wires } from './shipped/power.js';
import { boards, films, linings, walls } from './shipped/boards.js';
import { glues, paints } from './shipped/finishes.js';
import { coatings, faces } from './shipped/faces.js';
import { covers } from './shipped/covers.js';
import { spacers } from './shipped/spacers.js';
import { panes } from './shipped/panes.js';
import { engravers } from './shipped/engravers.js';
import { colouredStrips } from './shipped/coloured-strips.js';
import { whiteStrips } from './shipped/white-strips.js';
import type { Catalogue, Cutter, Fixing, Sundry, Tool } from './types.js';

const typical = 'typical' as const;

const sundries: readonly Sundry[] = [
  { id: 'screw', name: 'Screw 3 × 16 mm', provenance: typical, price: 0.04, kg: 0.001 },
  { id: 'corner-screw', name: 'Screw 4 × 40 mm', provenance: typical, price: 0.07, kg: 0.003 },
  { id: 'insert', name: 'Threaded insert M4 × 10 mm', provenance: typical, price: 0.35, kg: 0.003 },
  { id: 'machine-screw', name: 'Machine screw M4 × 16 mm', provenance: typical, price: 0.12, kg: 0.002 },
  { id: 'turn-button', name: 'Turn button with screw', provenance: typical, price: 0.45, kg: 0.006 },
  { id: 'wood-plug', name: 'Wood plug 10 mm', provenance: typical, price: 0.06, kg: 0.001 },
  { id: 'pocket-screw', name: 'Pocket screw 4 mm', provenance: typical, price: 0.09, kg: 0.003 },
  { id: 'dowel', name: 'Beech dowel', provenance: typical, price: 0.05, kg: 0.001 },
  { id: 'loose-tenon', name: 'Loose tenon', provenance: typical, price: 0.16, kg: 0.002 },
  { id: 'hanger', name: 'Slotted hanging plate', provenance: typical, price: 1.2, kg: 0.03, ratedKg: 10 },
  { id: 'spacer', name: 'Spacer with cap, 20 mm', provenance: typical, price: 2.4, kg: 0.03, ratedKg: 8 },
  { id: 'bracket', name: 'Angle bracket 60 mm', provenance: typical, price: 1.1, kg: 0.06, ratedKg: 20 },
  { id: 'chain', name: 'Chain 0.5 m with eye and hook', provenance: typical, price: 3.2, kg: 0.09, ratedKg: 25 },
  { id: 'rubber-foot', name: 'Rubber foot with screw', provenance: typical, price: 0.25, kg: 0.004 },
  {
    id: 'jack-and-plug',
    name: 'Jack to screw in, 8 mm thread, with its plug',
    provenance: typical,
    price: 2.3,
    kg: 0.015,
  },
  { id: 'cleat-screw', name: 'Screw 4 × 30 mm', provenance: typical, price: 0.05, kg: 0.002, ratedKg: 10 },
  { id: 'stand-off', name: 'Stand-off post with wall and letter fixing', provenance: typical, price: 1.9, kg: 0.02 },
  { id: 'trim', name: 'Trim profile, 1 m', provenance: typical, price: 2.1, kg: 0.06 },
  { id: 'wall-clip', name: 'Wall clip for a post', provenance: typical, price: 0.6, kg: 0.004 },
  { id: 'grommet', name: 'Lead grommet with strain relief', provenance: typical, price: 0.6, kg: 0.003 },
  { id: 'fuse', name: 'In-line fuse and holder', provenance: typical, price: 1.8, kg: 0.012 },
  { id: 'strip-clip', name: 'Strip clip with screw', provenance: typical, price: 0.09, kg: 0.001 },
  { id: 'spacer-strip', name: 'Spacer strip for a second sheet, 1 m', provenance: typical, price: 1.1, kg: 0.04 },
  { id: 'face-tape', name: 'Face mounting tape, 1 m', provenance: typical, price: 0.5, kg: 0.005 },
];

/** Working loads as makers of such things usually state them, a quarter to a seventh of what they break at. */
const fixings: readonly Fixing[] = [
  {
    id: 'timber-screw',
    name: 'Wood screw 5 × 60 mm',
    provenance: typical,
    price: 0.12,
    holdsIn: ['timber'],
    shearKg: 25,
    pullKg: 20,
    holeMm: 3,
    depthMm: 45,
    kg: 0.006,
  },
  {
    id: 'timber-bolt',
    name: 'Coach screw 8 × 80 mm',
    provenance: typical,
    price: 0.6,
    holdsIn: ['timber'],
    shearKg: 70,
    pullKg: 55,
    holeMm: 5.5,
    depthMm: 65,
    kg: 0.03,
  },
  {
    id: 'plug-6',
    name: 'Plug 6 mm with screw',
    provenance: typical,
    price: 0.18,
    holdsIn: ['masonry'],
    shearKg: 15,
    pullKg: 8,
    holeMm: 6,
    depthMm: 40,
    kg: 0.005,
  },
  {
    id: 'plug-8',
    name: 'Plug 8 mm with screw',
    provenance: typical,
    price: 0.35,
    holdsIn: ['masonry'],
    shearKg: 30,
    pullKg: 18,
    holeMm: 8,
    depthMm: 55,
    kg: 0.012,
  },
  {
    id: 'anchor-10',
    name: 'Anchor bolt 10 mm',
    provenance: typical,
    price: 1.9,
    holdsIn: ['masonry'],
    shearKg: 120,
    pullKg: 80,
    holeMm: 10,
    depthMm: 70,
    kg: 0.05,
  },
  {
    id: 'board-plug',
    name: 'Board plug with screw',
    provenance: typical,
    price: 0.4,
    holdsIn: ['board'],
    shearKg: 6,
    pullKg: 4,
    holeMm: 8,
    depthMm: 32,
    kg: 0.006,
  },
  {
    id: 'board-toggle',
    name: 'Board toggle with screw',
    provenance: typical,
    price: 1.3,
    holdsIn: ['board'],
    shearKg: 15,
    pullKg: 10,
    holeMm: 12,
    depthMm: 60,
    kg: 0.02,
  },
];

/** A bit cuts to about six times its width, pass over pass. */
const router = (cutMm: number) =>
  ({
    provenance: typical,
    kind: 'bit',
    bedWidthMm: 1250,
    bedHeightMm: 1250,
    cutMm,
    cuts: [
      ...(['wood', 'acrylic', 'foam'] as const).map((stuff) => ({ stuff, mostMm: 6 * cutMm })),
      { stuff: 'composite', mostMm: 4 },
      { stuff: 'metal', mostMm: cutMm },
    ],
  }) as const;

const tools: readonly Tool[] = [
  {
    id: 'film-knife',
    name: 'Film plotter',
    provenance: typical,
    price: 900,
    kind: 'knife',
    cutMm: 0,
    leastStrokeMm: 1,
    cuts: [{ stuff: 'film', mostMm: 0.5 }],
    bedWidthMm: 1220,
    bedHeightMm: 10_000,
  },
  {
    id: 'laser',
    name: 'Laser, 0.2 mm beam',
    provenance: typical,
    price: 6500,
    kind: 'beam',
    cutMm: 0.2,
    leastStrokeMm: 1.5,
    cuts: [
      { stuff: 'acrylic', mostMm: 8 },
      { stuff: 'wood', mostMm: 6 },
    ],
    bedWidthMm: 900,
    bedHeightMm: 600,
  },
  { ...router(2), id: 'bit-2', name: 'Router bit 2 mm', price: 14, leastStrokeMm: 2 },
  { ...router(3), id: 'bit-3', name: 'Router bit 3 mm', price: 12, leastStrokeMm: 3 },
  {
    id: 'printer',
    name: 'Printer, 0.4 mm nozzle',
    provenance: typical,
    price: 600,
    kind: 'nozzle',
    cutMm: 0,
    leastStrokeMm: 0.9,
    cuts: [{ stuff: 'printed', mostMm: 300 }],
    bedWidthMm: 300,
    bedHeightMm: 300,
  },
  {
    ...router(3),
    id: 'small-bit-3',
    name: 'Router bit 3 mm, small machine',
    price: 12,
    leastStrokeMm: 3,
    bedWidthMm: 600,
    bedHeightMm: 400,
  },
  { ...router(6), id: 'bit-6', name: 'Router bit 6 mm', price: 16, leastStrokeMm: 4 },
  ...engravers,
];

const cutters: readonly Cutter[] = [
  { id: 'blade', name: 'Saw blade 250 mm', provenance: typical, price: 45, kind: 'blade', cutMm: 3.2, mostDeepMm: 70 },
  {
    id: 'thin-blade',
    name: 'Thin saw blade 180 mm',
    provenance: typical,
    price: 38,
    kind: 'blade',
    cutMm: 1.8,
    mostDeepMm: 40,
  },
  { id: 'slot-2', name: 'Slot bit 2 mm', provenance: typical, price: 14, kind: 'bit', cutMm: 2, mostDeepMm: 8 },
  { id: 'slot-3', name: 'Slot bit 3 mm', provenance: typical, price: 14, kind: 'bit', cutMm: 3, mostDeepMm: 12 },
  { id: 'slot-6', name: 'Slot bit 6 mm', provenance: typical, price: 16, kind: 'bit', cutMm: 6, mostDeepMm: 25 },
  { id: 'slot-12', name: 'Slot bit 12 mm', provenance: typical, price: 22, kind: 'bit', cutMm: 12, mostDeepMm: 35 },
];

/** The catalogue that ships with the program: made-up names, usual values, each marked typical and open to change. */
export const shippedCatalogue: Catalogue = {
  strips: [...whiteStrips, ...colouredStrips],
  faces,
  panes,
  covers,
  spacers,
  coatings,
  boards,
  linings,
  films,
  supplies,
  controllers,
  wires,
  joints,
  sundries,
  fixings,
  paints,
  glues,
  tools,
  cutters,
  walls,
  rates: { currency: '€', labourPerHour: 38, energyPerKwh: 0.29, kerfMm: 3.2, wasteShare: 0.1 },
};
