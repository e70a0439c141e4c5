export * from './tiled-pdf.js';
