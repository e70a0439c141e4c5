import type { Ambient } from '../../document/design/index.js';

/** Usual illuminance on the sign (lx) under each light, brightest first; typical values. */
export const ambientLux: Readonly<Record<Ambient, number>> = {
  noon: 75_000,
  overcast: 10_000,
  shop: 500,
  evening: 15,
  dark: 0.5,
};

export const ambients = Object.keys(ambientLux) as readonly Ambient[];
