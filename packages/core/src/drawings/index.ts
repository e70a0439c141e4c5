export { readDxf } from './dxf/read-dxf.js';
export { limits } from './limits.js';
export { readSvg } from './svg/read-svg.js';
export type { Drawing, DrawnPath, DrawnShape } from './types.js';
