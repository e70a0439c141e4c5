export { newLetter, type Letter } from './letter.js';
export { scaledPdf, scaleFor } from './scaled-pdf.js';
export * from './tile.js';
export { checkSquareMm, papers, tiledPdf, type Paper } from './tiled-pdf.js';
