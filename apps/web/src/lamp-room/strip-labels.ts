import type { AssemblyEvaluation, Segment } from '@vitrum/core';
import { toScreen, type FrontView } from './front-view';
import type { Label } from './thinned';

/** Numbers stand this far above strings of modules, so as not to lie on one (px). */
const aboveModulesPx = 16;
/** Segments drawn with so few points are straight. */
const straightPoints = 2;

const middleOf = ({ path, from, to }: Segment): readonly [number, number] => {
  const half = path[path.length >> 1]!;
  return path.length <= straightPoints ? [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] : [half[0], half[1]];
};

/** Where the numbers of segments stand, in their order: discs in the middle of each. */
export const stripLabels = ({ runs, materials, label }: AssemblyEvaluation, view: FrontView): readonly Label[] => {
  const across = label === '' ? 21 : 25;
  return runs.segments.map((segment) => {
    const [x, y] = toScreen(view, ...middleOf(segment));
    return { x, y: y - (materials.strip.form === 'modules' ? aboveModulesPx : 0), width: across, height: across };
  });
};
