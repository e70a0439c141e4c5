export { cutRoom, lightStack, type CutRoom, type PatchLimits } from './light-stack.js';
export { thicker, throughPocket, type Slab } from './slab.js';
export { isConvex } from './hidden.js';
export { stretchesOf } from './patches.js';
export { traceStack, type TracedStack } from './trace-stack.js';
export { edgeViews, wallGlow, type EdgeBand, type EdgeViews, type GlowingEdge, type WallGlow } from './wall-glow.js';
export type { StackBalance, StackInputs, StackLight, StackRoom, WallBand, WallPlace } from './types.js';
