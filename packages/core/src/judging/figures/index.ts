export { daylight, evenness, signFigures, vanishing } from './shared.js';
export type { Figure, FigureInput, FigureKind } from './types.js';
export { computed, one, two, typical } from './words.js';
