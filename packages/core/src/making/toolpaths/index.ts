export { cutInOrder } from './cutting-order.js';
export { cutWayOf } from './cut-way.js';
export { movedLayers } from './moved.js';
export { tidyPart } from './tidy-part.js';
export { toolpathPart } from './tool-path.js';
