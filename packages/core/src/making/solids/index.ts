export { boreAlong, solidOfBlocks, type Block } from './blocks.js';
export { letterShell, wallClip, type ShellSizes } from './letter-solids.js';
export { stacked } from './stacked.js';
export { stlOf } from './stl.js';
export type { Solid } from './solid.js';
export type { Layer, Triangles } from './types.js';
