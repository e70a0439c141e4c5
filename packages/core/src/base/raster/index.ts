export { blurMap, blurOver, type Transfer } from './blur.js';
export { fromFrequencies, multiplyBy, powerOfTwo, toFrequencies, type Spectrum } from './fft.js';
export { finer } from './finer.js';
export { cellMiddle, gridOver } from './grid.js';
export { resample } from './spline.js';
export type { Grid } from './types.js';
