import Flatbush from 'flatbush';
import type { Ring } from './types.js';

/**
 * How many pairs of edges lie so that they may cross, by their bounds: what uniting rings costs. Counted up to `most`, in
 * about as many steps; neighbours along a ring are not told from others.
 */
export const likelyCrossings = (rings: readonly Ring[], most: number): number => {
  const count = rings.reduce((sum, ring) => sum + ring.length, 0);
  if (count < 2) return 0;
  const boxes = new Float64Array(4 * count);
  let at = 0;
  for (const ring of rings)
    ring.forEach(([x, y], place) => {
      const [nextX, nextY] = ring[(place + 1) % ring.length]!;
      boxes.set([Math.min(x, nextX), Math.min(y, nextY), Math.max(x, nextX), Math.max(y, nextY)], at);
      at += 4;
    });
  const index = new Flatbush(count);
  for (let edge = 0; edge < count; edge += 1)
    index.add(boxes[4 * edge]!, boxes[4 * edge + 1]!, boxes[4 * edge + 2], boxes[4 * edge + 3]);
  index.finish();
  let pairs = 0;
  for (let edge = 0; edge < count && pairs < most; edge += 1)
    index.search(boxes[4 * edge]!, boxes[4 * edge + 1]!, boxes[4 * edge + 2]!, boxes[4 * edge + 3]!, (other) => {
      // Each pair is found from both sides, and each edge finds itself.
      if (other > edge) pairs += 1;
      return false;
    });
  return Math.min(most, pairs);
};
