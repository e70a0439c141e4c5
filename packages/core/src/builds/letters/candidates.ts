import type { FaceLitResults, HaloResults } from '../../sign/evaluate/types.js';
import type { Candidate, Remedy } from '../../judging/findings/index.js';

/** Builds that lay strip in letters. */
type LetterResults = HaloResults | FaceLitResults;

const at = 'assemblies.0';

/** Whole millimetres from one length towards another, in so many steps. */
export const wholeSteps = (from: number, to: number, count: number): readonly number[] =>
  [
    ...new Set(Array.from({ length: count }, (_, step) => Math.round(from + ((to - from) * (step + 1)) / count))),
  ].filter((value) => value !== Math.round(from));

const setbacks = (list: readonly number[]): readonly Candidate[] =>
  list.map((value) => ({
    label: `Strip ${value} mm from the edge`,
    change: [{ path: `${at}.light.setbackMm`, value }],
  }));

/** Strip farther in from the edge. */
export const setFartherIn = ({ assembly }: LetterResults): Remedy => ({
  id: 'farther-in',
  candidates: setbacks(wholeSteps(assembly.light.setbackMm, 2 * assembly.light.setbackMm + 8, 6)),
});
/** Strip closer to the edge. */
export const setCloser = ({ assembly }: LetterResults): Remedy => ({
  id: 'closer',
  candidates: setbacks(wholeSteps(assembly.light.setbackMm, 2, 6).filter((mm) => mm < assembly.light.setbackMm)),
});

/** One line of strip more, two more, three. */
export const addLines = ({ assembly }: LetterResults): Remedy => ({
  id: 'add-lines',
  candidates: [1, 2, 3].map((more) => ({
    label: `${assembly.light.lineCount + more} lines of strip`,
    change: [{ path: `${at}.light.lineCount`, value: Math.min(20, assembly.light.lineCount + more) }],
  })),
});
/** Fewer lines, one by one. */
export const dropLines = ({ assembly }: LetterResults): Remedy => ({
  id: 'drop-lines',
  candidates: Array.from({ length: assembly.light.lineCount - 1 }, (_, fewer) => {
    const count = assembly.light.lineCount - fewer - 1;
    return {
      label: count === 1 ? 'One line of strip' : `${count} lines of strip`,
      change: [{ path: `${at}.light.lineCount`, value: count }],
    };
  }),
});
