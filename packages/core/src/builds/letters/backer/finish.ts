import type { Bond, Surface } from '../../../making/finishing/index.js';
import type { Backer } from './backer.js';

/** What of a backer is painted: its front and edges, and the outer sides of a box. */
export const backerSurfaces = (backer: Backer | null): readonly Surface[] => {
  if (backer === null) return [];
  const { rect, boards, depthMm } = backer;
  const { board } = boards;
  return [
    {
      id: 'backer',
      name: backer.design.kind === 'box' ? 'clad box' : 'backer',
      stuff: board.stuff,
      m2: (rect.width * rect.height + 2 * (rect.width + rect.height) * depthMm) / 1e6,
      turned: false,
      masked: null,
      showsGrain: board.showsGrain === true,
      comesFinished: board.stuff === 'composite' || board.stuff === 'acrylic',
      fixed: null,
    },
  ];
};

/** What of a clad box is glued: its cladding to its sides. */
export const backerBonds = (backer: Backer | null): readonly Bond[] =>
  backer === null || backer.members.length === 0
    ? []
    : [
        {
          id: 'cladding',
          what: 'cladding to its box',
          between: [backer.boards.board.stuff, backer.boards.frame.stuff],
          mm: 2 * (backer.rect.width + backer.rect.height),
          fine: false,
        },
      ];
