import { fieldsIn } from '../../judging/results/index.js';
import type { Build } from '../common/build.js';
import { openSoakPoints } from '../common/soak-points.js';
import { panelCones } from './cones.js';
import { edgeLitDemos, edgeLitSizes, newEdgeLit } from './demos.js';
import { panelHanging } from './hung.js';
import { lowerFirst } from './section.js';
import type { PanelLaid, PanelResults } from './results.js';
import { edgeLitSchema, type EdgeLitAssembly } from './schema.js';
import { edgeLitWork } from './work.js';

/** The handle stands so far behind the strip (mm). */
const besideMm = 5;

/** Where the strip is dragged off the middle of the sheet. */
const edgeInSlice = ({ geometry: { sheet, thicknessMm, bedMm }, assembly }: PanelResults) => ({
  fromZMm: thicknessMm / 2,
  // Beside the strip, not on it.
  yMm: lowerFirst(assembly.light) ? sheet.y - bedMm - besideMm : sheet.y + sheet.height + bedMm + besideMm,
});

/** A clear sheet that lets light out where it is engraved. */
export const edgeLit: Build<EdgeLitAssembly, PanelLaid, PanelResults, typeof edgeLitDemos> = {
  name: 'edge-lit',
  words: {
    name: 'Edge-lit panel',
    detail: 'a clear sheet that shines where it is engraved, lit from its edge',
    sizesAsk: 'How large is the sheet?',
  },
  schema: edgeLitSchema,
  migrations: {},
  sizes: edgeLitSizes,
  otherArtwork: ({ areas = [], sheet }) => [
    ...areas.map(({ text, drawing, photo }, at) => ({
      path: `areas.${at}`,
      // A photograph takes the place of what it would say.
      ...(photo ? {} : { text: text ?? '', drawing }),
    })),
    { path: 'sheet.outline', drawing: sheet.outline },
  ],
  work: edgeLitWork,
  start: newEdgeLit,
  // A panel is the same all along, but for its artwork.
  sectionAt: ({ section }) => section,
  cones: (results, _, spread) => panelCones(results, spread),
  depth: (results) => ({
    field: fieldsIn(results).light.offsetMm,
    label: 'Off the middle',
    mm: results.assembly.light.offsetMm,
    leastMm: -10,
    mostMm: 10,
    stepMm: 0.1,
    at: edgeInSlice(results),
  }),
  hanging: panelHanging,
  soakPoints: openSoakPoints,
  meterSpot: {
    title: 'Luminance of the worked parts',
    how: 'Meter close to what is worked, the room dark; the mean of five places.',
  },
  tryout: null,
  demos: edgeLitDemos,
};
