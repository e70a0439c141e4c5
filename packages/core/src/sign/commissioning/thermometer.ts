import type { Heat } from '../../power/heat/index.js';

/** Minutes in which strip and the air and face round it come two thirds of their way to warm, typical. */
const stripMinutes = 6;
const airMinutes = 22;

/** Where a thermometer is held. */
export type ThermometerPlace = 'strip' | 'air' | 'face';

/**
 * What a thermometer shows so many minutes after the light went on: between cold and what it settles at, by one exponential
 * a place; strip rides on the air. `share` is the power now over full power.
 */
export const temperatureAt = (
  heat: Heat,
  place: ThermometerPlace,
  minutes: number,
  share: number,
): { readonly low: number; readonly high: number } => {
  const warmed = (minutesToWarm: number): number => 1 - Math.exp(-Math.max(0, minutes) / minutesToWarm);
  const rise = (end: 'low' | 'high'): number => {
    const air = (heat.airInsideC[end] - heat.surroundingC) * warmed(airMinutes);
    if (place === 'air') return air;
    if (place === 'face') return (heat.faceC[end] - heat.surroundingC) * warmed(airMinutes);
    return air + (heat.stripC[end] - heat.airInsideC[end]) * warmed(stripMinutes);
  };
  return { low: heat.surroundingC + share * rise('low'), high: heat.surroundingC + share * rise('high') };
};
