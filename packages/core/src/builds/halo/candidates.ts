import type { Catalogue } from '../../catalogue/index.js';
import type { HaloResults } from '../../evaluate/types.js';
import type { Candidate, Remedy } from '../../findings/index.js';

const at = 'assemblies.0';

const standoffs = (list: readonly number[]): readonly Candidate[] =>
  list.map((value) => ({
    label: `Stand ${value} mm off the wall`,
    change: [{ path: `${at}.letters.standoffMm`, value }],
  }));

const wholeSteps = (from: number, to: number, count: number): readonly number[] =>
  [
    ...new Set(Array.from({ length: count }, (_, step) => Math.round(from + ((to - from) * (step + 1)) / count))),
  ].filter((value) => value !== Math.round(from));

/** Farther off the wall, to three times as far; or nearer, to a third. */
export const standFarther = ({ assembly }: HaloResults): Remedy => ({
  id: 'farther',
  candidates: standoffs(wholeSteps(assembly.letters.standoffMm, Math.min(200, 3 * assembly.letters.standoffMm), 8)),
});
export const standNearer = ({ assembly }: HaloResults): Remedy => ({
  id: 'nearer',
  candidates: standoffs(wholeSteps(assembly.letters.standoffMm, Math.max(6, assembly.letters.standoffMm / 3), 6)),
});

const setbacks = (list: readonly number[]): readonly Candidate[] =>
  list.map((value) => ({
    label: `Strip ${value} mm from the edge`,
    change: [{ path: `${at}.light.setbackMm`, value }],
  }));

/** Strip farther in from the edge, or closer to it. */
export const setFartherIn = ({ assembly }: HaloResults): Remedy => ({
  id: 'farther-in',
  candidates: setbacks(wholeSteps(assembly.light.setbackMm, 2 * assembly.light.setbackMm + 8, 6)),
});
export const setCloser = ({ assembly }: HaloResults): Remedy => ({
  id: 'closer',
  candidates: setbacks(wholeSteps(assembly.light.setbackMm, 2, 6).filter((mm) => mm < assembly.light.setbackMm)),
});

/** One line of strip more, two more, three; or fewer. */
export const addLines = ({ assembly }: HaloResults): Remedy => ({
  id: 'add-lines',
  candidates: [1, 2, 3].map((more) => ({
    label: `${assembly.light.lineCount + more} lines of strip`,
    change: [{ path: `${at}.light.lineCount`, value: Math.min(20, assembly.light.lineCount + more) }],
  })),
});
export const dropLines = ({ assembly }: HaloResults): Remedy => ({
  id: 'drop-lines',
  candidates: Array.from({ length: assembly.light.lineCount - 1 }, (_, fewer) => {
    const count = assembly.light.lineCount - fewer - 1;
    return {
      label: count === 1 ? 'One line of strip' : `${count} lines of strip`,
      change: [{ path: `${at}.light.lineCount`, value: count }],
    };
  }),
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
