export { comparePhoto, type ComparedPhoto, type PhotographedFace } from './compare-photo.js';
export { isWholeFace } from './is-whole-face.js';
export { isFaceOn, quadMap, type Corners, type PicturePoint } from './quad.js';
export { straighten, type Photo, type Straightened } from './straighten.js';
