import type { Ring } from '../../base/outlines/index.js';
import type { Section } from '../../light/section/index.js';
import type { FaceLitResults } from './results.js';

/** Half-beam cones of LEDs in letter-shaped cases, up to the face, within their own stroke. */
export const canCones = (
  { geometry: { ledZMm, depthInsideMm } }: FaceLitResults,
  { shapes }: Section,
  spread: number,
): readonly Ring[] => {
  const spans = (role: 'strip' | 'face') =>
    shapes
      .filter((shape) => shape.role === role)
      .map(({ ring }) => ring.map(([, y]) => y))
      .map((ys) => [Math.min(...ys), Math.max(...ys)] as const);
  const faces = spans('face');
  return spans('strip').flatMap(([low, high]): readonly Ring[] => {
    const y = (low + high) / 2;
    const own = faces.find(([from, to]) => y > from && y < to);
    if (own === undefined) return [];
    const reach = (depthInsideMm - ledZMm) * spread;
    const [bottom, top] = [Math.max(own[0], y - reach), Math.min(own[1], y + reach)];
    // Where a return cuts the cone, its edge runs up the return.
    const zAt = (at: number): number => ledZMm + Math.abs(at - y) / spread;
    return [
      [
        [ledZMm, y],
        [zAt(top), top],
        [depthInsideMm, top],
        [depthInsideMm, bottom],
        [zAt(bottom), bottom],
      ],
    ];
  });
};
