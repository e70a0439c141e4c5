import type { Brief } from '../../document/design/index.js';
import type { Daylight, Evenness } from './types.js';
import { shownFrom } from './shown-from.js';

/** What the eye makes of the face, in a sentence, and the number behind it. */
export interface Verdict {
  readonly verdict: 'even' | 'bands' | 'dots' | 'falls off' | 'dark';
  readonly sentence: string;
}

/** Darkest over mean below which corners are noticed; typical. */
export const evenEnough = 0.6;
/** Below this they disappoint; between, they are worth knowing (typical). */
export const darkCorners = 0.5;

const metres = (mm: number): string => `${Math.round(mm / 100) / 10} m`;
const percent = (share: number): string => `${share < 0.01 ? (share * 100).toFixed(2) : (share * 100).toFixed(1)} %`;

/** The state of a face in workshop words: the worst thing that shows, and from where it no longer does. */
export const judge = (evenness: Evenness, daylight: readonly Daylight[], brief: Brief): Verdict => {
  const { dots, bands, meanCdM2, minOverMean } = evenness;
  if (meanCdM2 <= 0) return { verdict: 'dark', sentence: 'It stays dark: no light reaches the face.' };
  const from = metres(brief.readingDistanceMm);
  const rows = bands !== null && bands.vanishesAtMm >= dots.vanishesAtMm;
  const ripple = rows ? bands : dots;
  if (ripple.vanishesAtMm > brief.readingDistanceMm)
    return {
      verdict: rows ? 'bands' : 'dots',
      sentence: `From ${from} you see ${rows ? 'the rows as bands' : 'every LED as a dot'}: ${percent(ripple.contrast)} of contrast where the eye sees ${percent(ripple.threshold)}; they show ${shownFrom(ripple.vanishesAtMm)}.`,
    };
  const ratio = daylight.find(({ ambient }) => ambient === brief.ambient)?.litOverUnlit ?? 1;
  const bright = `${Math.round(meanCdM2)} cd/m², ${ratio.toFixed(1)} times its unlit self in the light of the place`;
  if (minOverMean < evenEnough)
    return {
      verdict: 'falls off',
      sentence: `No dots from ${from}, but the darkest place has only ${percent(minOverMean)} of the mean; ${bright}.`,
    };
  return {
    verdict: 'even',
    sentence: `Even from ${from}: no dots, no bands, the darkest place ${percent(minOverMean)} of the mean; ${bright}.`,
  };
};
