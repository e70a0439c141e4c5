const two32 = 2 ** 32;

/** Whole numbers taken in one after the other, and told by a short text: the same text for the same numbers. */
export interface Fingerprint {
  readonly add: (whole: number) => void;
  readonly text: () => string;
}

/**
 * A fingerprint of numbers: two 32-bit multiply-and-xor hashes (FNV-1a with two multipliers) and their count, so that two
 * lists share one by chance once in some 10¹⁹.
 */
export const fingerprint = (): Fingerprint => {
  let [one, other, count] = [0x811c9dc5 | 0, 0x9e3779b9 | 0, 0];
  return {
    add: (whole) => {
      const [low, high] = [whole | 0, Math.floor(whole / two32) | 0];
      one = Math.imul(Math.imul(one ^ low, 0x01000193) ^ high, 0x01000193);
      other = Math.imul(Math.imul(other ^ low, 0x85ebca6b) ^ high, 0xc2b2ae35);
      // Spread the upper bits down, which multiplying alone never does.
      other ^= other >>> 15;
      count += 1;
    },
    text: () => `${one >>> 0}.${other >>> 0}.${count}`,
  };
};
