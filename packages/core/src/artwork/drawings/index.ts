export { readDxf } from './dxf/read-dxf.js';
export { limits } from './limits.js';
export { greyOf, pictureOfJpeg, pictureOfPng } from './picture/grey.js';
export { tracePicture, type GreyPicture, type TraceOptions } from './picture/trace-picture.js';
export { readSvg } from './svg/read-svg.js';
export type { Drawing, DrawnPath, DrawnShape } from './types.js';
export { isPdf, pdfAsSvg } from './pdf/pdf-text.js';
export { drawingText } from './drawing-text.js';
