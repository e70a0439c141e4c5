import type { PhotographedFace } from './compare-photo.js';

/** Of a face that is lit all over, no more than this is dark beside its letters. */
const mostDark = 0.02;
/** Below this nothing is lit (cd/m²). */
const darkCdM2 = 1;

/**
 * Whether what was computed is a face that is lit all over, within a piece so large: it has corners to lay a photograph by,
 * and evenness to measure. The wall behind letters has no corners; marks and lines have no face.
 */
export const isWholeFace = (
  { grid, luminance, letters }: PhotographedFace,
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
): boolean => {
  if (grid.area.width > widthMm || grid.area.height > heightMm) return false;
  let dark = 0;
  luminance.forEach((value, cell) => {
    if (value < darkCdM2 && letters[cell]! < 0.01) dark += 1;
  });
  return dark <= mostDark * luminance.length;
};
