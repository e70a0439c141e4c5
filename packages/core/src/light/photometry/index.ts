export { intensityOf, type IntensityOf } from './intensity-of.js';
export { nearbyLeds } from './nearby.js';
export { distributionOf } from './of-strip.js';
export { maxIesCharacters, readIes } from './read-ies.js';
export { cosineExponent, directionSampler, intensityAt, isRound } from './shape.js';
export type { CosineLaw, Distribution, MeasuredTable, PhotometricFile, PointSources } from './types.js';
export { sourcesFrom } from './sources-from.js';
