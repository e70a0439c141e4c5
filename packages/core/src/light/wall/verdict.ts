import type { Brief } from '../../document/design/index.js';
import { shownFrom, type Daylight, type Evenness, type Verdict } from '../glow/index.js';
import type { EdgeReport } from './edge.js';

/** Darkest over mean along the edge below which a dark stretch is noticed; typical, and lower than on a face. */
export const evenAlongEdge = 0.4;
/** Below this it disappoints; between, most would not mind: light behind letters is never as even as a face (typical). */
export const darkAlongEdge = 0.25;

const metres = (mm: number): string => `${Math.round(mm / 100) / 10} m`;
const percent = (share: number): string => `${(share * 100).toFixed(share < 0.01 ? 2 : 1)} %`;
const mm = (value: number): string => `${Math.round(value)} mm`;

/** The state of a halo in workshop words: the worst thing that shows, and from where it no longer does. */
export const judgeHalo = (
  { dots, meanCdM2, minOverMean }: Evenness,
  { halfMm, tenthMm }: EdgeReport,
  daylight: readonly Daylight[],
  brief: Brief,
): Verdict => {
  if (meanCdM2 <= 0)
    return { verdict: 'dark', sentence: 'It stays dark: no light reaches the wall beside the letters.' };
  const from = metres(brief.readingDistanceMm);
  const wide = `The glow falls to half within ${mm(halfMm)} of the edge and to a tenth within ${mm(tenthMm)}`;
  if (dots.vanishesAtMm > brief.readingDistanceMm)
    return {
      verdict: 'dots',
      sentence: `From ${from} the LEDs show as scallops on the wall: ${percent(dots.contrast)} of contrast where the eye sees ${percent(dots.threshold)}; they show ${shownFrom(dots.vanishesAtMm)}.`,
    };
  if (minOverMean < evenAlongEdge)
    return {
      verdict: 'falls off',
      sentence: `No scallops from ${from}, but the edge falls to ${percent(minOverMean)} of its mean. ${wide}.`,
    };
  const ratio = daylight.find(({ ambient }) => ambient === brief.ambient)?.litOverUnlit ?? 1;
  return {
    verdict: 'even',
    sentence: `Even along the edge from ${from}. ${wide}; ${Math.round(meanCdM2)} cd/m² there, ${ratio.toFixed(1)} times the unlit wall in the light of the place.`,
  };
};
