import { fieldsIn } from '../../judging/results/index.js';
import { boxHanging } from '../boxes/hung.js';
import type { Build } from '../common/build.js';
import { closedSoakPoints } from '../common/soak-points.js';
import { layersDemos, layersSizes, newLayers } from './demos.js';
import type { LayersLaid, LayersResults } from './results.js';
import { layersSchema, type LayersAssembly } from './schema.js';
import { withSheets } from './section.js';
import { layersWork } from './work.js';

/** Sheets cut out and held apart in a shallow box that is lit from its rim. */
export const layers: Build<LayersAssembly, LayersLaid, LayersResults, typeof layersDemos> = {
  name: 'layers',
  words: {
    name: 'Layered scene',
    detail: 'cut-out sheets one behind the other on spacers, lit from the rim of a shallow box',
    sizesAsk: 'How large is the box?',
  },
  schema: layersSchema,
  migrations: {},
  sizes: layersSizes,
  otherArtwork: ({ scene }) => scene.sheets.map(({ drawing }, at) => ({ path: `scene.sheets.${at}.drawing`, drawing })),
  work: layersWork,
  start: newLayers,
  sectionAt: ({ caseSection, scene, geometry, materials, bands }, x) =>
    withSheets(caseSection, scene, geometry, materials.trim, bands, materials.strip, x),
  cones: () => [],
  depth: (results) => ({
    field: fieldsIn(results).case.depthInsideMm,
    label: 'Depth inside',
    mm: results.geometry.inside.depthMm,
    leastMm: 8,
    mostMm: 1000,
  }),
  hanging: boxHanging,
  soakPoints: closedSoakPoints,
  meterSpot: {
    title: 'Luminance of the whole scene',
    how: 'Meter from the reading distance, the room dark; the mean of five places.',
  },
  tryout: null,
  demos: layersDemos,
};
