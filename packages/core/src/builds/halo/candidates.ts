import type { Catalogue } from '../../document/catalogue/index.js';
import type { HaloResults } from '../../sign/evaluate/types.js';
import type { Candidate, Remedy } from '../../judging/findings/index.js';
import { wholeSteps } from '../letters/candidates.js';

const at = 'assemblies.0';

const standoffs = (list: readonly number[]): readonly Candidate[] =>
  list.map((value) => ({
    label: `Stand ${value} mm off the wall`,
    change: [{ path: `${at}.letters.standoffMm`, value }],
  }));

/** Farther off the wall, to three times as far. */
export const standFarther = ({ assembly }: HaloResults): Remedy => ({
  id: 'farther',
  candidates: standoffs(wholeSteps(assembly.letters.standoffMm, Math.min(200, 3 * assembly.letters.standoffMm), 8)),
});
/** Nearer to the wall, to a third. */
export const standNearer = ({ assembly }: HaloResults): Remedy => ({
  id: 'nearer',
  candidates: standoffs(wholeSteps(assembly.letters.standoffMm, Math.max(6, assembly.letters.standoffMm / 3), 6)),
});

/** Boards for letters by a measure, the smallest first. */
export const otherBoards = (
  catalogue: Catalogue,
  wanted: (board: Catalogue['boards'][number]) => boolean,
  by: (board: Catalogue['boards'][number]) => number,
): Remedy => ({
  id: 'other-board',
  candidates: catalogue.boards
    .filter((board) => board.uses.includes('letter') && wanted(board))
    .sort((a, b) => by(a) - by(b))
    .map(({ id, name }) => ({
      label: `Letters of ${name.toLowerCase()}`,
      change: [{ path: `${at}.letters.boardId`, value: id }],
    })),
});
