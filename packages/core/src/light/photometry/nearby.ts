import type { PointSources } from './types.js';

/** Buckets are so many times smaller than the longest reach: as many of them each way hold all that reach a place. */
const bucketsAReach = 3;
/** Columns and rows of buckets are told by one number; a design is far smaller than this many buckets. */
const mostBuckets = 1 << 20;

/** For any place, the LEDs within `reach` mm of it, and perhaps some that are not: sorted into square buckets once. */
export const nearbyLeds = ({ count, x, y }: PointSources, reach: number): ((x: number, y: number) => Int32Array) => {
  const cell = reach / bucketsAReach;
  const keyOf = (column: number, row: number): number => column * mostBuckets + row;
  const buckets = new Map<number, number[]>();
  for (let led = 0; led < count; led += 1) {
    const key = keyOf(Math.floor(x[led]! / cell), Math.floor(y[led]! / cell));
    const bucket = buckets.get(key);
    if (bucket === undefined) buckets.set(key, [led]);
    else bucket.push(led);
  }
  const gathered = new Map<number, Int32Array>();
  const gather = (column: number, row: number): Int32Array => {
    const found: number[] = [];
    for (let i = -bucketsAReach; i <= bucketsAReach; i += 1)
      for (let j = -bucketsAReach; j <= bucketsAReach; j += 1)
        for (const led of buckets.get(keyOf(column + i, row + j)) ?? []) found.push(led);
    return Int32Array.from(found);
  };
  return (px, py) => {
    const [column, row] = [Math.floor(px / cell), Math.floor(py / cell)];
    const key = keyOf(column, row);
    const known = gathered.get(key) ?? gather(column, row);
    gathered.set(key, known);
    return known;
  };
};
