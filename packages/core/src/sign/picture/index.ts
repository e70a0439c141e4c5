export {
  byteOf,
  exposureFor,
  falseColour,
  groundColour,
  renderFace,
  renderFalseColour,
  resized,
  shapeColour,
  shrink,
  surfaceColour,
  surroundColour,
  type Exposure,
  type Lit,
  type Picture,
} from './render-face.js';
export { sceneBehind, type PlacedFront, type SceneLight } from './scene.js';
export { renderSign } from './sign.js';
