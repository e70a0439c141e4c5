/** A straight line of light that gives off `lmPerMm`, as a Lambertian band that looks along its normal. Lengths in mm. */
export interface BandOnPlane {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  /** How far it stands off the plane that it lights, to which it looks. */
  readonly offMm: number;
  readonly lmPerMm: number;
}

/**
 * Illuminance (lx) at a place of a plane by a band that looks at it from `offMm`: ∫ (F/π) h² / (ρ² + s² + h²)² ds over the line, ρ the
 * distance of the place from the line in the plane. Closed form: with R² = ρ² + h², ½ [s / (R² (R² + s²)) + arctan(s / R) / R³].
 */
export const spillAt = ({ from, to, offMm, lmPerMm }: BandOnPlane, [x, y]: readonly [number, number]): number => {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy);
  if (length === 0 || offMm <= 0) return 0;
  const [ux, uy] = [dx / length, dy / length];
  const along = (x - from[0]) * ux + (y - from[1]) * uy;
  const beside = (x - from[0]) * uy - (y - from[1]) * ux;
  const r2 = beside * beside + offMm * offMm;
  const r = Math.sqrt(r2);
  const to1 = (s: number): number => s / (r2 * (r2 + s * s)) + Math.atan(s / r) / (r2 * r);
  return ((lmPerMm * 1e6 * offMm * offMm) / (2 * Math.PI)) * (to1(length - along) - to1(-along));
};

/**
 * Illuminance (lx) at a place of the plane that a half-round dome of radius `radiusMm` stands on, by a stretch of it of luminance
 * `cdM2`: as by an upright band as high as the dome, at its middle. E = L/2 [arctan(b / x) − x / √(x² + R²) arctan(b / √(x² + R²))],
 * summed over both ends (configuration factor of a rectangle at right angles to the place). Nothing under the dome itself.
 */
export const domeSpill = (
  from: readonly [number, number],
  to: readonly [number, number],
  radiusMm: number,
  cdM2: number,
  [x, y]: readonly [number, number],
): number => {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy);
  if (length === 0 || radiusMm <= 0) return 0;
  const [ux, uy] = [dx / length, dy / length];
  const along = (x - from[0]) * ux + (y - from[1]) * uy;
  const beside = Math.abs((x - from[0]) * uy - (y - from[1]) * ux);
  if (beside < radiusMm) return 0;
  const over = Math.hypot(beside, radiusMm);
  const part = (b: number): number => Math.atan(b / beside) - (beside / over) * Math.atan(b / over);
  return (cdM2 / 2) * (part(length - along) + part(along));
};
