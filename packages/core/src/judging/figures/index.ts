export { daylight, evenness, price, reel, vanishing, watts, weight } from './shared.js';
export type { Figure, FigureInput, FigureKind } from './types.js';
export { computed, one, two, typical } from './words.js';
