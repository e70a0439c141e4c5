import type { Outline, Point, Rect } from '../../../base/outlines/index.js';
import { fillOf, type WorkedArea } from '../areas.js';
import { toneAt } from '../photo.js';
import { gradedAt, spacingOf } from '../worked.js';
import { dotsOf } from './dots.js';
import { hatchOf, type Stroke } from './hatch.js';

/** What a machine works of the artwork, in the axes of the assembly. */
export type Marks =
  | { readonly kind: 'area'; readonly outline: Outline }
  | { readonly kind: 'lines'; readonly strokes: readonly Stroke[]; readonly lineMm: number }
  | { readonly kind: 'dots'; readonly dots: readonly Point[]; readonly diameterMm: number }
  /** More lines or dots than any file takes. */
  | { readonly kind: 'too-many' };

/** The fill of an area as it is drawn: its area, lines, or dots; a photograph as dots by its tones. */
export const marksOf = ({ artwork, lettering, photo, engraving }: WorkedArea, sheet: Rect): Marks => {
  const { outline, bounds } = lettering;
  const fill = fillOf(artwork);
  if (fill === 'solid' || bounds === null) return { kind: 'area', outline };
  const densityAt = (x: number, y: number): number =>
    gradedAt(artwork, sheet, x, y) * (photo === null ? 1 : toneAt(photo, x, y));
  const spacing = spacingOf(artwork);
  if (fill === 'hatch') {
    const strokes = hatchOf(outline, spacing, bounds, densityAt);
    return strokes === null ? { kind: 'too-many' } : { kind: 'lines', strokes, lineMm: engraving.lineMm };
  }
  const dots = dotsOf(outline, spacing, bounds, densityAt);
  return dots === null ? { kind: 'too-many' } : { kind: 'dots', dots, diameterMm: engraving.lineMm };
};
