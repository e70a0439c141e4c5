import { outlineArea, ringLength } from '../../base/outlines/index.js';
import type { LetterResults } from './results.js';

/** How wide the strokes of letters are on average (mm): what twice their area has over their outline. */
export const meanStrokeMm = ({ lettering }: Pick<LetterResults, 'lettering'>): number => {
  const roundMm = lettering.outline.reduce((sum, ring) => sum + ringLength(ring), 0);
  return roundMm > 0 ? (2 * Math.abs(outlineArea(lettering.outline))) / roundMm : 0;
};

/** The outline all round (mm). */
export const roundMmOf = ({ lettering }: Pick<LetterResults, 'lettering'>): number =>
  lettering.outline.reduce((sum, ring) => sum + ringLength(ring), 0);
