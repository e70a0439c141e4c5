export { betweenPlaces } from './between-places.js';
export { blurMap, blurOver, type Transfer } from './blur.js';
export { fromFrequencies, multiplyBy, powerOfTwo, toFrequencies, type Spectrum } from './fft.js';
export { finer } from './finer.js';
export { gathered } from './gathered.js';
export { cellMiddle, gridOver } from './grid.js';
export { mapValue, smoothMapValue } from './map-value.js';
export { resample } from './spline.js';
export type { Grid } from './types.js';
