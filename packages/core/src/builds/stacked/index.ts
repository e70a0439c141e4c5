import type { FieldRef } from '../../document/design/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import type { Build } from '../common/build.js';
import { closedSoakPoints } from '../common/soak-points.js';
import { newStacked, stackedDemos, stackedSizes } from './demos.js';
import { stackedHanging } from './hung.js';
import type { StackedLaid, StackedResults } from './results.js';
import { loopHeights } from './runs.js';
import { stackedSchema, type StackedAssembly } from './schema.js';
import { stackedSectionAt } from './section.js';
import { stackedWork } from './work.js';

/** The handle of the slice stands so far in from the strip (mm). */
const beforeStripMm = 30;

/** Plates of any outline stacked on each other: a base, rings of which some glow at their edge, a lid with letters let in. */
export const stacked: Build<StackedAssembly, StackedLaid, StackedResults, typeof stackedDemos> = {
  name: 'stacked',
  words: {
    name: 'Stacked plates',
    detail: 'plates glued on each other, letters let into the lid, a band that glows at the edge',
    sizesAsk: 'How large are the plates?',
  },
  schema: stackedSchema,
  migrations: {},
  sizes: stackedSizes,
  otherArtwork: ({ plates }) => [{ path: 'plates.drawing', drawing: plates.drawing }],
  work: stackedWork,
  start: newStacked,
  sectionAt: ({ geometry, materials, lid, runs }, x) => stackedSectionAt(x, geometry, materials, lid, runs),
  cones: () => [],
  depth: (results) => {
    const { geometry, assembly, materials } = results;
    const heights = loopHeights(geometry, assembly.light, materials.strip.widthMm);
    return {
      // Left out it is as low as the strip goes; dragged it is a length.
      field: fieldsIn(results).light.fromBaseMm as FieldRef<number>,
      label: 'Strip from the base',
      // Beside the strip at the top of the slice.
      at: { fromZMm: 0, yMm: geometry.bounds.y + geometry.bounds.height - geometry.wallMm - beforeStripMm },
      mm: Math.round(10 * ((heights[0]! + heights.at(-1)!) / 2)) / 10,
      leastMm: geometry.stripMm / 2,
      mostMm: Math.max(geometry.stripMm / 2, geometry.roomMm - geometry.stripMm / 2),
    };
  },
  hanging: () => stackedHanging,
  soakPoints: closedSoakPoints,
  meterSpot: {
    title: 'Luminance of the letters',
    how: 'Meter on wide strokes, the room dark; the mean of five places.',
  },
  tryout: null,
  demos: stackedDemos,
};
