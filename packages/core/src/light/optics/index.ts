export { xK1 } from './bessel.js';
export { faceStack } from './face-stack.js';
export { partlyCovered, stackOf } from './stack.js';
export type { FaceStack, Layer } from './types.js';
export { lobeNorm, viewThrough, type StackView } from './view.js';
