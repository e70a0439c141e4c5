export type { CorpusFile } from './corpus-file.js';
export { dxfCorpus } from './dxf.js';
export { dxfText } from './dxf-entities.js';
export { svgCorpus } from './svg.js';
