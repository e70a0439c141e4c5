import type { BeforeHanging } from '../../judging/results/index.js';
import { outlineArea, ringLength } from '../../base/outlines/index.js';
import { sum } from '../../base/maths/index.js';
import type { ToFinish } from '../../making/finishing/index.js';
import { backerOf } from '../letters/backer/backer.js';
import { backerBonds, backerSurfaces } from '../letters/backer/finish.js';
import { liningSurface } from '../common/lining-surface.js';
import type { HaloResults } from './results.js';

/** What of halo letters is painted, and what is glued. */
export const haloToFinish = ({ posts, geometry, materials, assembly }: BeforeHanging<HaloResults>): ToFinish => {
  const { board, backFinish } = materials;
  const m2 = sum(posts.map(({ outline }) => Math.abs(outlineArea(outline)))) / 1e6;
  const roundMm = sum(posts.flatMap(({ outline }) => outline.map(ringLength)));
  const edgesM2 = (roundMm * (geometry.frontZMm - geometry.rearZMm)) / 1e6;
  const backer = backerOf(
    assembly.backer,
    materials.backer,
    posts.flatMap(({ outline }) => outline),
  );
  return {
    surfaces: [
      {
        id: 'fronts',
        name: 'fronts and edges',
        stuff: board.stuff,
        m2: m2 + edgesM2,
        turned: false,
        masked: geometry.wallMm > 0 ? 'the backs' : 'the backs; plug the post holes',
        showsGrain: false,
        // Composite, acrylic and foam board are bought in their colour.
        comesFinished: board.stuff === 'composite' || board.stuff === 'acrylic',
        fixed: null,
      },
      ...backerSurfaces(backer),
      ...liningSurface(backFinish, m2, board.stuff, 'backs'),
    ],
    bonds: [
      {
        id: 'returns',
        what: 'returns to the fronts',
        between: [board.stuff, board.stuff],
        mm: geometry.wallMm > 0 && board.stuff !== 'printed' ? roundMm : 0,
        fine: true,
      },
      ...backerBonds(backer),
    ],
    shutsIn: false,
  };
};
