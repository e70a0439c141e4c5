import type { Brief } from '../../document/design/index.js';
import type { Daylight, Verdict } from '../../light/glow/index.js';
import type { Patches } from './patches.js';

/** The dimmest part by the brightest below which artwork is seen to fade, and below which it disappoints; typical. */
export const seenFading = 0.75;
export const fadesAway = 0.5;

const percent = (share: number): string => `${Math.round(100 * share)} %`;

/** The state of lit artwork in workshop words. */
export const judgePanel = (
  { meanCdM2, evenShare }: Patches,
  daylight: readonly Daylight[],
  brief: Pick<Brief, 'ambient'>,
): Verdict => {
  if (meanCdM2 <= 0) return { verdict: 'dark', sentence: 'It stays dark: nothing is worked, or no light reaches it.' };
  const ratio = daylight.find(({ ambient }) => ambient === brief.ambient)?.litOverUnlit ?? 1;
  const bright = `${Math.round(meanCdM2)} cd/m², ${ratio.toFixed(1)} times its unlit self in the light of the place`;
  return evenShare < seenFading
    ? {
        verdict: 'falls off',
        sentence: `It fades: its dimmest part has ${percent(evenShare)} of the brightest; ${bright}.`,
      }
    : { verdict: 'even', sentence: `Even: its dimmest part has ${percent(evenShare)} of the brightest; ${bright}.` };
};
