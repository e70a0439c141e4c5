import type { Strip } from './types.js';

/** The light-giving part of one LED where its strip does not say (mm): of a white one, and of three colours in one (typical). */
const whiteMm = 2.6;
const colouredMm = 4.4;

/** How large the light-giving part of an LED of a strip is, across the strip and along it (mm). */
export const emitterMmOf = ({ emitterMm, colour }: Pick<Strip, 'emitterMm' | 'colour'>): number =>
  emitterMm ?? (colour === 'white' ? whiteMm : colouredMm);
