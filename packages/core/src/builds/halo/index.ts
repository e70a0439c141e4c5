import { fieldsIn } from '../../judging/results/index.js';
import { letterMigrations } from '../letters/migrations.js';
import { letterSizes } from '../letters/sizes.js';
import { haloHanging } from './hung.js';
import type { Build } from '../common/build.js';
import { openSoakPoints } from '../common/soak-points.js';
import { haloCones } from './cones.js';
import { haloDemos, newHalo } from './demos.js';
import type { HaloLaid, HaloResults } from './results.js';
import { haloSchema, type HaloAssembly } from './schema.js';
import { haloSectionAt } from './section.js';
import { haloWork } from './work.js';

/** Opaque letters held off a wall, lit from behind. */
export const halo: Build<HaloAssembly, HaloLaid, HaloResults, typeof haloDemos> = {
  name: 'halo',
  words: {
    name: 'Halo letters',
    detail: 'letters held off the wall, glowing on it',
    sizesAsk: 'How tall are the letters?',
  },
  schema: haloSchema,
  migrations: letterMigrations,
  sizes: letterSizes,
  work: haloWork,
  start: newHalo,
  sectionAt: ({ lettering, geometry, assembly, materials, runs, posts }, x) =>
    haloSectionAt(x, lettering.outline, geometry, assembly, materials, runs, posts),
  cones: haloCones,
  depth: (results) => ({
    field: fieldsIn(results).letters.standoffMm,
    label: 'Standoff',
    mm: results.geometry.standoffMm,
    leastMm: 4,
    mostMm: 200,
  }),
  hanging: haloHanging,
  soakPoints: openSoakPoints,
  meterSpot: {
    title: 'Luminance of the wall beside the letters',
    how: 'Meter on the wall a finger’s width from the outlines, the room dark; the mean of five places.',
  },
  tryout: null,
  demos: haloDemos,
};
