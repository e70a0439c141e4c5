import type { Outline, Point } from './types.js';

/** From a point to the nearest place of an outline’s rings (mm); endless when it has none. */
export const distanceToOutline = ([x, y]: Point, outline: Outline): number => {
  let least2 = Infinity;
  for (const ring of outline) {
    let [px, py] = ring[ring.length - 1] ?? [0, 0];
    for (const [qx, qy] of ring) {
      const [dx, dy] = [qx - px, qy - py];
      const length2 = dx * dx + dy * dy;
      const share = length2 > 0 ? Math.min(1, Math.max(0, ((x - px) * dx + (y - py) * dy) / length2)) : 0;
      const [ox, oy] = [x - px - share * dx, y - py - share * dy];
      least2 = Math.min(least2, ox * ox + oy * oy);
      [px, py] = [qx, qy];
    }
  }
  return Math.sqrt(least2);
};
