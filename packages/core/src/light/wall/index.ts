export {
  edgeGlow,
  glowAlong,
  postShadows,
  type EdgeGlow,
  type EdgeReport,
  type PostShadow,
  type WallProbe,
} from './edge.js';
export type { Looking } from './lights.js';
export { haloGlowOf, type HaloGlow, type HaloGlowInputs } from './glow.js';
export type { HaloScene, Post, StandingPost, WallLight } from './types.js';
export { darkAlongEdge, evenAlongEdge } from './verdict.js';
export { lightWall } from './wall-light.js';
