export { fixingLoads, leanOver, type FixingLoad } from './loads.js';
export { placePosts, type LoadedPost, type PostedPart, type PostOptions, type StripBand } from './posts.js';
