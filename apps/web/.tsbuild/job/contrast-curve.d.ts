import { type Evaluation } from '@vitrum/core';
/** Contrast of the worse ripple and what the eye sees of it, over distance; ready for a chart (m, %). */
export interface ContrastCurve {
  readonly eye: readonly (readonly [number, number])[];
  readonly contrastPercent: number;
  readonly readingM: number;
  readonly pitchMm: number;
}
export declare const contrastCurve: ({ glow, design }: Evaluation) => ContrastCurve;
