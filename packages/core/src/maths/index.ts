export { clamp } from './clamp.js';
export * from './constants.js';
export { remember, type Remembered } from './memo.js';
export { evenPoint, evenPoint4, seededRandom, type Random } from './random.js';
export { reuse } from './reuse.js';
