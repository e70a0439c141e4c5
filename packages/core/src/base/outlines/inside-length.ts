import { inOutline } from './inside.js';
import type { Outline, Point } from './types.js';

/** Length of the straight line between two points that lies in the solid part of an outline (mm). */
export const lengthInside = (from: Point, to: Point, outline: Outline): number => {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const crossings: number[] = [];
  for (const ring of outline) {
    let [px, py] = ring[ring.length - 1] ?? [0, 0];
    for (const [qx, qy] of ring) {
      // Which side of the line each end of the edge lies on; those on it count as above.
      const [a, b] = [dx * (py - from[1]) - dy * (px - from[0]), dx * (qy - from[1]) - dy * (qx - from[0])];
      if (a >= 0 !== b >= 0) {
        const [ex, ey] = [px + ((qx - px) * a) / (a - b) - from[0], py + ((qy - py) * a) / (a - b) - from[1]];
        const share = (ex * dx + ey * dy) / (dx * dx + dy * dy);
        if (share > 0 && share < 1) crossings.push(share);
      }
      [px, py] = [qx, qy];
    }
  }
  const stops = [0, ...crossings.sort((one, other) => one - other), 1];
  const stretches = stops.slice(1).map((stop, at) => stop - stops[at]!);
  // Asked in the middle of the longest stretch: an end of the line may stand on an edge, where it is either.
  const longest = stretches.indexOf(Math.max(...stretches));
  const middle = (stops[longest]! + stops[longest + 1]!) / 2;
  const inside = inOutline([from[0] + dx * middle, from[1] + dy * middle], outline);
  const share = stretches.reduce((sum, long, at) => (((at - longest) % 2 === 0) === inside ? sum + long : sum), 0);
  return share * Math.hypot(dx, dy);
};
