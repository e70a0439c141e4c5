import type { StackView } from '../../optics/index.js';
import { intensityAt, isRound, type Distribution } from '../../photometry/index.js';

export const tableSize = 4096;
export const mm2PerM2 = 1e6;

/**
 * Luminance that one lumen, facing the plane from a height of 1 mm, gives there (cd/m² × mm²/1e6 for each 1/h²), by
 * q = cos² of the angle: q^1.5 I(θ) f(θ), as a table for straight-line look-up. These laws are smooth, so the error is
 * below 1e-6 of the peak.
 */
export interface FacingLaw {
  readonly table: Float64Array;
  /** Light on an endless plane that falls at or beyond each q, summed from the far end; r dr is h²/2q² dq. */
  readonly beyond: Float64Array;
  /** Set when the law is exactly `peak` · q²: cosine light on a face that scatters every way. */
  readonly squarePeak: number | null;
}

/** The law of light that faces the plane; for distributions that are the same all round. */
export const facingLaw = (distribution: Distribution, view: StackView): FacingLaw => {
  const table = Float64Array.from({ length: tableSize + 2 }, (_, index) => {
    const q = Math.min(1, index / tableSize);
    return q * Math.sqrt(q) * intensityAt(distribution, Math.acos(Math.sqrt(q))) * view.towardNormal(q);
  });
  const beyond = new Float64Array(tableSize + 1);
  for (let index = 1; index <= tableSize; index += 1)
    beyond[index] = beyond[index - 1]! + table[index]! / (index * index);
  const square = view.lambertian && distribution.kind === 'cosine' && distribution.exponent === 1;
  return { table, beyond, squarePeak: square ? table[tableSize]! : null };
};

/** Value of the law at `r2` mm² aside from a lumen at height `h` (cd/m²). */
export const lawAt = ({ table }: FacingLaw, h2: number, r2: number): number => {
  const place = (tableSize * h2) / (r2 + h2);
  const index = place | 0;
  const low = table[index]!;
  return (mm2PerM2 / h2) * (low + (table[index + 1]! - low) * (place - index));
};

/** The radius beyond which less than `share` of the light on an endless plane falls, by the law itself (mm). */
export const cutOffRadius = ({ beyond }: FacingLaw, h: number, share: number): number => {
  const wanted = share * beyond[tableSize]!;
  let [low, high] = [1, tableSize];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (beyond[middle]! <= wanted) low = middle;
    else high = middle;
  }
  return h * Math.sqrt(tableSize / low - 1);
};

/** Whether a source looks straight at the face with light that is the same all round. */
export const looksAtFace = (distribution: Distribution, nz: number): boolean => nz > 0.999 && isRound(distribution);
