import { only } from '../../only.js';
import { memoizeLast } from '../../../base/maths/index.js';
import { canCones } from '../../../builds/face-lit/cones.js';
import { tern } from '../../../builds/face-lit/demos.js';
import { faceLit } from '../../../builds/face-lit/index.js';
import type { FaceLitLaid, FaceLitResults } from '../../../builds/face-lit/results.js';
import type { FaceLitAssembly } from '../../../builds/face-lit/schema.js';
import type { Build, SizeQuestion } from '../../../builds/common/build.js';
import type { DesignOf } from '../../../document/design/index.js';
import { fieldsIn, type AssemblyResults } from '../../../judging/results/index.js';
import { litDiscSchema, type LitDiscAssembly } from './schema.js';

/** What is found for a lit disc: what is found for letters of its shape. */
export interface LitDiscResults extends AssemblyResults<LitDiscAssembly> {
  readonly build: 'lit-disc';
  readonly lettering: FaceLitResults['lettering'];
  readonly materials: FaceLitResults['materials'];
  readonly geometry: FaceLitResults['geometry'];
  readonly runs: FaceLitResults['runs'];
  readonly glow: FaceLitResults['glow'];
  readonly stack: FaceLitResults['stack'];
  readonly returns: FaceLitResults['returns'];
  readonly jumpers: FaceLitResults['jumpers'];
}

const corners = 72;
const can = only(tern.assemblies);

const roundRing = (radiusMm: number): readonly number[] =>
  Array.from({ length: corners }, (_, corner) => (corner * 2 * Math.PI) / corners).flatMap((angle) => [
    radiusMm * Math.cos(angle),
    radiusMm * Math.sin(angle),
  ]);

/** A disc as the one letter that it is. */
const asLetter = ({ disc, light, face, artwork, id, place }: LitDiscAssembly): FaceLitAssembly => ({
  ...can,
  id,
  place,
  artwork: { ...artwork, drawing: { name: 'disc', rings: [[...roundRing(disc.diameterMm / 2)]], scale: 1 } },
  cans: { ...can.cans, depthInsideMm: disc.depthInsideMm },
  light: { ...light, standing: false },
  face: { ...face },
});

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

type Can = Omit<FaceLitResults, 'cut' | 'bought' | 'packing'>;

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
  stages: (...shop) => {
    const stages = faceLit.stages(...shop);
    const letterOf = memoizeLast(asLetter);
    const asCan = (results: Omit<LitDiscResults, 'cut' | 'bought' | 'packing'>): Can => ({
      ...results,
      build: 'face-lit',
      assembly: letterOf.run(results.assembly),
    });
    return {
      lay: (brief, power, assembly) => stages.lay(brief, power, letterOf.run(assembly)),
      light: (brief, power, assembly, laid, wired) => stages.light(brief, power, letterOf.run(assembly), laid, wired),
      parts: (results) => stages.parts(asCan(results)),
      steps: (results) => stages.steps({ ...asCan(results), cut: results.cut, bought: results.bought }),
      recomputed: stages.recomputed,
    };
  },
  rules: [],
  seeds: () => [],
  lessStrip: (results) => faceLit.lessStrip(asWhole(results)),
  figures: (results) => faceLit.figures(asWhole(results)),
  sectionAt: (results, xMm) => faceLit.sectionAt(asWhole(results), xMm),
  cones: (results, section, spread) => canCones(asWhole(results), section, spread),
  depth: (results) => ({
    field: fieldsIn(results).disc.depthInsideMm,
    label: 'Depth inside',
    mm: results.geometry.depthInsideMm,
    leastMm: 20,
    mostMm: 200,
  }),
  front: (results) => faceLit.front(asWhole(results)),
  templates: () => ({}),
  solids: () => [],
  cutByTool: faceLit.cutByTool,
  soakPoints: faceLit.soakPoints,
  trace: null,
  tryout: null,
  demos: {},
};

const asWhole = (results: LitDiscResults): FaceLitResults => ({
  ...results,
  build: 'face-lit',
  assembly: asLetter(results.assembly),
});
