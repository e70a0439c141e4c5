import type { DesignOf } from '../../document/design/index.js';
import { letterSizes } from '../letters/sizes.js';
import { onTheWall } from '../common/on-the-wall.js';
import type { NewJobAnswers } from '../common/build.js';
import type { FaceLitAssembly } from './schema.js';

const usualPower = { supplyId: 'auto', supplyCount: 1, wireId: 'auto', headroomShare: 0.2, feed: 'both-ends' } as const;

/** Amber letters over the door of the harbour café. */
export const tern: DesignOf<FaceLitAssembly> = {
  format: 'vitrum-design',
  version: 2,
  name: 'Tern café letters',
  brief: {
    text: 'TERN',
    place: 'wall',
    exposure: 'indoors',
    ambient: 'overcast',
    readingDistanceMm: 5000,
    hoursPerDay: 9,
    light: { kind: 'white', cctK: 3000 },
    leadExit: 'left',
    leadLengthMm: 2500,
    quantity: 1,
    budget: null,
    outsideQuote: 780,
  },
  assemblies: [
    {
      id: 'letters',
      build: 'face-lit',
      place: onTheWall,
      artwork: {
        fontId: 'overpass-black',
        capHeightMm: 300,
        lineSpacing: 1.4,
        tracking: 0.08,
        align: 'centre',
        toolId: 'bit-3',
      },
      cans: {
        returnBoardId: 'aluminium-2',
        wallMm: 1,
        backBoardId: 'composite-3',
        depthInsideMm: 60,
        liningId: 'matt-white',
        colour: '#2b2f33',
        fit: 'trimmed',
        playMm: 0.5,
      },
      light: {
        stripId: 'zigzag-12v-120',
        layout: 'outline',
        setbackMm: 12,
        lineCount: 1,
        linePitchMm: 40,
      },
      face: { sheetId: 'opal-3' },
    },
  ],
  power: { ...usualPower, level: 0.6 },
};

/** Face-lit letters to start from: strip along the middle of the strokes, as deep as suits their height. */
export const newFaceLit = ({ name, text, readingDistanceMm, sizesMm }: NewJobAnswers): DesignOf<FaceLitAssembly> => {
  const { capHeightMm = letterSizes[0].usualMm } = sizesMm;
  const [assembly] = tern.assemblies;
  const { brief } = tern;
  return {
    ...tern,
    name,
    brief: {
      ...brief,
      text,
      readingDistanceMm,
      ambient: 'shop',
      light: { kind: 'white', cctK: 4000 },
      outsideQuote: null,
    },
    power: usualPower,
    assemblies: [
      {
        ...assembly!,
        artwork: { ...assembly!.artwork, capHeightMm },
        cans: { ...assembly!.cans, depthInsideMm: Math.round(Math.min(120, Math.max(30, capHeightMm / 4))) },
        light: { ...assembly!.light, stripId: 'zigzag-12v-120', setbackMm: 4 },
      },
    ],
  };
};

/** Demo designs by the name that the command line takes. */
export const faceLitDemos = { tern } as const;
