import type { Ring } from '../../base/outlines/index.js';
import type { BoxResults } from './results.js';

/** Half-beam cones of the LEDs on the back, up to the face, clipped by the returns; `spread` is the tangent of the half angle. */
export const boxCones = ({ runs, geometry }: BoxResults, spread: number): readonly Ring[] => {
  const half = geometry.inside.heightMm / 2;
  const { depthMm } = geometry.inside;
  return runs.segments
    .filter(({ on }) => on === 'back')
    .map(({ from }): Ring => {
      const reach = (depthMm - from[2]) * spread;
      const [high, low] = [Math.min(half, from[1] + reach), Math.max(-half, from[1] - reach)];
      // Where a return cuts the cone, its edge runs up the return.
      const zAt = (y: number): number => from[2] + Math.abs(y - from[1]) / spread;
      return [
        [from[2], from[1]],
        [zAt(high), high],
        [depthMm, high],
        [depthMm, low],
        [zAt(low), low],
      ];
    });
};
