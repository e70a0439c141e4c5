import type { LayeredScene } from './types.js';

/** A sheet as a level between two gaps; the back and the opening are levels that are solid all over. */
export interface Level {
  readonly rearZMm: number;
  readonly frontZMm: number;
  readonly solid: Float32Array | null;
}

/** Sheets with the back before them and the opening behind. */
export const levelsOf = ({ planes, depthMm }: LayeredScene): readonly Level[] => [
  { rearZMm: 0, frontZMm: 0, solid: null },
  ...planes,
  { rearZMm: depthMm, frontZMm: depthMm, solid: null },
];

/** Height of the middle of each level. */
export const middlesOf = (levels: readonly Level[]): readonly number[] =>
  levels.map(({ rearZMm, frontZMm }) => (rearZMm + frontZMm) / 2);

/** The levels whose middles lie between two heights, from one to another; none: the second is less. */
export const levelsBetween = (middles: readonly number[], z0: number, z1: number): readonly [number, number] => {
  const [low, high] = z0 < z1 ? [z0, z1] : [z1, z0];
  let [from, to] = [1, 0];
  for (let level = 1; level < middles.length - 1; level += 1)
    if (middles[level]! > low && middles[level]! < high) {
      if (to < from) from = level;
      to = level;
    }
  return [from, to];
};
