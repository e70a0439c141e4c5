export { chooseFont } from './choose-font.js';
export { loadFontBook, openFontFile, parseFont, unpackWoff2, type FontBook } from './font-book.js';
export { fontPacking, unpackWoff } from './sfnt.js';
export { startShaping, type FontWeights, type LetterFont } from './letter-font.js';
export { runsOf } from './text-runs.js';
export { fontListings, type FontListing } from './fonts.js';
export { layLettering, type Lettering } from './lettering.js';
