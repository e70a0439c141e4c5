export { daylight, evenness, signFigures, vanishing } from './shared.js';
export type { Figure, FigureInput, FigureKind } from './types.js';
export { computed, lightWords, one, two, typical } from './words.js';
