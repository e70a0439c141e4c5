import type { DesignOf } from '../../document/design/index.js';
import type { NewJobAnswers, SizeQuestion } from '../common/build.js';
import { onTheWall } from '../common/on-the-wall.js';
import { frameHanging, usualBase, usualFrame } from './holders.js';
import type { EdgeLitAssembly } from './schema.js';

type PanelDesign = DesignOf<EdgeLitAssembly>;

const panelStart = {
  format: 'vitrum-design',
  version: 2,
  brief: {
    place: 'counter',
    exposure: 'indoors',
    ambient: 'shop',
    readingDistanceMm: 1500,
    hoursPerDay: 9,
    light: { kind: 'white', cctK: 4000 },
    leadExit: 'back',
    leadLengthMm: 1500,
    quantity: 1,
    budget: null,
    outsideQuote: null,
  },
  power: { supplyId: 'auto', supplyCount: 1, wireId: 'auto', headroomShare: 0.2, feed: 'one-end' },
} as const;

/** A panel for a reading room: it fades to its far side at first. */
const quietRoom: PanelDesign = {
  ...panelStart,
  name: 'Quiet room panel',
  brief: { ...panelStart.brief, text: 'Quiet\nroom', outsideQuote: 180 },
  assemblies: [
    {
      id: 'panel',
      build: 'edge-lit',
      place: onTheWall,
      artwork: {
        fontId: 'nunito-extrabold',
        capHeightMm: 42,
        lineSpacing: 1.5,
        align: 'centre',
        offsetXMm: 0,
        offsetYMm: 6,
        toolId: 'engrave-beam',
        mirrored: true,
        depthMm: 0.2,
        fill: 'solid',
      },
      sheet: { paneId: 'clear-acrylic-6', widthMm: 240, heightMm: 160, cornerMm: 6 },
      light: { stripId: 'fine-24v-120', edges: ['bottom'], gapMm: 0.5, offsetMm: 0, endMarginMm: 18 },
      holder: {
        kind: 'base',
        make: 'wood',
        boardId: 'oak-block-40',
        depthMm: 70,
        overhangMm: 15,
        slotMm: 14,
        playMm: 0.2,
        lidBoardId: 'ply-6',
      },
    },
  ],
  power: panelStart.power,
};

const panelOf = ({ assemblies: [panel] }: PanelDesign): EdgeLitAssembly => panel!;

/** A mirror of a hat shop with its name blasted through the silver. */
const hatMirror: PanelDesign = {
  ...panelStart,
  name: 'Feather & Felt mirror',
  brief: {
    ...panelStart.brief,
    text: 'Feather & Felt',
    place: 'wall',
    light: { kind: 'white', cctK: 3000 },
    leadExit: 'bottom',
    readingDistanceMm: 2000,
    outsideQuote: 390,
  },
  assemblies: [
    {
      ...panelOf(quietRoom),
      artwork: {
        fontId: 'lobster',
        capHeightMm: 46,
        lineSpacing: 1.5,
        align: 'centre',
        offsetXMm: 0,
        offsetYMm: -95,
        toolId: 'blast',
        mirrored: true,
        depthMm: 0.1,
        fill: 'solid',
      },
      sheet: { paneId: 'mirror-glass-6', widthMm: 500, heightMm: 320 },
      light: { stripId: 'continuous-24v-320', edges: ['bottom'], gapMm: 0.5, offsetMm: 0, endMarginMm: 15 },
      holder: {
        kind: 'frame',
        boardId: 'oak-18',
        joint: 'pocket-screws',
        seatMm: 6,
        playMm: 0.3,
        depthMm: 30,
        lipMm: 6,
      },
      hanging: { way: 'brackets' },
    },
  ],
};

/** A counter top lit along its long side, let into a case. */
const counterTop: PanelDesign = {
  ...panelStart,
  name: 'Ferry counter top',
  brief: {
    ...panelStart.brief,
    text: 'Tickets here',
    place: 'counter',
    readingDistanceMm: 1000,
    leadExit: 'bottom',
    outsideQuote: 640,
  },
  assemblies: [
    {
      ...panelOf(quietRoom),
      artwork: {
        fontId: 'overpass-black',
        capHeightMm: 62,
        lineSpacing: 1.5,
        align: 'centre',
        offsetXMm: 0,
        offsetYMm: 0,
        toolId: 'engrave-bit',
        mirrored: true,
        depthMm: 0.4,
        fill: 'hatch',
        spacingMm: 1.2,
      },
      sheet: { paneId: 'clear-acrylic-10', widthMm: 700, heightMm: 400, behind: 'black' },
      light: { stripId: 'fine-24v-120', edges: ['top'], gapMm: 1, offsetMm: 0, endMarginMm: 20 },
      holder: {
        kind: 'top',
        boardId: 'ply-18',
        joint: 'butt',
        seatMm: 10,
        playMm: 0.5,
        depthMm: 90,
        bottomBoardId: 'ply-6',
        // What the top leaves of a reel of 5 m.
        underMm: 4350,
      },
    },
  ],
};

