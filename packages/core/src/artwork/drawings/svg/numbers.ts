/** Every number in a list of them, however they are parted (W3C, SVG 1.1, 4.2). */
export const numbersIn = (text: string): readonly number[] =>
  (text.match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi) ?? []).map(Number);
