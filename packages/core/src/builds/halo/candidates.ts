import { fieldsIn } from '../../judging/results/index.js';
import { set } from '../../document/design/index.js';
import { cutsThrough, type Catalogue } from '../../document/catalogue/index.js';
import type { HaloResults } from './results.js';
import type { Candidate, Remedy } from '../../judging/findings/index.js';
import { wholeSteps } from '../letters/candidates.js';

const standoffs = (results: HaloResults, list: readonly number[]): readonly Candidate[] =>
  list.map((value) => ({
    label: `Stand ${value} mm off the wall`,
    change: [set(fieldsIn(results).letters.standoffMm, value)],
  }));

/** Farther off the wall, to three times as far. */
export const standFarther = (results: HaloResults): Remedy => {
  const { standoffMm } = results.assembly.letters;
  return {
    id: 'farther',
    candidates: standoffs(results, wholeSteps(standoffMm, Math.min(200, 3 * standoffMm), 8)),
  };
};
/** Nearer to the wall, to a third. */
export const standNearer = (results: HaloResults): Remedy => {
  const { standoffMm } = results.assembly.letters;
  return {
    id: 'nearer',
    candidates: standoffs(results, wholeSteps(standoffMm, Math.max(6, standoffMm / 3), 6)),
  };
};

/** Boards for letters by a measure, the smallest first. */
export const otherBoards = (
  results: HaloResults,
  catalogue: Catalogue,
  wanted: (board: Catalogue['boards'][number]) => boolean,
  by: (board: Catalogue['boards'][number]) => number,
): Remedy => ({
  id: 'other-board',
  candidates: catalogue.boards
    .filter((board) => board.uses.includes('letter') && wanted(board))
    .sort((a, b) => by(a) - by(b))
    .map((board) => {
      const { id, name } = board;
      const cuts = (tool: Catalogue['tools'][number]): boolean => cutsThrough(tool, board);
      // What is cut now may be printed then, and the other way round.
      const other = cuts(results.materials.tool) ? undefined : catalogue.tools.find(cuts);
      return {
        label: `Letters of ${name.toLowerCase()}`,
        change: [
          set(fieldsIn(results).letters.boardId, id),
          ...(other === undefined ? [] : [set(fieldsIn(results).artwork.toolId, other.id)]),
        ],
      };
    }),
});

/** A finish on the backs where they have none, the cheapest first. */
export const finishBacks = (results: HaloResults, { linings }: Catalogue): Remedy => ({
  id: 'finish-backs',
  candidates: linings
    .filter(({ kgPerM2 }) => kgPerM2 > 0)
    .sort((a, b) => a.price - b.price)
    .map(({ id, name }) => ({
      label: `${name} on the backs`,
      change: [set(fieldsIn(results).letters.backFinishId, id)],
    })),
});
