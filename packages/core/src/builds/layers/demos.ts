import type { DesignOf } from '../../document/design/index.js';
import type { NewJobAnswers, SizeQuestion } from '../common/build.js';
import { onTheWall } from '../common/on-the-wall.js';
import { farBank, farReeds, nearReeds, otter } from './reed-bed.js';
import type { LayersAssembly, SheetDesign } from './schema.js';

type LayersSign = DesignOf<LayersAssembly>;

const power = { supplyId: 'auto', supplyCount: 1, wireId: 'auto', headroomShare: 0.2, feed: 'one-end' } as const;

const brief = {
  place: 'wall',
  exposure: 'indoors',
  ambient: 'shop',
  hoursPerDay: 10,
  light: { kind: 'white', cctK: 3000 },
  leadExit: 'bottom',
  leadLengthMm: 2000,
  quantity: 1,
  budget: null,
  outsideQuote: null,
} as const;

const artwork = {
  fontId: 'nunito-extrabold',
  mode: 'coloured-letters',
  filmId: 'black-vinyl',
  capHeightMm: 80,
  lineSpacing: 1.4,
  align: 'centre',
  offsetXMm: 0,
  offsetYMm: 0,
  toolId: 'laser',
} as const;

const caseOf = (widthMm: number, heightMm: number, depthInsideMm: number) =>
  ({
    sizeBy: 'outside',
    widthMm,
    heightMm,
    depthInsideMm,
    returnBoardId: 'ply-12',
    backBoardId: 'ply-6',
    cornerJoint: 'mitre-spline',
    retention: 'rabbet',
    seatMm: 6,
    lipMm: 6,
    playMm: 1,
    liningId: 'matt-white',
  }) as const;

/** Round the rim, looking in, behind the foremost sheet. */
const rimLight = (stripId: string, fromBackMm: number) =>
  ({
    stripId,
    layout: 'rim',
    facing: 'in',
    rowCount: 0,
    turnCount: 1,
    fromBackMm,
    endMarginMm: 8,
  }) as const;

const clearFront = { sheetId: 'clear-3', coats: [], second: null } as const;

const sheetOf = (
  id: string,
  name: string,
  heightMm: number,
  colour: string,
  rest: Partial<SheetDesign> = {},
): SheetDesign => ({ id, name, shape: 'drawing', materialId: 'ply-3', colour, heightMm, ...rest });

/** A reed bed with an otter: five sheets, lit from the rim behind the foremost. */
const reeds: LayersAssembly = {
  id: 'scene',
  build: 'layers',
  place: onTheWall,
  artwork,
  scene: {
    backColour: '#e9d9b4',
    sheets: [
      sheetOf('far-bank', 'Far bank', 9, '#a9b78e', { drawing: farBank }),
      sheetOf('far-reeds', 'Far reeds', 21, '#7c9468', { drawing: farReeds }),
      sheetOf('otter', 'Otter', 33, '#5d4433', { drawing: otter }),
      sheetOf('near-reeds', 'Near reeds', 45, '#39502f', { drawing: nearReeds }),
      sheetOf('window', 'Bank', 66, '#22301f', { shape: 'window', borderMm: 30 }),
    ],
  },
  case: caseOf(600, 300, 74),
  light: rimLight('fine-24v-120', 57),
  face: clearFront,
  hanging: { way: 'keyholes' },
};

/** A sign of one scene. */
const signOf = (name: string, text: string, readingDistanceMm: number, scene: LayersAssembly): LayersSign => ({
  format: 'vitrum-design',
  version: 2,
  name,
  brief: { ...brief, text, readingDistanceMm },
  assemblies: [scene],
  power,
});

/** For a clinic’s waiting room. */
const reedBed = signOf('Reed bed with an otter', 'REEDS', 2500, reeds);

/** Demo scenes by the name that the command line takes. */
export const layersDemos = { 'reed-bed': reedBed } as const satisfies Readonly<Record<string, LayersSign>>;

/** What a new scene is asked. */
export const layersSizes = [
  { id: 'widthMm', label: 'Width', hint: 'of the box, outside', usualMm: 600, leastMm: 180, mostMm: 1150 },
  { id: 'heightMm', label: 'Height', hint: 'of the box, outside', usualMm: 300, leastMm: 150, mostMm: 560 },
] as const satisfies readonly SizeQuestion[];

/** Width of a capital with its gap, in cap heights. */
const letterAdvance = 1.02;

/** A scene to start from: the words as letters before a ground, in a window that hides the strip. */
export const newLayers = ({ name, text, readingDistanceMm, sizesMm }: NewJobAnswers): LayersSign => {
  const { widthMm = layersSizes[0].usualMm, heightMm = layersSizes[1].usualMm } = sizesMm;
  const lines = text.split('\n');
  const longest = Math.max(1, ...lines.map((line) => line.length));
  const border = 28;
  const [across, up] = [widthMm - 24 - 2 * border - 20, heightMm - 24 - 2 * border - 16];
  const cap = Math.min(across / (longest * letterAdvance), up / (1.5 * lines.length - 0.4));
  return signOf(name, text, readingDistanceMm, {
    ...reeds,
    artwork: { ...artwork, capHeightMm: Math.max(2, Math.round(cap)) },
    scene: {
      backColour: '#f1ead8',
      sheets: [
        sheetOf('letters', 'Letters', 12, '#37526b', { shape: 'letters' }),
        sheetOf('window', 'Window', 44, '#2b2620', { shape: 'window', borderMm: border }),
      ],
    },
    case: caseOf(widthMm, heightMm, 52),
    light: rimLight('fine-24v-120', 36),
  });
};
