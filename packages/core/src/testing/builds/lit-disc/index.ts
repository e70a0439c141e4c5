import { only } from '../../only.js';
import { canCones } from '../../../builds/face-lit/cones.js';
import { tern } from '../../../builds/face-lit/demos.js';
import { faceLit } from '../../../builds/face-lit/index.js';
import type { FaceLitLaid } from '../../../builds/face-lit/results.js';
import type { Build, SizeQuestion } from '../../../builds/common/build.js';
import type { DesignOf } from '../../../document/design/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { asWhole, can, type LitDiscResults } from './as-letter.js';
import { litDiscSchema, type LitDiscAssembly } from './schema.js';
import { litDiscWork } from './work.js';

export type { LitDiscResults } from './as-letter.js';

const sizes = [
  { id: 'diameterMm', label: 'Diameter', usualMm: 300, leastMm: 60, mostMm: 2000 },
] as const satisfies readonly SizeQuestion[];

const { text: _, drawing: __, ...plainArtwork } = can.artwork;

const shown: DesignOf<LitDiscAssembly> = {
  ...tern,
  name: 'Lit disc',
  brief: { ...tern.brief, text: 'O', ambient: 'evening' },
  assemblies: [
    {
      id: 'disc',
      build: 'lit-disc',
      place: can.place,
      artwork: plainArtwork,
      disc: { diameterMm: 300, depthInsideMm: 70 },
      light: { stripId: 'zigzag-12v-120', layout: 'rows', setbackMm: 25, lineCount: 1, linePitchMm: 45 },
      face: { sheetId: 'opal-3' },
    },
  ],
};

/** A build that stands nowhere but here: what a new one takes, in one folder. */
export const litDisc: Build<LitDiscAssembly, FaceLitLaid, LitDiscResults> = {
  name: 'lit-disc',
  words: { name: 'Lit disc', detail: 'a round case with a glowing face', sizesAsk: 'How large is it?' },
  schema: litDiscSchema,
  migrations: {},
  sizes,
  start: ({ name, text, readingDistanceMm, sizesMm }) => ({
    ...shown,
    name,
    brief: { ...shown.brief, text, readingDistanceMm },
    assemblies: [
      { ...only(shown.assemblies), disc: { ...only(shown.assemblies).disc, diameterMm: sizesMm['diameterMm'] ?? 300 } },
    ],
  }),
  work: litDiscWork,
  sectionAt: (results, xMm) => faceLit.sectionAt(asWhole(results), xMm),
  cones: (results, section, spread) => canCones(asWhole(results), section, spread),
  depth: (results) => ({
    field: fieldsIn(results).disc.depthInsideMm,
    label: 'Depth inside',
    mm: results.geometry.depthInsideMm,
    leastMm: 20,
    mostMm: 200,
  }),
  hanging: () => faceLit.hanging(can),
  soakPoints: faceLit.soakPoints,
  meterSpot: faceLit.meterSpot,
  tryout: null,
  demos: {},
};
