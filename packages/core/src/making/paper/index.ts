export { lackingWords, lettersLacking } from './letters-lacking.js';
export { newPdf, type NewPdf, type PaperType } from './new-pdf.js';
export { loadPaperFonts, paperFontFiles, withOwnFonts, type PaperFont, type PaperFonts } from './paper-fonts.js';
export { missingSign, wordsByFont } from './words-by-font.js';
