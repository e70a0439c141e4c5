export { glowAlong, postShadows, scallopContrast, type EdgeGlow, type EdgeReport, type PostShadow } from './edge.js';
export type { HaloScene, Post, WallLight } from './types.js';
export { lightWall } from './wall-light.js';
