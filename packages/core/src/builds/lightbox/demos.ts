import type { DesignOf } from '../../document/design/index.js';
import { onTheWall } from '../common/on-the-wall.js';
import type { NewJobAnswers, SizeQuestion } from '../common/build.js';
import type { LightboxAssembly } from './schema.js';
import { ferryWay, fish } from './demo-drawings.js';

type BoxDesign = DesignOf<LightboxAssembly>;

/** The box of a sign that is but one. */
const boxOf = ({ assemblies: [box] }: BoxDesign): LightboxAssembly => box!;

/** What a new light box starts from; the three questions of "new job" overwrite the first few fields. */
const lightboxStart = {
  format: 'vitrum-design',
  version: 2,
  brief: {
    place: 'wall',
    exposure: 'indoors',
    ambient: 'shop',
    readingDistanceMm: 3000,
    hoursPerDay: 10,
    light: { kind: 'white', cctK: 4000 },
    leadExit: 'bottom',
    leadLengthMm: 2000,
    quantity: 1,
    budget: null,
    outsideQuote: null,
  },
  power: { supplyId: 'auto', supplyCount: 1, wireId: 'auto', headroomShare: 0.2, feed: 'one-end' },
} as const;

/** The pharmacy's box: two rows in a case that is too shallow for them, so that they show as bands. */
const dispensary: BoxDesign = {
  ...lightboxStart,
  name: 'Dispensary box',
  brief: {
    ...lightboxStart.brief,
    text: 'DISPENSARY',
    exposure: 'damp',
    ambient: 'overcast',
    hoursPerDay: 11,
    budget: 600,
    outsideQuote: 640,
  },
  assemblies: [
    {
      id: 'box',
      build: 'lightbox',
      place: onTheWall,
      artwork: {
        fontId: 'overpass-black',
        mode: 'opaque-letters',
        filmId: 'black-vinyl',
        capHeightMm: 84,
        lineSpacing: 1.5,
        align: 'centre',
        offsetXMm: 0,
        offsetYMm: 0,
      },
      case: {
        sizeBy: 'outside',
        widthMm: 900,
        heightMm: 300,
        depthInsideMm: 81,
        returnBoardId: 'ply-12',
        backBoardId: 'composite-3',
        cornerJoint: 'butt',
        retention: 'rabbet',
        seatMm: 8,
        lipMm: 6,
        playMm: 1.2,
        liningId: 'matt-white',
      },
      hanging: { way: 'keyholes', heightMm: 2600 },
      light: { stripId: 'coated-white-24v-120', layout: 'rows', rowCount: 2, turnCount: 1, endMarginMm: 12 },
      face: { sheetId: 'opal-3' },
    },
  ],
  power: { ...lightboxStart.power, nightLevel: 0.5 },
};

/** Times of the ferries' ticket hall: lit letters in a navy mask. */
const ticketHall: BoxDesign = {
  ...lightboxStart,
  name: 'Ticket hall board',
  brief: {
    ...lightboxStart.brief,
    text: 'Tickets\n& Timetable',
    ambient: 'shop',
    readingDistanceMm: 4000,
    light: { kind: 'white', cctK: 3000 },
    leadExit: 'left',
    outsideQuote: 520,
  },
  assemblies: [
    {
      id: 'box',
      build: 'lightbox',
      place: onTheWall,
      artwork: {
        fontId: 'nunito-extrabold',
        mode: 'lit-letters',
        filmId: 'navy-vinyl',
        capHeightMm: 78,
        lineSpacing: 1.75,
        align: 'left',
        offsetXMm: 0,
        offsetYMm: -6,
      },
      case: {
        sizeBy: 'outside',
        widthMm: 720,
        heightMm: 360,
        depthInsideMm: 78,
        returnBoardId: 'oak-18',
        backBoardId: 'ply-6',
        cornerJoint: 'mitre',
        retention: 'groove',
        seatMm: 8,
        lipMm: 6,
        playMm: 1.2,
        liningId: 'matt-white',
      },
      hanging: { way: 'cleat' },
      light: { stripId: 'white-24v-60', layout: 'rows', rowCount: 7, turnCount: 1, endMarginMm: 15 },
      face: { sheetId: 'opal-3' },
    },
  ],
  power: lightboxStart.power,
};

/** A small counter box lit from its rim. */
const bakery: BoxDesign = {
  ...lightboxStart,
  name: 'Rye & Salt counter box',
  brief: {
    ...lightboxStart.brief,
    text: 'Rye & Salt',
    place: 'counter',
    ambient: 'shop',
    readingDistanceMm: 1500,
    hoursPerDay: 8,
    light: { kind: 'white', cctK: 2700 },
    leadExit: 'right',
    leadLengthMm: 1200,
    quantity: 2,
    outsideQuote: 260,
  },
  assemblies: [
    {
      id: 'box',
      build: 'lightbox',
      place: onTheWall,
      artwork: {
        fontId: 'pacifico',
        mode: 'coloured-letters',
        filmId: 'red-film',
        capHeightMm: 58,
        lineSpacing: 1.6,
        align: 'centre',
        offsetXMm: 0,
        offsetYMm: 0,
      },
      case: {
        sizeBy: 'face',
        widthMm: 420,
        heightMm: 180,
        depthInsideMm: 48,
        returnBoardId: 'ply-12',
        backBoardId: 'ply-6',
        cornerJoint: 'butt',
        retention: 'rabbet',
        seatMm: 8,
        lipMm: 6,
        playMm: 0.8,
        liningId: 'white-film',
      },
      hanging: { way: 'feet' },
      light: { stripId: 'continuous-24v-480', layout: 'rim', rowCount: 3, turnCount: 1, endMarginMm: 12 },
      face: { sheetId: 'opal-3' },
    },
  ],
  power: { ...lightboxStart.power, level: 0.7 },
};

