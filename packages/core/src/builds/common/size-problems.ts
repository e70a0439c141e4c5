import type { SizeQuestion } from './build.js';

const plain = (mm: number): string => (mm >= 1000 ? `${mm / 1000} m` : `${mm} mm`);

/** What is wrong with the sizes of a new job, by the name of the question: outside its bounds, or not a number at all. */
export const sizeProblems = (
  questions: readonly SizeQuestion[],
  sizesMm: Readonly<Record<string, unknown>>,
): Readonly<Record<string, string>> =>
  Object.fromEntries(
    questions.flatMap(({ id, leastMm, mostMm }) => {
      const size = sizesMm[id];
      if (typeof size !== 'number' || !Number.isFinite(size)) return [[id, 'not a length']];
      if (size < leastMm) return [[id, `at least ${plain(leastMm)}`]];
      return size > mostMm ? [[id, `at most ${plain(mostMm)}`]] : [];
    }),
  );

/** The answers that are given before anything is asked. */
export const usualSizes = (questions: readonly SizeQuestion[]): Readonly<Record<string, number>> =>
  Object.fromEntries(questions.map(({ id, usualMm }) => [id, usualMm]));
