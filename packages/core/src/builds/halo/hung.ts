import type { HungBody } from '../../making/hanging/index.js';
import type { Hanging } from '../common/build.js';
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
}: Omit<HaloResults, 'packing' | 'hang' | 'finishing'>): readonly HungBody[] =>
  hungLetters(
    fromLeft(posts).map(({ outline, posts: own }) => ({ outline, fixedAt: own.map(({ at }) => at) })),
    cut,
    bought,
    geometry.frontZMm - geometry.rearZMm,
  );

/** Posts hold them off the wall, and are placed by the build. */
export const haloHanging = ({ letters }: HaloAssembly): Hanging => ({
  ways: [],
  usual: 'posts',
  standsOffMm: letters.standoffMm,
});
