import { outlineBounds } from '../../base/outlines/index.js';
import type { Insides } from '../common/fits-inside.js';
import type { LetterResults } from './results.js';
import { meanStrokeMm } from './stroke.js';

/** Inside letters there is the width of a stroke, as long as the letters are high; what each build leaves of their depth. */
export const letterInsides = <Results extends LetterResults>(
  depthMm: (results: Results) => number,
  access: (results: Results) => string | null,
): Insides<Results> => ({
  room: (results) => ({
    widthMm: outlineBounds(results.lettering.outline)?.height ?? 0,
    heightMm: meanStrokeMm(results),
    depthMm: depthMm(results),
    // Nothing is seen of it behind a back or a closed letter; in a lit can it would shade the face.
    covered: results.runs.segments.every(({ normal }) => normal[2] < 0),
  }),
  access,
  remedies: () => [],
});
