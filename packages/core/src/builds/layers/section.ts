import { rectRing, type Outline } from '../../base/outlines/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { Section, SectionShape } from '../../light/section/index.js';
import type { Scene } from './scene.js';
import { trimShapes, type Trim } from './trim.js';

/** Where an upright line goes through an outline: from, to, from the lowest up. */
export const uprightStretches = (outline: Outline, x: number): readonly (readonly [number, number])[] => {
  const met = outline
    .flatMap((ring) =>
      ring.flatMap(([x0, y0], at): readonly number[] => {
        const [x1, y1] = ring[(at + 1) % ring.length]!;
        return x0 <= x === x1 <= x ? [] : [y0 + ((x - x0) / (x1 - x0)) * (y1 - y0)];
      }),
    )
    .sort((a, b) => a - b);
  return Array.from({ length: met.length >> 1 }, (_, at) => [met[2 * at]!, met[2 * at + 1]!] as const);
};

const toldToo: ReadonlySet<string> = new Set(['strip', 'back']);

const oneDecimal = (mm: number): string => `${Math.round(10 * mm) / 10} mm`;

/** The slice of a case with the sheets that it meets, and the spacers near it. */
export const withSheets = (
  section: Section,
  { sheets }: Scene,
  geometry: CaseGeometry,
  trim: Trim | null,
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
  return {
    ...section,
    atXMm: x,
    frontZMm: section.frontZMm + (trim?.board.thicknessMm ?? 0),
    shapes: [...section.shapes, ...shapes, ...trimShapes(geometry, section.frontZMm, trim)],
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
