import type { TryPoint, TryStanding } from '@vitrum/core';

/** What the height of a point in the chart stands for. */
export type Upward = 'visibility' | 'evenness' | 'depth';

export const upwardNames: Readonly<Record<Upward, string>> = {
  visibility: 'dots and bands, over what the eye sees',
  evenness: 'darkest to mean',
  depth: 'depth inside, mm',
};

const leastVisibility = 0.02;

/** Height of a point; hidden ripples all lie at the bottom of their scale. */
export const heightOf = (point: TryStanding, upward: Upward): number => {
  switch (upward) {
    case 'visibility':
      return Math.max(leastVisibility, point.visibility);
    case 'evenness':
      return point.minOverMean;
    case 'depth':
      return point.depthMm;
  }
};

const symbols = ['circle', 'rect', 'triangle', 'diamond', 'pin', 'arrow', 'roundRect'] as const;

/** One cloud of points for each face, told apart by shape; what will do is filled, what fails is hollow. */
export const clouds = (points: readonly TryPoint[], upward: Upward) =>
  [...new Set(points.map(({ face }) => face))].map((face, index) => ({
    face,
    symbol: symbols[index % symbols.length]!,
    points: points
      .filter((point) => point.face === face)
      .map((point) => ({
        id: point.id,
        value: [Math.round(point.costPerSign * 100) / 100, heightOf(point, upward)] as const,
        willDo: point.fails.length === 0,
      })),
  }));

/** The best few that will do, cheapest first; where none does, those that fail least. */
export const shortList = (points: readonly TryPoint[], count: number): readonly TryPoint[] =>
  [...points]
    .sort((a, b) => a.fails.length - b.fails.length || a.costPerSign - b.costPerSign || a.depthMm - b.depthMm)
    .slice(0, count);

/** Even steps from one number to another, both ends in. */
export const stepsBetween = (from: number, to: number, step: number): readonly number[] => {
  if (!(step > 0) || !(to >= from)) return [];
  const count = Math.floor((to - from) / step + 1e-9) + 1;
  return Array.from({ length: Math.min(count, 2001) }, (_, index) => Math.round((from + index * step) * 100) / 100);
};
