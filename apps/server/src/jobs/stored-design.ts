import { readDesign, type Design } from '@vitrum/core';

/**
 * A design as it was stored, brought to the version of this program. One that cannot be read goes out as it is: the page
 * says what is wrong with it, and nothing is lost.
 */
export const designFromStore = (stored: unknown): Design => {
  const read = readDesign(stored);
  return read.ok ? read.value : (stored as Design);
};

/** The same as text: what it is read from and what it is brought to. */
export const storedDesignText = (text: string): string => {
  const stored: unknown = JSON.parse(text);
  const design = designFromStore(stored);
  return design === stored ? text : JSON.stringify(design);
};
