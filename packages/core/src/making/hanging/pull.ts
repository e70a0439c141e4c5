/** Where everything is at one height, what bears is the flange of a spacer, or the plate: so far from its screw (mm). */
const flangeMm = 8;

/**
 * How a sign whose weight stands off its wall pulls at its fixings (kg each): about the edge that bears below, the moment
 * kg × depth is held by the fixings by their heights over it, h·M / Σh²: for all at one height that is kg × depth / height
 * shared evenly. Without an edge that bears, about the middle of the fixings, where those below push.
 */
export const pullLoads = (
  heights: readonly number[],
  bearingMm: number | null,
  kg: number,
  depthMm: number,
): readonly number[] => {
  const count = heights.length;
  if (count === 0) return [];
  const moment = kg * depthMm;
  const middle = bearingMm ?? heights.reduce((sum, y) => sum + y, 0) / count;
  const levers = heights.map((y) => y - middle);
  const squares = levers.reduce((sum, lever) => sum + lever * lever, 0);
  if (squares < count * flangeMm ** 2) return heights.map(() => moment / (count * flangeMm));
  return levers.map((lever) => (lever * moment) / squares);
};