/** Demo panels by the name that the command line takes. */
export const edgeLitDemos = {
  'quiet-room': quietRoom,
  'hat-mirror': hatMirror,
  'counter-top': counterTop,
} as const satisfies Readonly<Record<string, PanelDesign>>;

/** What a new panel is asked. */
export const edgeLitSizes = [
  { id: 'widthMm', label: 'Width', hint: 'of the sheet', usualMm: 240, leastMm: 60, mostMm: 2000 },
  { id: 'heightMm', label: 'Height', hint: 'of the sheet', usualMm: 160, leastMm: 60, mostMm: 1200 },
] as const satisfies readonly SizeQuestion[];

/** Width of a capital with its gap, in cap heights. */
const letterAdvance = 0.82;
/** Lines that cover this share keep light for the far end of a panel of usual size; typical. */
const lightFill = 0.4;

/** A base holds sheets up to this size; larger ones are framed, lit from below and from above (mm). */
const [widestInBaseMm, highestInBaseMm] = [900, 350] as const;
/** Sheets are sold up to this size without asking for the largest (mm). */
const [usualLongMm, usualHighMm] = [1200, 600] as const;

/** What works the artwork, by how wide that is: each reaches so far, and makes lines so wide (mm). */
const engraverFor = (widthMm: number): { readonly toolId: string; readonly lineMm: number } => {
  if (widthMm < 850) return { toolId: 'engrave-beam', lineMm: 0.2 };
  return widthMm < 1150 ? { toolId: 'engrave-bit', lineMm: 0.4 } : { toolId: 'engrave-hand', lineMm: 0.8 };
};

/** A panel to start from: letters to fill it, in a base deep enough to stand, or framed where it is large. */
export const newEdgeLit = ({ name, text, readingDistanceMm, sizesMm }: NewJobAnswers): PanelDesign => {
  const { widthMm = edgeLitSizes[0].usualMm, heightMm = edgeLitSizes[1].usualMm } = sizesMm;
  const lines = text.split('\n');
  const longest = Math.max(1, ...lines.map((line) => line.length));
  const cap = Math.max(
    2,
    Math.round(Math.min((widthMm * 0.75) / (longest * letterAdvance), ((heightMm - 14) * 0.45) / lines.length)),
  );
  const panel = panelOf(quietRoom);
  const framed = widthMm > widestInBaseMm || heightMm > highestInBaseMm;
  const isLarge = Math.max(widthMm, heightMm) > usualLongMm || Math.min(widthMm, heightMm) > usualHighMm;
  const { toolId, lineMm } = engraverFor(cap * longest * letterAdvance);
  const thicknessMm = framed ? 8 : 6;
  const held = { widthMm, heightMm, thicknessMm, stripWidthMm: 5, stripHeightMm: 1.6, gapMm: 0.5 };
  return {
    ...quietRoom,
    name,
    brief: { ...panelStart.brief, text, readingDistanceMm, place: framed ? 'wall' : 'counter' },
    power: panelStart.power,
    assemblies: [
      {
        ...panel,
        artwork: {
          ...panel.artwork,
          capHeightMm: cap,
          // What stands in the slot of a base is not seen.
          offsetYMm: framed ? 0 : 7,
          toolId,
          fill: 'hatch',
          spacingMm: lineMm / lightFill,
        },
        sheet: {
          paneId: `clear-acrylic-${thicknessMm}${isLarge ? '-large' : ''}`,
          widthMm,
          heightMm,
          cornerMm: framed ? 0 : Math.min(6, widthMm / 10, heightMm / 10),
        },
        light: { ...panel.light, edges: framed ? ['bottom', 'top'] : ['bottom'] },
        holder: framed ? usualFrame(held) : usualBase(held),
        ...(framed ? { hanging: frameHanging('wall') } : {}),
      },
    ],
  };
};
