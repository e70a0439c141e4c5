export { glowAlong, postShadows, scallopContrast, type EdgeGlow, type EdgeReport, type PostShadow } from './edge.js';
export { placePosts, postsAmiss, type PostedPart, type PostWish } from './posts.js';
export type { HaloScene, Post, WallLight } from './types.js';
export { lightWall } from './wall-light.js';
