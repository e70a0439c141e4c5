export type { CorpusFile } from './corpus-file.js';
export { dxfCorpus, dxfText } from './dxf.js';
export { svgCorpus } from './svg.js';
