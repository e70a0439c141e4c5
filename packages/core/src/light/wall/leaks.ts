import type { LettersGeometry } from '../geometry/index.js';

/** Light that comes through what should hold it back, as luminance seen from outside (cd/m²). */
export interface Leaks {
  readonly throughReturnsCdM2: number;
  readonly throughFrontCdM2: number;
}

/** What leaks are reckoned from. */
export interface LeakFacts {
  readonly geometry: LettersGeometry;
  /** Share of light that passes one millimetre of the letters’ material; none when opaque. */
  readonly passesPerMm: number;
  /** Of the strip (lm/m), its lines along the outline, and how far the nearest of them is from the return (mm). */
  readonly lumensPerM: number;
  readonly fromReturnMm: number;
  /** Mean illuminance of the backs of the letters, which light from the wall reaches (lx). */
  readonly onBacksLux: number;
}

/** Share of the light of a row of Lambertian sources that falls on a long wall beside it, `b` off and `d` high. */
const shareOnWall = (b: number, d: number): number => (1 - b / Math.hypot(b, d)) / 2;

/**
 * Light through thin returns and fronts. A row of φ lm/m at b from a return of depth d sends ½(1 − b/√(b² + d²)) of its
 * light there, spread over d; what passes leaves diffusely, L = E τ / π. Fronts get what the wall sends back. Light
 * reflected within the letter is left out, so that the real leak is somewhat more.
 */
export const leaksOf = ({ geometry, passesPerMm, lumensPerM, fromReturnMm, onBacksLux }: LeakFacts): Leaks => {
  if (passesPerMm <= 0) return { throughReturnsCdM2: 0, throughFrontCdM2: 0 };
  const { returnMm, backMm, solid } = geometry;
  const onReturnLux = returnMm > 0 ? (1000 * lumensPerM * shareOnWall(fromReturnMm, returnMm)) / returnMm : 0;
  return {
    throughReturnsCdM2: (onReturnLux * passesPerMm ** solid.returnMm) / Math.PI,
    throughFrontCdM2: (onBacksLux * passesPerMm ** (solid.frontMm * (backMm > 0 ? 2 : 1))) / Math.PI,
  };
};
