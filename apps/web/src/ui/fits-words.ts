/** Whether a text has all words that are looked for in it, in any order, large or small. */
export const fitsWords = (text: string, words: string): boolean => {
  const whole = text.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => whole.includes(word));
};
