import { rectRing } from '../../base/outlines/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { Section, SectionShape } from '../../light/section/index.js';
import type { Strip } from '../../document/catalogue/index.js';
import { uprightStretches } from '../letters/upright.js';
import type { Scene } from './scene.js';
import { stripInSlice, type StripBand } from './strip-behind.js';
import { trimShapes, type Trim } from './trim.js';

const toldToo: ReadonlySet<string> = new Set(['strip', 'back']);

const oneDecimal = (mm: number): string => `${Math.round(10 * mm) / 10} mm`;

/** The slice of a case with the sheets that it meets, and the spacers near it. */
export const withSheets = (
  section: Section,
  { sheets, combs }: Scene,
  geometry: CaseGeometry,
  trim: Trim | null,
  bands: readonly StripBand[],
  strip: Strip,
  x: number,
): Section => {
  const { inside } = geometry;
  const shapes = sheets.flatMap(({ outline, sheet, stock, rearZMm, carried }): readonly SectionShape[] => [
    ...uprightStretches(outline, x).map(([low, high]): SectionShape => ({
      role: 'letter',
      material: sheet.name,
      ring: rectRing({ x: rearZMm, y: low, width: stock.thicknessMm, height: high - low }),
    })),
    ...carried
      .flatMap(({ posts }) => posts)
      .filter(({ at, footMm }) => Math.abs(at[0] - x) <= footMm)
      .filter(({ pile }) => pile.heightMm > 0)
      .map(({ at, footMm, pile }): SectionShape => ({
        role: 'post',
        material: 'spacer',
        ring: rectRing({ x: rearZMm - pile.heightMm, y: at[1] - footMm / 2, width: pile.heightMm, height: footMm }),
      })),
  ]);
  const half = inside.heightMm / 2;
  const floor = -half;
  const combShapes = (combs?.each ?? [])
    .filter(({ xMm }) => Math.abs(xMm - x) <= combs!.stock.thicknessMm / 2)
    .flatMap(({ profile }) =>
      profile.map((ring): SectionShape => ({
        role: 'post',
        material: combs!.stock.name,
        ring: ring.map(([z, up]) => [z, floor + up] as const),
      })),
    );
  const hidden = stripInSlice(bands, strip, x);
  return {
    ...section,
    atXMm: x,
    frontZMm: section.frontZMm + (trim?.board.thicknessMm ?? 0),
    shapes: [
      // Strip that follows a sheet is drawn where this slice meets it, not where its pieces begin.
      ...section.shapes.filter(({ role }) => role !== 'strip' || bands.length === 0),
      ...shapes,
      ...combShapes,
      ...hidden,
      ...trimShapes(geometry, section.frontZMm, trim),
    ],
    layers: [
      // The case is told by its step; here it is the sheets that count.
      ...section.layers.filter(({ name }) => toldToo.has(name)),
      ...[...sheets].reverse().map(({ sheet, stock, rearZMm, outline }) => {
        const met = uprightStretches(outline, x)[0];
        return {
          name: sheet.name,
          detail: `${stock.name}, rear at ${oneDecimal(rearZMm)}`,
          at: [rearZMm + stock.thicknessMm / 2, met === undefined ? half * 0.5 : (met[0] + met[1]) / 2] as const,
        };
      }),
    ],
  };
};
