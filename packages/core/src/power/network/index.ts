export { prepareNetwork, solveNetwork, type Prepared } from './solve.js';
export { ampsAt } from './law.js';
export type { LoadLaw, Loads, Network, Resistors, Solution, Source } from './types.js';
export { networkBuilder, type NetworkBuilder } from './builder.js';
export { addLadder, type Ladder, type LadderEnds } from './ladder.js';
export { addRails, type RailEnds, type RailLoad, type Rails } from './rails.js';
