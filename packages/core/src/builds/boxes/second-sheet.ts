import { panelOf } from '../../joinery/members/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { BoxMaterials } from './materials.js';
import type { CaseDesign } from './schema.js';

/** Play of a second sheet inside the returns, each side (mm), where it stands on spacers. */
const spacedPlayMm = 1;

/** How large a second sheet is (mm): with its play in a groove of its own, or between the returns. */
export const secondSize = (
  { inside }: Pick<CaseGeometry, 'inside'>,
  { seatMm, playMm }: Pick<CaseDesign, 'seatMm' | 'playMm'>,
  { seated }: NonNullable<BoxMaterials['second']>,
): { readonly widthMm: number; readonly heightMm: number } => {
  const size = (mm: number): number => (seated ? panelOf(mm, seatMm, playMm) : mm - 2 * spacedPlayMm);
  return { widthMm: size(inside.widthMm), heightMm: size(inside.heightMm) };
};
