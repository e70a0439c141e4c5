import type { DesignOf } from '../../document/design/index.js';
import type { NewJobAnswers, SizeQuestion } from '../common/build.js';
import { onTheWall } from '../common/on-the-wall.js';
import type { StackedAssembly } from './schema.js';

type StackedSign = DesignOf<StackedAssembly>;

const usualPower = { supplyId: 'auto', supplyCount: 1, wireId: 'auto', headroomShare: 0.2, feed: 'one-end' } as const;

const ring = (at: number, materialId: string) => ({ id: `ring-${at}`, materialId });

/** A round sign of six plates for a smoke house: its edge glows over two rings of plywood, its letters are let into the lid. */
const smokeHouse: StackedSign = {
  format: 'vitrum-design',
  version: 2,
  name: 'Smoke house',
  brief: {
    text: 'SMOKE\nHOUSE',
    place: 'wall',
    exposure: 'indoors',
    ambient: 'shop',
    readingDistanceMm: 3000,
    hoursPerDay: 8,
    light: { kind: 'white', cctK: 3000 },
    leadExit: 'bottom',
    leadLengthMm: 2000,
    quantity: 1,
    budget: null,
    outsideQuote: null,
  },
  assemblies: [
    {
      id: 'sign',
      build: 'stacked',
      place: onTheWall,
      artwork: {
        fontId: 'nunito-extrabold',
        capHeightMm: 42,
        lineSpacing: 1.35,
        tracking: 0.04,
        align: 'centre',
        toolId: 'laser',
      },
      plates: {
        shape: 'round',
        widthMm: 280,
        heightMm: 280,
        wallMm: 14,
        baseId: 'ply-6',
        rings: [ring(1, 'ply-6'), ring(2, 'ply-6'), ring(3, 'opal-5'), ring(4, 'ply-6')],
        liningId: 'matt-white',
        colour: '#27404d',
      },
      lid: { materialId: 'ply-4', inlay: { materialId: 'opal-3' }, coats: [] },
      light: { stripId: 'fine-24v-120', facing: 'in', loops: 1 },
      hanging: { way: 'keyholes' },
    },
  ],
  power: { ...usualPower, level: 0.4 },
};

/** Demo designs by the name that the command line takes. */
export const stackedDemos = { 'smoke-house': smokeHouse } as const satisfies Readonly<Record<string, StackedSign>>;

/** What new stacked plates are asked. */
export const stackedSizes = [
  { id: 'widthMm', label: 'Width', hint: 'of the plates', usualMm: 280, leastMm: 120, mostMm: 900 },
  { id: 'heightMm', label: 'Height', hint: 'of the plates', usualMm: 280, leastMm: 120, mostMm: 580 },
] as const satisfies readonly SizeQuestion[];

/** Width of a capital with its gap, in cap heights. */
const letterAdvance = 1.1;
/** Plates more than so many times as wide as high, or as high as wide, are a rectangle. */
const squat = 1.6;
/** Light evens out in a room about so high against the smaller side; lower than strip takes it is not (mm). */
const roomShare = 1 / 9;
/** From the base to the middle of the strip (mm): within the opaque rings, whichever strip is chosen. */
const usualFromBaseMm = 6;
/** The usual laser reaches so far (mm). */
const laserMm = [880, 580] as const;

/** Rings under and over the one that glows, thick ones where the room is high. */
const ringsFor = (smallerMm: number) => {
  const wanted = smallerMm * roomShare - 5;
  const thick = Math.max(0, Math.min(4, Math.floor((wanted - 18) / 12 + 1e-9)));
  const materials = [
    ...Array.from({ length: thick }, () => 'ply-12'),
    ...(thick === 0 ? ['ply-6', 'ply-6'] : []),
    'opal-5',
    ...(thick > 1 ? ['ply-12'] : ['ply-6']),
  ];
  return materials.map((materialId, at) => ring(at + 1, materialId));
};

/** Stacked plates to start from: round or oval, a rectangle where they are much wider than high, letters as large as the room. */
export const newStacked = ({ name, text, readingDistanceMm, sizesMm }: NewJobAnswers): StackedSign => {
  const { widthMm = stackedSizes[0].usualMm, heightMm = stackedSizes[1].usualMm } = sizesMm;
  const { brief } = smokeHouse;
  const [assembly] = smokeHouse.assemblies;
  const wallMm = 12;
  const isRound = Math.max(widthMm / heightMm, heightMm / widthMm) < squat;
  const lines = text.split('\n');
  const longest = Math.max(1, ...lines.map((line) => line.length));
  const [wide, high] = [longest * letterAdvance, 1.35 * lines.length - 0.35];
  // In an oval the corners of the words lie on it; in a rectangle they keep off its sides.
  const [across, up] = [widthMm - 2 * wallMm - 16, heightMm - 2 * wallMm - 16];
  const cap = isRound ? 1 / Math.hypot(wide / across, high / up) : Math.min(across / wide, up / high);
  return {
    ...smokeHouse,
    name,
    brief: { ...brief, text, readingDistanceMm },
    assemblies: [
      {
        ...assembly!,
        artwork: {
          ...assembly!.artwork,
          toolId: widthMm > laserMm[0] || heightMm > laserMm[1] ? 'bit-3' : 'laser',
          capHeightMm: Math.max(2, Math.round(0.96 * cap)),
        },
        plates: {
          ...assembly!.plates,
          shape: isRound ? 'round' : 'rectangle',
          widthMm,
          heightMm,
          wallMm,
          rings: ringsFor(Math.min(widthMm, heightMm)),
          ...(isRound ? {} : { cornerMm: Math.round(Math.min(40, heightMm / 6)) }),
        },
        // Off the base by a little more than it must: room to solder, and to drag it either way.
        light: { ...assembly!.light, fromBaseMm: usualFromBaseMm },
      },
    ],
    power: usualPower,
  };
};
