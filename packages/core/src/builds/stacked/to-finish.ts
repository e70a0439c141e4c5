import { outlineArea, ringLength } from '../../base/outlines/index.js';
import { sum } from '../../base/maths/index.js';
import type { ToFinish } from '../../making/finishing/index.js';
import { liningSurface } from '../common/lining-surface.js';
import type { StackedResults } from './results.js';

/** What of stacked plates is painted, and what is glued. */
export const stackedToFinish = ({
  geometry,
  materials,
  lid,
}: Pick<StackedResults, 'geometry' | 'materials' | 'lid'>): ToFinish => {
  const { outline, inside, rings, baseMm, lidMm } = geometry;
  const roundMm = sum(outline.map(ringLength));
  const opaqueMm = baseMm + lidMm + sum(rings.filter((ring) => !ring.glows).map(({ stock }) => stock.thicknessMm));
  const insideMm = sum(inside.map(ringLength));
  const roomM2 = Math.abs(outlineArea(inside)) / 1e6;
  const board = materials.lid;
  const glowing = rings.filter((ring) => ring.glows);
  return {
    surfaces: [
      {
        id: 'front',
        name: 'lid and opaque edges',
        stuff: board.stuff,
        m2: Math.abs(outlineArea(lid.solid)) / 1e6 + (roundMm * opaqueMm) / 1e6,
        turned: false,
        masked: glowing.length > 0 ? 'the glowing edges and the letters' : 'the letters',
        showsGrain: board.showsGrain,
        comesFinished: board.stuff === 'composite' || board.stuff === 'acrylic',
        fixed: null,
      },
      ...liningSurface(
        materials.lining,
        2 * roomM2 + (insideMm * sum(rings.filter((ring) => !ring.glows).map(({ stock }) => stock.thicknessMm))) / 1e6,
        board.stuff,
        'inside, all but what glows',
      ),
    ],
    bonds: [
      // Ring on ring, and the lid on the last; the base is screwed.
      ...rings.map((ring, at) => {
        const over = rings[at + 1]?.stock ?? board;
        return {
          id: `ring-${ring.index + 1}`,
          what: at === rings.length - 1 ? 'the lid on the last ring' : `ring ${at + 2} on ring ${at + 1}`,
          between: [ring.stock.stuff, over.stuff] as const,
          mm: 2 * roundMm,
          fine: ring.glows || rings[at + 1]?.glows === true,
        };
      }),
      ...(lid.inlay === null
        ? []
        : [
            {
              id: 'letters',
              what: 'letters in their pockets',
              between: [lid.inlay.stock.stuff, board.stuff] as const,
              mm: sum(lid.pockets.map(ringLength)),
              fine: true,
            },
          ]),
    ],
    shutsIn: false,
  };
};
