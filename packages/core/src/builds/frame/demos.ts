import type { DesignOf } from '../../document/design/index.js';
import type { NewJobAnswers, SizeQuestion } from '../common/build.js';
import { onTheWall } from '../common/on-the-wall.js';
import { usualBand } from './band.js';
import type { FrameAssembly } from './schema.js';
import { bandLight } from './inner-frame.js';
import { clearSheetFor, opalBehindTile, opalWithin } from './sheets.js';
import { tidePicture } from './tide-picture.js';

type FrameSign = DesignOf<FrameAssembly>;

const power = { supplyId: 'auto', supplyCount: 1, wireId: 'auto', headroomShare: 0.2, feed: 'one-end' } as const;

const brief = {
  place: 'wall',
  exposure: 'indoors',
  ambient: 'shop',
  readingDistanceMm: 1500,
  hoursPerDay: 9,
  light: { kind: 'white', cctK: 4000 },
  leadExit: 'bottom',
  leadLengthMm: 2000,
  quantity: 1,
  budget: null,
  outsideQuote: null,
} as const;

const artwork = {
  fontId: 'nunito-extrabold',
  mode: 'opaque-letters',
  filmId: 'black-vinyl',
  capHeightMm: 40,
  lineSpacing: 1.5,
  align: 'centre',
  offsetXMm: 0,
  offsetYMm: 0,
} as const;

/** Acrylic grows so much over a room’s seasons (mm a mm); a little more play than half of that on each side. */
const growth = 7e-5 * 25;
const playFor = (longestMm: number): number => Math.max(1, Math.ceil((10 * growth * longestMm) / 2 + 0.5) / 10);

/** A clear sheet, the print on film, and an opal one tight behind it. */
const printFace = (widthMm: number, heightMm: number) => ({
  sheetId: clearSheetFor(widthMm, heightMm),
  coats: [{ coatingId: 'poster-print', coats: 1 }],
  second: opalWithin(widthMm, heightMm),
});

const caseOf = (widthMm: number, heightMm: number, depthInsideMm: number) =>
  ({
    sizeBy: 'face',
    widthMm,
    heightMm,
    depthInsideMm,
    returnBoardId: 'oak-18',
    backBoardId: 'ply-6',
    cornerJoint: 'mitre-spline',
    retention: 'groove',
    seatMm: 8,
    lipMm: 7,
    playMm: playFor(Math.max(widthMm, heightMm)),
    liningId: 'matt-white',
  }) as const;

/** A print is changed every year: the top comes off. */
const topOff = { cornerJoint: 'rabbet', plugged: true, faceOut: 'top-off' } as const;

/** The harbour office’s tides: an A2 print between a clear and an opal sheet, rows behind. */
const tideTable: FrameSign = {
  format: 'vitrum-design',
  version: 2,
  name: 'Tide table print',
  brief: { ...brief, text: 'TIDES' },
  assemblies: [
    {
      id: 'frame',
      build: 'frame',
      place: onTheWall,
      shows: { kind: 'print', band: usualBand, picture: tidePicture },
      artwork: { ...artwork, capHeightMm: 46, offsetYMm: 150 },
      case: { ...caseOf(594, 420, 85), ...topOff },
      light: { stripId: 'fine-24v-120', layout: 'rows', rowCount: 5, turnCount: 1, endMarginMm: 10 },
      face: printFace(594, 420),
      hanging: { way: 'keyholes' },
    },
  ],
  power,
};

