export { cellMiddle, gridOver } from './grid.js';
export type { Grid } from './types.js';
