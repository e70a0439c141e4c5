import type { Workability } from '../../artwork/workability/index.js';

/** A rounded inner corner shows from this radius on (mm); typical. */
const leastRoundMm = 0.75;

/** What a tool loses, without corners that are rounded by so little that nobody sees it. */
export const seenLosses = (found: Workability): Workability => ({
  ...found,
  lost: found.lost.filter(({ kind, widthMm }) => kind !== 'corner' || widthMm > leastRoundMm),
});
