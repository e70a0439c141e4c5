/** Intensity about an axis: I = I₀ cosᵐθ. */
export interface CosineLaw {
  readonly kind: 'cosine';
  readonly exponent: number;
}

/**
 * A measured distribution on a grid of angles about the way the LED faces: `polarDeg` from that axis (0) on, ascending;
 * `azimuthDeg` round it from 0 to 360, ascending, or [0] when it is the same all round. `candela[azimuth][polar]` for one
 * lumen emitted.
 */
export interface MeasuredTable {
  readonly kind: 'table';
  readonly polarDeg: readonly number[];
  readonly azimuthDeg: readonly number[];
  readonly candela: readonly (readonly number[])[];
}

/** How an LED spreads its light. */
export type Distribution = CosineLaw | MeasuredTable;

/** A photometric file, read: where it says it comes from, and the shape of its light. */
export interface PhotometricFile {
  readonly edition: string;
  readonly keywords: Readonly<Record<string, string>>;
  readonly photometry: 'B' | 'C';
  /** Of the file (lm): by its own intensities, summed over the sphere. */
  readonly fluxLm: number;
  readonly peakCandela: number;
  /** Full angle between the directions of half the axis’ intensity, mean over the azimuths. */
  readonly beamAngleDeg: number;
  readonly table: MeasuredTable;
}

/** Point sources with their place (mm), the way each faces, the way its strip runs, and their flux (lm). */
export interface PointSources {
  readonly count: number;
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly z: Float64Array;
  readonly nx: Float64Array;
  readonly ny: Float64Array;
  readonly nz: Float64Array;
  /** Unit vector at right angles to the facing: azimuth 0 of a measured distribution. */
  readonly ux: Float64Array;
  readonly uy: Float64Array;
  readonly uz: Float64Array;
  readonly fluxLm: Float64Array;
  readonly distribution: Distribution;
}
