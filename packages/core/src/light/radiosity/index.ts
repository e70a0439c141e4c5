export { sides, type Block, type Box, type Side } from './box.js';
export { exchangeAreas, type Exchange } from './exchange.js';
export { parallelExchange, perpendicularExchange, type CellExchange } from './form-factors.js';
export { foldExchange, solveMirrored, type Mirrored } from './mirrored.js';
export { layPatches, patchHit, type Enclosure, type Panel } from './patches.js';
export { solveExchange, exchangeResidual } from './solve-exchange.js';
export type { SolvedLight } from './settling.js';
export { addSeenFrom, type SmallArea } from './seen-from.js';
