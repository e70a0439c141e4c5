import type { Place } from '../../judging/findings/index.js';

/** The light of a place as it stands in a finding. */
export const ambientWords = {
  noon: 'noon sun',
  overcast: 'an overcast day',
  shop: 'shop light',
  evening: 'evening light',
  dark: 'the dark',
} as const;

/** A square on the front round a place. */
export const around = ([x, y]: readonly [number, number], size: number): Place => ({
  view: 'front',
  rect: { x: x - size / 2, y: y - size / 2, width: size, height: size },
});

/** A share in per cent, small ones to hundredths. */
export const percent = (share: number): number =>
  Math.round(share * (share < 0.01 ? 10_000 : 1000)) / (share < 0.01 ? 100 : 10);
