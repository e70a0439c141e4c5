import { fieldsIn } from '../../judging/results/index.js';
import type { Build } from '../common/build.js';
import { openSoakPoints } from '../common/soak-points.js';
import { grooveCones } from './cones.js';
import { grooveDemos, grooveSizes, newGroove } from './demos.js';
import { grooveHanging } from './hung.js';
import type { GrooveLaid, GrooveResults } from './results.js';
import { roomBehind } from './room-behind.js';
import { grooveSchema, type GrooveAssembly } from './schema.js';
import { grooveSectionAt } from './section.js';
import { grooveWork } from './work.js';

/** From the wall to the rear of the carrier, below the groove that the slice shows. */
const behindInSlice = (results: GrooveResults) => {
  const { lowMm, highMm } = results.section.near ?? { lowMm: 0, highMm: 0 };
  const { rearZMm } = results.geometry;
  return {
    fromZMm: rearZMm + results.assembly.carrier.spacerMm - roomBehind(results),
    yMm: (lowMm + highMm) / 2,
  };
};

/** Strip, or a tube, pressed into a groove that draws the line. */
export const groove: Build<GrooveAssembly, GrooveLaid, GrooveResults, typeof grooveDemos> = {
  name: 'groove',
  words: {
    name: 'Lines in a groove',
    detail: 'strip or soft tube pressed into a routed board, drawing lines of light',
    sizesAsk: 'How large is the board?',
  },
  schema: grooveSchema,
  migrations: {},
  sizes: grooveSizes,
  otherArtwork: ({ carrier }) => [{ path: 'carrier.outline', drawing: carrier.outline }],
  work: grooveWork,
  start: newGroove,
  sectionAt: ({ geometry, assembly, materials }, x) => grooveSectionAt(x, geometry, assembly, materials),
  cones: grooveCones,
  depth: (results) => ({
    field: fieldsIn(results).carrier.spacerMm,
    label: 'Off the wall',
    mm: roomBehind(results),
    leastMm: 0,
    mostMm: 60,
    at: behindInSlice(results),
  }),
  hanging: grooveHanging,
  soakPoints: openSoakPoints,
  meterSpot: { title: 'Luminance of the lines', how: 'Meter close to a line, the room dark; the mean of five places.' },
  tryout: null,
  demos: grooveDemos,
};
