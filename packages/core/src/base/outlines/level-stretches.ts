import type { Outline } from './types.js';

/** Where a level line crosses an outline: the stretches inside, from left to right. */
export const levelStretches = (outline: Outline, y: number): readonly (readonly [number, number])[] => {
  const crossings: number[] = [];
  for (const ring of outline) {
    let [x1, y1] = ring[ring.length - 1] ?? [0, 0];
    for (const [x2, y2] of ring) {
      if (y1 > y !== y2 > y) crossings.push(x1 + ((x2 - x1) * (y - y1)) / (y2 - y1));
      [x1, y1] = [x2, y2];
    }
  }
  crossings.sort((a, b) => a - b);
  return Array.from(
    { length: crossings.length >> 1 },
    (_, at) => [crossings[2 * at]!, crossings[2 * at + 1]!] as const,
  );
};
