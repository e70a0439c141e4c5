import type { PaperFonts } from './paper-fonts.js';
import { wordsByFont } from './words-by-font.js';

/** Longer texts are no words: pictures, fonts and drawings are kept as text. */
const longestWords = 2000;

const wordsIn = (value: unknown): readonly string[] => {
  if (typeof value === 'string') return value.length <= longestWords ? [value] : [];
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(wordsIn) : [];
};

/** Letters in the words of a design that no font for paper has: they cannot be printed. */
export const lettersLacking = (design: object, fonts: PaperFonts): readonly string[] => [
  ...new Set(wordsIn(design).flatMap((words) => wordsByFont(words, fonts.regular).missing)),
];

/** What is said where letters cannot be printed; null where all can. */
export const lackingWords = (design: object, fonts: PaperFonts): string | null => {
  const lacking = lettersLacking(design, fonts);
  return lacking.length === 0
    ? null
    : `No font here has ${lacking.join(' ')}: PDFs print “?” for ${lacking.length === 1 ? 'it' : 'them'}. Load a font that has ${lacking.length === 1 ? 'it' : 'them'} for the sign’s letters, or write the name in others.`;
};
