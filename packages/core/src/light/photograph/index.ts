export { comparePhoto, type ComparedPhoto, type Computed } from './compare-photo.js';
export { isFaceOn, quadMap, type Corners, type PicturePoint } from './quad.js';
export { straighten, type Photo, type Straightened } from './straighten.js';
