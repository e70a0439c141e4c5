export { chooseFont } from './choose-font.js';
export { loadFontBook, openFontFile, parseFont, unpackWoff2, type FontBook } from './font-book.js';
export { fontPacking } from './sfnt.js';
export type { FontWeights, LetterFont } from './letter-font.js';
export { fontListings, type FontListing } from './fonts.js';
export { layLettering, type Lettering } from './lettering.js';
