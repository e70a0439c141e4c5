import type { Point, Rect, Ring } from '../../base/outlines/index.js';

/** A rectangle with corners of `radius`, its lower ones of `low`. */
export const roundedRing = ({ x, y, width, height }: Rect, radius: number, low: number): Ring => {
  const steps = 8;
  const arc = (cx: number, cy: number, from: number, r: number): readonly Point[] =>
    r <= 0
      ? [[cx, cy]]
      : Array.from({ length: steps + 1 }, (_, at): Point => {
          const angle = from + (at / steps) * (Math.PI / 2);
          return [cx + r * Math.cos(angle), cy + r * Math.sin(angle)];
        });
  const [right, top] = [x + width, y + height];
  return [
    ...arc(x + low, y + low, Math.PI, low),
    ...arc(right - low, y + low, 1.5 * Math.PI, low),
    ...arc(right - radius, top - radius, 0, radius),
    ...arc(x + radius, top - radius, Math.PI / 2, radius),
  ];
};
