import { fieldsIn } from '../../judging/results/index.js';
import { set } from '../../document/design/index.js';
import type { LetterResults } from './results.js';
import type { Candidate, Remedy } from '../../judging/findings/index.js';

/** Whole millimetres from one length towards another, in so many steps. */
export const wholeSteps = (from: number, to: number, count: number): readonly number[] =>
  [
    ...new Set(Array.from({ length: count }, (_, step) => Math.round(from + ((to - from) * (step + 1)) / count))),
  ].filter((value) => value !== Math.round(from));

const setbacks = (results: LetterResults, list: readonly number[]): readonly Candidate[] =>
  list.map((value) => ({
    label: `Strip ${value} mm from the edge`,
    change: [set(fieldsIn(results).light.setbackMm, value)],
  }));

/** Strip farther in from the edge. */
export const setFartherIn = (results: LetterResults): Remedy => {
  const { setbackMm } = results.assembly.light;
  return { id: 'farther-in', candidates: setbacks(results, wholeSteps(setbackMm, 2 * setbackMm + 8, 6)) };
};
/** Strip closer to the edge. */
export const setCloser = (results: LetterResults): Remedy => {
  const { setbackMm } = results.assembly.light;
  return {
    id: 'closer',
    candidates: setbacks(
      results,
      wholeSteps(setbackMm, 2, 6).filter((mm) => mm < setbackMm),
    ),
  };
};

/** One line of strip more, two more, three. */
export const addLines = (results: LetterResults): Remedy => {
  const { lineCount } = results.assembly.light;
  return {
    id: 'add-lines',
    candidates: [1, 2, 3].map((more) => ({
      label: `${lineCount + more} lines of strip`,
      change: [set(fieldsIn(results).light.lineCount, Math.min(20, lineCount + more))],
    })),
  };
};
/** Fewer lines, one by one. */
export const dropLines = (results: LetterResults): Remedy => ({
  id: 'drop-lines',
  candidates: Array.from({ length: results.assembly.light.lineCount - 1 }, (_, fewer) => {
    const count = results.assembly.light.lineCount - fewer - 1;
    return {
      label: count === 1 ? 'One line of strip' : `${count} lines of strip`,
      change: [set(fieldsIn(results).light.lineCount, count)],
    };
  }),
});
/** Lines or rows of strip farther apart. */
export const fartherApart = (results: LetterResults): Remedy => {
  const { linePitchMm } = results.assembly.light;
  const { widthMm } = results.materials.strip;
  return {
    id: 'farther-apart',
    candidates: wholeSteps(linePitchMm, Math.max(linePitchMm, widthMm) + 12, 4).map((value) => ({
      label: `Lines ${value} mm apart`,
      change: [set(fieldsIn(results).light.linePitchMm, value)],
    })),
  };
};