/** A changeable tile of mirror on feet, its word engraved through the silver. */
const brimTile: FrameSign = {
  ...tideTable,
  name: 'Brim mirror tile',
  brief: { ...brief, text: 'Brim', place: 'counter', readingDistanceMm: 1500, leadLengthMm: 1500 },
  assemblies: [
    {
      id: 'frame',
      build: 'frame',
      place: onTheWall,
      shows: { kind: 'mirror-tile', band: usualBand },
      artwork: {
        ...artwork,
        mode: 'lit-letters',
        mirrored: true,
        toolId: 'blast',
        fontId: 'pacifico',
        capHeightMm: 60,
      },
      case: { ...caseOf(250, 250, 80), cornerJoint: 'butt', plugged: true, faceOut: 'open-top' },
      light: { stripId: 'fine-24v-120', layout: 'rows', rowCount: 4, turnCount: 1, endMarginMm: 5 },
      face: { sheetId: 'clear-3', second: opalBehindTile(250, 250) },
      hanging: { way: 'feet' },
    },
  ],
  power: { ...power, level: 0.5 },
};

const fittingBand = { insetMm: 35, widthMm: 35, cornerMm: 25 };
const fittingLight = bandLight({ widthMm: 700, heightMm: 900 }, fittingBand, 60);

/** The hat shop’s fitting mirror: a frosted band all round, strip round an inner frame within it, glued on the frame. */
const fittingMirror: FrameSign = {
  ...tideTable,
  name: 'Fitting mirror',
  brief: { ...brief, text: '', light: { kind: 'white', cctK: 4000 }, control: 'knob', outsideQuote: 690 },
  assemblies: [
    {
      id: 'frame',
      build: 'frame',
      place: onTheWall,
      shows: { kind: 'lit-mirror', band: fittingBand, mirrorWork: { by: 'here', failShare: 0.25, quote: 148 } },
      artwork: { ...artwork, mode: 'lit-letters', mirrored: true, toolId: 'blast' },
      case: {
        ...caseOf(700, 900, 60),
        retention: 'laid-on',
        liningId: 'white-film',
        backBoardId: 'ply-12',
      },
      light: {
        stripId: 'fine-24v-120',
        layout: fittingLight.layout,
        facing: fittingLight.facing,
        corners: fittingLight.corners,
        rowCount: 1,
        turnCount: 1,
        endMarginMm: 10,
      },
      face: { sheetId: 'clear-3', second: fittingLight.second },
      hanging: { way: 'brackets' },
    },
  ],
  power,
};

/** Demo frames by the name that the command line takes. */
export const frameDemos = {
  'tide-table': tideTable,
  'fitting-mirror': fittingMirror,
  'brim-tile': brimTile,
} as const satisfies Readonly<Record<string, FrameSign>>;

/** What a new frame is asked. */
export const frameSizes = [
  { id: 'widthMm', label: 'Width', hint: 'of the print or mirror', usualMm: 594, leastMm: 150, mostMm: 1900 },
  { id: 'heightMm', label: 'Height', hint: 'of the print or mirror', usualMm: 420, leastMm: 150, mostMm: 1200 },
] as const satisfies readonly SizeQuestion[];

/** Width of a capital with its gap, in cap heights. */
const letterAdvance = 0.75;

/** A print to start from: its words in the upper part, rows as far apart as the frame is deep. */
export const newFrame = ({ name, text, readingDistanceMm, sizesMm }: NewJobAnswers): FrameSign => {
  const { widthMm = frameSizes[0].usualMm, heightMm = frameSizes[1].usualMm } = sizesMm;
  const [assembly] = tideTable.assemblies;
  const lines = text.split('\n');
  const longest = Math.max(1, ...lines.map((line) => line.length));
  const cap = Math.min((0.7 * widthMm) / (longest * letterAdvance), (0.4 * heightMm) / lines.length);
  return {
    ...tideTable,
    name,
    brief: { ...tideTable.brief, text, readingDistanceMm },
    assemblies: [
      {
        ...assembly!,
        shows: { kind: 'print', band: usualBand },
        artwork: { ...artwork, capHeightMm: Math.max(2, Math.round(cap)) },
        case: { ...caseOf(widthMm, heightMm, 60), ...topOff },
        light: { ...assembly!.light, rowCount: Math.max(1, Math.round(heightMm / 60)) },
        face: printFace(widthMm, heightMm),
      },
    ],
  };
};
