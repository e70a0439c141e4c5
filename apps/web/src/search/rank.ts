/** Where words stand: at the start of the title, at the start of a word of it, within it, or in what is said of it. */
const ranks = { start: 1, word: 0.8, within: 0.5, detail: 0.2 } as const;

const rankOfWord = (word: string, title: string, detail: string): number => {
  if (title.startsWith(word)) return ranks.start;
  if (title.includes(` ${word}`)) return ranks.word;
  if (title.includes(word)) return ranks.within;
  return detail.includes(word) ? ranks.detail : 0;
};

/** How well an entry is what was asked for, from 0 to 1; every word must be found. */
export const rankOf = (asked: string, title: string, detail: string): number => {
  const words = asked.toLowerCase().split(/\s+/).filter(Boolean);
  return words.reduce((least, word) => Math.min(least, rankOfWord(word, title.toLowerCase(), detail.toLowerCase())), 1);
};
