export { shapeColour, surfaceColour } from './colours.js';
export { byteOf, exposureFor, gainOn, type Exposure, type Lit, type Viewer } from './exposure.js';
export { falseColour, renderFalseColour } from './false-colour.js';
export { addGlare, glareOf, type Glare } from './glare.js';
export { renderFace, type Picture, type SeenBy } from './render-face.js';
export { shrink } from './shrink.js';
export type { PlacedFront } from './layer.js';
export { sceneBehind, signOver, wallBehind, type SceneLight } from './scene.js';
export { renderSign, renderWall, type PicturedSign } from './sign.js';
