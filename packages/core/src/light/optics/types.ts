import type { Scatter } from '../../document/catalogue/index.js';

/** One thing that light passes on its way out: where it scatters, how, and what it passes and gives back. */
export interface Layer {
  readonly name: string;
  /** From the inner side of the front sheet toward the LEDs (mm). */
  readonly behindMm: number;
  readonly transmittance: number;
  readonly reflectance: number;
  readonly scatter: Scatter;
  /** What it passes of red, green and blue against its transmittance. */
  readonly tint: readonly [number, number, number];
}

/** The face as a stack of layers, from the LEDs outward. */
export interface FaceStack {
  readonly layers: readonly Layer[];
  /** Of the whole stack, light between the layers counted. */
  readonly transmittance: number;
  /** Seen from inside the case, and from outside. */
  readonly innerReflectance: number;
  readonly outerReflectance: number;
  /** Of its area so much lets light by; what covers the rest stops it. */
  readonly openShare: number;
  readonly tint: readonly [number, number, number];
  /** From the inner side of the front sheet to what the LEDs see first (mm). */
  readonly intoCaseMm: number;
}
