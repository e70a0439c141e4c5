import type { Placement } from '../../document/design/index.js';

/** In the middle of the wall, not turned: where the first assembly of a sign stands. */
export const onTheWall: Placement = { on: null, xMm: 0, yMm: 0, turnDeg: 0 };
