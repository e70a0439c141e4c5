import type { LoadLaw } from './types.js';

/** Current of a load at `volts` across it (A). */
export const ampsAt = (law: LoadLaw, volts: number): number => {
  if (law.kind === 'resistive') return volts > law.forwardV ? (volts - law.forwardV) * law.siemens : 0;
  if (volts <= law.fromV) return 0;
  return volts >= law.fullV ? law.amps : (law.amps * (volts - law.fromV)) / (law.fullV - law.fromV);
};

/** How fast its current rises there (A/V). */
export const slopeAt = (law: LoadLaw, volts: number): number => {
  if (law.kind === 'resistive') return volts > law.forwardV ? law.siemens : 0;
  return volts > law.fromV && volts < law.fullV ? law.amps / (law.fullV - law.fromV) : 0;
};
