export { clamp } from './clamp.js';
export * from './constants.js';
export { fingerprint, type Fingerprint } from './fingerprint.js';
export { remember, type Remembered } from './memo.js';
export { evenPoint, evenPoint4, seededRandom, type Random } from './random.js';
export { recall } from './recall.js';
export { reuse } from './reuse.js';
export { sum } from './sum.js';
