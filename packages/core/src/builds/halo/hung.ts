import type { BeforeHanging } from '../../judging/results/index.js';
import type { HungBody } from '../../making/hanging/index.js';
import type { Hanging } from '../common/build.js';
import { backerOf } from '../letters/backer/backer.js';
import { backerHanging, hungBacker } from '../letters/backer/hung-backer.js';
import { hungLetters } from '../letters/hung.js';
import { fromLeft } from '../letters/parts.js';
import type { HaloResults } from './results.js';
import type { HaloAssembly } from './schema.js';

/** Halo letters hang one by one, on their posts. */
export const haloHung = ({
  posts,
  cut,
  bought,
  geometry,
  assembly,
  materials,
}: BeforeHanging<HaloResults>): readonly HungBody[] => {
  const backer = backerOf(
    assembly.backer,
    materials.backer,
    posts.flatMap(({ outline }) => outline),
  );
  const letters = hungLetters(
    fromLeft(posts).map(({ outline, posts: own }) => ({ outline, fixedAt: own.map(({ at }) => at) })),
    cut,
    bought,
    geometry.frontZMm - geometry.rearZMm,
  );
  // On a backer they stand off it by their posts.
  return backer === null
    ? letters
    : [
        hungBacker(
          backer,
          letters.map((each) => ({
            ...each,
            depthMm: geometry.frontZMm,
            centre: [each.centre[0], each.centre[1], each.centre[2] + geometry.rearZMm],
          })),
          cut,
        ),
      ];
};

/** Posts hold them off the wall, and are placed by the build. */
export const haloHanging = ({ letters, backer }: HaloAssembly): Hanging =>
  backer === null || backer === undefined
    ? { ways: [], usual: 'posts', standsOffMm: letters.standoffMm }
    : backerHanging;
