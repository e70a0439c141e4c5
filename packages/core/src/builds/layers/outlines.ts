import type { Lettering } from '../../artwork/lettering/index.js';
import {
  intersect,
  moveOutline,
  outlineBounds,
  pointsOf,
  rectRing,
  subtract,
  unite,
  type Outline,
  type Rect,
} from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { SheetDesign } from './schema.js';

/** A sheet that fills the inside plays so much on every side (mm). */
export const rimPlayMm = 0.5;
/** Border of a window where a design does not say (mm). */
export const usualBorderMm = 30;

const within = ({ inside }: CaseGeometry, marginMm: number): Rect => ({
  x: -inside.widthMm / 2 + marginMm,
  y: -inside.heightMm / 2 + marginMm,
  width: inside.widthMm - 2 * marginMm,
  height: inside.heightMm - 2 * marginMm,
});

/** The letters where a lettered sheet has them. */
const lettersOn = ({ xMm = 0, yMm = 0 }: SheetDesign, { outline }: Lettering): Outline =>
  moveOutline(outline, xMm, yMm);

/** What a sheet is wanted to be, before the box cuts it off. */
const wanted = (sheet: SheetDesign, geometry: CaseGeometry, letters: Lettering): Result<Outline> => {
  const whole: Outline = [rectRing(within(geometry, rimPlayMm))];
  switch (sheet.shape) {
    case 'whole':
      return success(whole);
    case 'window': {
      const border = sheet.borderMm ?? usualBorderMm;
      const hole = within(geometry, border);
      return hole.width < 4 || hole.height < 4
        ? failure({
            path: 'borderMm',
            message: `leaves no opening in ${Math.round(geometry.inside.widthMm)} × ${Math.round(geometry.inside.heightMm)} mm; make it ${Math.max(1, Math.floor(Math.min(geometry.inside.widthMm, geometry.inside.heightMm) / 2 - 5))} mm or less`,
          })
        : success(subtract(whole, [rectRing(hole)]));
    }
    case 'lettered':
      return letters.outline.length > 0
        ? success(subtract(whole, lettersOn(sheet, letters)))
        : failure({
            path: 'shape',
            message: 'has the letters of the artwork cut out of it, and there are none: say what it reads',
          });
    case 'letters':
      return letters.outline.length > 0
        ? success(letters.outline)
        : failure({ path: 'shape', message: 'is the letters of the artwork, and there are none: say what it reads' });
    case 'drawing': {
      const drawing = sheet.drawing;
      if (drawing === null || drawing === undefined)
        return failure({ path: 'drawing', message: 'is missing; load an SVG or DXF, or choose another shape' });
      return success(unite(drawing.rings.map((ring) => pointsOf(ring, drawing.scale))));
    }
  }
};

/** What is let into a lettered sheet: its letters, as far as they are in it. */
export const pocketsOf = (sheet: SheetDesign, geometry: CaseGeometry, letters: Lettering): Outline =>
  sheet.shape === 'lettered' ? intersect(lettersOn(sheet, letters), [rectRing(within(geometry, rimPlayMm))]) : [];

/** The outline of a sheet as it stands in the box, cut off where it would go through the rim. */
export const sheetOutline = (sheet: SheetDesign, geometry: CaseGeometry, letters: Lettering): Result<Outline> => {
  const asked = wanted(sheet, geometry, letters);
  if (!asked.ok) return asked;
  // Of a lettered sheet its letters are moved, not the sheet.
  const moved = sheet.shape === 'lettered' ? asked.value : moveOutline(asked.value, sheet.xMm ?? 0, sheet.yMm ?? 0);
  const kept = intersect(moved, [rectRing(within(geometry, rimPlayMm))]);
  if (outlineBounds(kept) === null)
    return failure({ path: 'xMm', message: 'puts the sheet outside the box; move it back by its offsets' });
  return success(kept);
};
