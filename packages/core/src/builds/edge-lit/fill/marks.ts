import type { Outline, Point } from '../../../base/outlines/index.js';
import { gradedAt, spacingOf } from '../worked.js';
import type { PanelFacts } from '../results.js';
import { dotsOf } from './dots.js';
import { hatchOf, type Stroke } from './hatch.js';

/** What a machine works of the artwork, in the axes of the assembly. */
export type Marks =
  | { readonly kind: 'area'; readonly outline: Outline }
  | { readonly kind: 'lines'; readonly strokes: readonly Stroke[]; readonly lineMm: number }
  | { readonly kind: 'dots'; readonly dots: readonly Point[]; readonly diameterMm: number }
  /** More lines or dots than any file takes. */
  | { readonly kind: 'too-many' };

/** The fill of the artwork as it is drawn: its area, lines, or dots. */
export const marksOf = ({
  assembly: { artwork },
  geometry: { sheet },
  lettering: { outline, bounds },
  materials: { engraving },
}: Pick<PanelFacts, 'assembly' | 'geometry' | 'lettering' | 'materials'>): Marks => {
  if (artwork.fill === 'solid' || bounds === null) return { kind: 'area', outline };
  const densityAt = (x: number, y: number): number => gradedAt(artwork, sheet, x, y);
  const spacing = spacingOf(artwork);
  if (artwork.fill === 'hatch') {
    const strokes = hatchOf(outline, spacing, bounds, densityAt);
    return strokes === null ? { kind: 'too-many' } : { kind: 'lines', strokes, lineMm: engraving.lineMm };
  }
  const dots = dotsOf(outline, spacing, bounds, densityAt);
  return dots === null ? { kind: 'too-many' } : { kind: 'dots', dots, diameterMm: engraving.lineMm };
};
