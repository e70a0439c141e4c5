import type { Rect } from '../../base/outlines/index.js';
import { frontOf, type AssemblyResults } from '../../judging/results/index.js';

/** What is fitted into view: letters, and most of the glow round them. */
export const fittedLetters = (results: Pick<AssemblyResults, 'geometry'>): Rect => {
  const { x, y, width, height } = frontOf(results);
  const glowMm = Math.min(60, height / 4 + 20);
  return { x: x - glowMm / 2, y: y - glowMm / 2, width: width + glowMm, height: height + glowMm };
};