/** A fishmonger's counter box: a drawing, made of an SVG file, instead of text. */
const fishCounter: BoxDesign = {
  ...bakery,
  name: 'Quay fish counter box',
  brief: {
    ...bakery.brief,
    text: 'Fish',
    readingDistanceMm: 2000,
    light: { kind: 'white', cctK: 4000 },
    quantity: 1,
    outsideQuote: 310,
  },
  assemblies: [
    {
      ...boxOf(bakery),
      artwork: { ...boxOf(bakery).artwork, filmId: 'navy-vinyl', mode: 'opaque-letters', drawing: fish },
    },
  ],
};

/** The way to the ferry: lit shapes in a dark mask, made of a DXF file. */
const ferryWayBox: BoxDesign = {
  ...ticketHall,
  name: 'Ferry way box',
  brief: { ...ticketHall.brief, text: 'This way to the ferry', readingDistanceMm: 6000, outsideQuote: 430 },
  assemblies: [
    {
      ...boxOf(ticketHall),
      artwork: { ...boxOf(ticketHall).artwork, align: 'centre', offsetYMm: 0, drawing: ferryWay },
      case: { ...boxOf(ticketHall).case, heightMm: 260 },
      light: { ...boxOf(ticketHall).light, rowCount: 5 },
    },
  ],
};

/** A bar’s box in a mixed colour with a remote: four rows in one chain, amber turning red toward the far end. */
const slipway: BoxDesign = {
  ...bakery,
  name: 'Slipway bar box',
  brief: {
    ...lightboxStart.brief,
    text: 'Slipway',
    ambient: 'evening',
    surroundings: 'town',
    readingDistanceMm: 4000,
    light: { kind: 'rgb', colour: '#ffa040' },
    control: 'remote',
    outsideQuote: 520,
  },
  power: lightboxStart.power,
  assemblies: [
    {
      ...boxOf(dispensary),
      artwork: { ...boxOf(dispensary).artwork, fontId: 'lobster', capHeightMm: 130 },
      case: { ...boxOf(dispensary).case, widthMm: 1150, heightMm: 380, depthInsideMm: 100 },
      hanging: { way: 'keyholes' },
      light: { stripId: 'rgb-12v-60', layout: 'rows', rowCount: 4, turnCount: 1, endMarginMm: 15 },
    },
  ],
};

/** A net maker’s shop window: pixels in rows, each told its colour, fed and told from the same corner. */
const netLoft: BoxDesign = {
  ...slipway,
  name: 'Net loft window box',
  brief: {
    ...slipway.brief,
    text: 'NET LOFT',
    place: 'window',
    readingDistanceMm: 3000,
    light: { kind: 'rgb', colour: '#40b0ff' },
    leadLengthMm: 1200,
    outsideQuote: null,
  },
  // 5 V asks for wire thicker than the pads: thin tails on the strip, terminals to the wire.
  power: { ...slipway.power, joint: 'lever' },
  assemblies: [
    {
      ...boxOf(slipway),
      artwork: { ...boxOf(slipway).artwork, fontId: 'overpass-black', capHeightMm: 90 },
      case: { ...boxOf(slipway).case, widthMm: 700, heightMm: 240, depthInsideMm: 80 },
      hanging: { way: 'chain' },
      light: { stripId: 'pixels-5v-60', layout: 'rows', rowCount: 3, turnCount: 1, endMarginMm: 12 },
    },
  ],
};

/** Demo light boxes by the name that the command line takes. */
export const lightboxDemos = {
  dispensary,
  'ticket-hall': ticketHall,
  'rye-and-salt': bakery,
  'fish-counter': fishCounter,
  'ferry-way': ferryWayBox,
  slipway,
  'net-loft': netLoft,
} as const satisfies Readonly<Record<string, BoxDesign>>;

/** What a new light box is asked. */
export const lightboxSizes = [
  { id: 'widthMm', label: 'Width', usualMm: 800, leastMm: 60, mostMm: 12_000 },
  { id: 'heightMm', label: 'Height', usualMm: 300, leastMm: 60, mostMm: 12_000 },
] as const satisfies readonly SizeQuestion[];

const clearOfEdges = 0.8;
/** Width of a capital letter with its gap, in cap heights; a first guess that the artwork step corrects. */
const letterAdvance = 0.82;

/** A light box to start from: letters to fill the face, rows as far apart as the case is deep. */
export const newLightbox = ({ name, text, readingDistanceMm, sizesMm }: NewJobAnswers): BoxDesign => {
  const { widthMm = lightboxSizes[0].usualMm, heightMm = lightboxSizes[1].usualMm } = sizesMm;
  const lines = text.split('\n');
  const longest = Math.max(1, ...lines.map((line) => line.length));
  const cap = Math.min((widthMm * clearOfEdges) / (longest * letterAdvance), (heightMm * 0.5) / lines.length);
  const rowCount = Math.max(1, Math.round((heightMm - 24) / 85));
  const [assembly] = dispensary.assemblies;
  return {
    ...dispensary,
    name,
    brief: { ...lightboxStart.brief, text, readingDistanceMm },
    power: lightboxStart.power,
    assemblies: [
      {
        ...assembly!,
        artwork: { ...assembly!.artwork, capHeightMm: Math.max(2, Math.round(cap)) },
        case: { ...assembly!.case, widthMm, heightMm, depthInsideMm: 90 },
        hanging: { way: 'keyholes' },
        light: { ...assembly!.light, stripId: 'white-24v-120', rowCount },
      },
    ],
  };
};
