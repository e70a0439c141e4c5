export { sides, type Block, type Box, type Side } from './box.js';
export { exchangeAreas, type Exchange } from './exchange.js';
export { parallelTable, perpendicularTable } from './form-factors.js';
export { layPatches, patchHit, type Enclosure, type Panel } from './patches.js';
export { solveExchange, exchangeResidual, type SolvedLight } from './solve-exchange.js';
