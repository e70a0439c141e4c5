export { photoOfPng, pngOfPicture } from './photo-png.js';
export { pictureOnWall } from './picture-on-wall.js';
export { wallHeightMm, wallProblem, wallRectangle } from './setup.js';
export type { WallLight, WallSetup } from './types.js';
