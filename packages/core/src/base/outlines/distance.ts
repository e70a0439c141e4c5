import type { Outline, Point } from './types.js';

/** From a point to a straight stretch, squared (mm²). */
const toStretch2 = ([x, y]: Point, [px, py]: Point, [qx, qy]: Point): number => {
  const [dx, dy] = [qx - px, qy - py];
  const length2 = dx * dx + dy * dy;
  const share = length2 > 0 ? Math.min(1, Math.max(0, ((x - px) * dx + (y - py) * dy) / length2)) : 0;
  const [ox, oy] = [x - px - share * dx, y - py - share * dy];
  return ox * ox + oy * oy;
};

/** From a point to the nearest place of an outline’s rings (mm); endless when it has none. */
export const distanceToOutline = (point: Point, outline: Outline): number => {
  let least2 = Infinity;
  for (const ring of outline) {
    let before = ring[ring.length - 1] ?? point;
    for (const next of ring) {
      least2 = Math.min(least2, toStretch2(point, before, next));
      before = next;
    }
  }
  return Math.sqrt(least2);
};

/** From a point to the nearest place of an open line (mm); endless when it has no point. */
export const distanceToLine = (point: Point, line: readonly Point[]): number =>
  Math.sqrt(
    line.reduce((least2, next, at) => Math.min(least2, toStretch2(point, line[at - 1] ?? next, next)), Infinity),
  );
