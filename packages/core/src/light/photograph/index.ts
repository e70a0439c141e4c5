export { comparePhoto, type ComparedPhoto, type PhotographedFace } from './compare-photo.js';
export { isWholeFace } from './is-whole-face.js';
export { aspectOf, isFaceOn, quadMap, quadPlace, type Corners, type PicturePoint } from './quad.js';
export { straighten, type Photo, type Straightened } from './straighten.js';
