export { clamp } from './clamp.js';
export * from './constants.js';
export { fingerprint, type Fingerprint } from './fingerprint.js';
export { memoizeLast, type Memoized } from './memoize-last.js';
export { evenPoint, evenPoint4, seededRandom, type Random } from './random.js';
export { boundedCache } from './bounded-cache.js';
export { shareStructure } from './share-structure.js';
export { solveLinear } from './solve-linear.js';
export { sum } from './sum.js';
