import { contrastThreshold, type AssemblyEvaluation } from '@vitrum/core';

/** Contrast of the worse ripple and what the eye sees of it, over distance; ready for a chart (m, %). */
export interface ContrastCurve {
  readonly eye: readonly (readonly [number, number])[];
  readonly contrastPercent: number;
  readonly readingM: number;
  readonly pitchMm: number;
}

const nearestM = 0.5;
const farthestM = 300;
const points = 80;

export const contrastCurve = ({ glow, design }: AssemblyEvaluation): ContrastCurve => {
  const { dots, bands } = glow.evenness;
  const worse = bands !== null && bands.vanishesAtMm >= dots.vanishesAtMm ? bands : dots;
  const seen = {
    pitchMm: worse.pitchMm,
    luminance: glow.evenness.meanCdM2,
    faceMm: Math.sqrt(glow.grid.area.width * glow.grid.area.height),
  };
  const eye = Array.from({ length: points }, (_, index): readonly [number, number] => {
    const metres = nearestM * (farthestM / nearestM) ** (index / (points - 1));
    return [metres, Math.min(100, contrastThreshold(seen, metres * 1000) * 100)];
  });
  return {
    eye,
    contrastPercent: worse.contrast * 100,
    readingM: design.brief.readingDistanceMm / 1000,
    pitchMm: worse.pitchMm,
  };
};
