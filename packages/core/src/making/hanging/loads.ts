import type { Point } from '../../base/outlines/index.js';

/** What a fixing carries of what hangs on it (kg): pulled to the right and down; a negative share of the second lifts. */
export interface FixingLoad {
  readonly acrossKg: number;
  readonly downKg: number;
  /** Both together. */
  readonly kg: number;
}

/**
 * How `kg` with its centre of gravity at `centre` is shared by fixings that give alike every way: each its part of the
 * weight, and at right angles to its way from their middle what turns back the moment, r·M / Σr² (the elastic method for
 * groups of fasteners). For two on a level line that is the lever rule. One fixing alone carries all, and holds no moment.
 */
export const fixingLoads = (fixings: readonly Point[], centre: Point, kg: number): readonly FixingLoad[] => {
  const count = fixings.length;
  if (count === 0) return [];
  const middleX = fixings.reduce((sum, [x]) => sum + x, 0) / count;
  const middleY = fixings.reduce((sum, [, y]) => sum + y, 0) / count;
  const spread2 = fixings.reduce((sum, [x, y]) => sum + (x - middleX) ** 2 + (y - middleY) ** 2, 0);
  const moment = kg * (centre[0] - middleX);
  return fixings.map(([x, y]) => {
    const turn = spread2 > 0 ? moment / spread2 : 0;
    const [acrossKg, downKg] = [(y - middleY) * turn, kg / count + (x - middleX) * turn];
    return { acrossKg, downKg, kg: Math.hypot(acrossKg, downKg) };
  });
};

/**
 * How far a part leans over its width (mm): each fixing goes by the play of its hole the way that it is pulled, and the
 * part turns with them as nearly as it can. Not at all where all are pulled straight down; by twice the play over their
 * distance where one of two is lifted.
 */
export const leanOver = (
  fixings: readonly Point[],
  loads: readonly FixingLoad[],
  playMm: number,
  widthMm: number,
): number => {
  const count = fixings.length;
  if (count === 0) return 0;
  const middleX = fixings.reduce((sum, [x]) => sum + x, 0) / count;
  const middleY = fixings.reduce((sum, [, y]) => sum + y, 0) / count;
  let [turned, spread2] = [0, 0];
  fixings.forEach(([x, y], at) => {
    const { acrossKg, downKg, kg } = loads[at]!;
    spread2 += (x - middleX) ** 2 + (y - middleY) ** 2;
    if (kg > 0) turned += (playMm * ((x - middleX) * downKg + (y - middleY) * acrossKg)) / kg;
  });
  return spread2 > 0 ? (Math.abs(turned) / spread2) * widthMm : 0;
};
