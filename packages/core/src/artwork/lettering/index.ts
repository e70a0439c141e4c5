export { chooseFont } from './choose-font.js';
export { loadFontBook, parseFont, type FontBook } from './font-book.js';
export { fontListings, type FontListing } from './fonts.js';
export { layLettering, type Lettering } from './lettering.js';
