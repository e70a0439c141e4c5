import { outlineBounds, type Outline } from '../../base/outlines/index.js';
import type { Place, RawFinding } from '../../judging/findings/index.js';
import type { AssemblyResults } from '../../judging/results/index.js';

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

/** A length as it stands in a finding. */
export const mm = (value: number): string => `${Math.round(10 * value) / 10} mm`;

/** A small place on the front. */
export const placeAt = ([x, y]: readonly [number, number], halfMm = 12): Place => ({
  view: 'front',
  rect: { x: x - halfMm, y: y - halfMm, width: 2 * halfMm, height: 2 * halfMm },
});

/** A target that is a number of things, of which none is to be left. */
export const noneLeft = <Results extends AssemblyResults>(
  label: string,
  count: (results: Results) => number,
): RawFinding<Results>['target'] => ({
  label,
  unit: '',
  better: 'lower',
  read: count,
  settled: (tried) => count(tried) === 0,
});

/** The middle of what an outline spans. */
export const middleOf = (outline: Outline): readonly [number, number] => {
  const { x, y, width, height } = outlineBounds(outline) ?? { x: 0, y: 0, width: 0, height: 0 };
  return [x + width / 2, y + height / 2];
};
