import type { DesignOf } from '../../document/design/index.js';
import { letterSizes } from '../letters/sizes.js';
import { onTheWall } from '../common/on-the-wall.js';
import type { NewJobAnswers } from '../common/build.js';
import type { HaloAssembly } from './schema.js';

const usualPower = { supplyId: 'auto', supplyCount: 1, wireId: 'auto', headroomShare: 0.2, feed: 'both-ends' } as const;

/** Six letters for the ferry’s ticket hall, 1500 mm long, 20 mm off a white wall. */
export const curlew: DesignOf<HaloAssembly> = {
  format: 'vitrum-design',
  version: 2,
  name: 'Curlew letters',
  brief: {
    text: 'CURLEW',
    place: 'wall',
    exposure: 'indoors',
    ambient: 'shop',
    readingDistanceMm: 4000,
    hoursPerDay: 14,
    light: { kind: 'white', cctK: 3000 },
    leadExit: 'left',
    leadLengthMm: 3000,
    quantity: 1,
    budget: 900,
    outsideQuote: 1250,
  },
  assemblies: [
    {
      id: 'letters',
      build: 'halo',
      place: onTheWall,
      artwork: {
        fontId: 'overpass-black',
        capHeightMm: 252,
        lineSpacing: 1.4,
        tracking: 0.03,
        align: 'centre',
        toolId: 'bit-3',
      },
      letters: {
        form: 'plate',
        boardId: 'ply-12',
        colour: '#20344a',
        depthMm: 30,
        wallMm: 1.5,
        back: 'open',
        backFinishId: 'matt-white',
        standoffMm: 20,
        wallId: 'white-wall',
      },
      posts: { diameterMm: 6, perPostKg: 1 },
      light: {
        stripId: 'zigzag-12v-120',
        layout: 'outline',
        standing: false,
        setbackMm: 6,
        lineCount: 1,
        linePitchMm: 20,
      },
    },
  ],
  power: { ...usualPower, level: 0.5 },
};

/** Halo letters to start from: plates, strip along the outline, as far off the wall as suits their height. */
export const newHalo = ({ name, text, readingDistanceMm, sizesMm }: NewJobAnswers): DesignOf<HaloAssembly> => {
  const { capHeightMm = letterSizes[0].usualMm } = sizesMm;
  const [assembly] = curlew.assemblies;
  return {
    ...curlew,
    name,
    brief: { ...curlew.brief, text, readingDistanceMm, hoursPerDay: 10, budget: null, outsideQuote: null },
    power: usualPower,
    assemblies: [
      {
        ...assembly!,
        artwork: { ...assembly!.artwork, capHeightMm },
        letters: {
          ...assembly!.letters,
          standoffMm: Math.round(Math.min(40, Math.max(12, capHeightMm / 12))),
        },
        light: { ...assembly!.light, setbackMm: Math.round(Math.min(14, Math.max(4, capHeightMm / 24))) },
      },
    ],
  };
};

/** Demo designs by the name that the command line takes. */
export const haloDemos = { curlew } as const;
