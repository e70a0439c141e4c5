/** How the engine writes the steps of a path, each with its coordinates after it. */
const steps: Readonly<Record<number, readonly [letter: string, coordinates: number]>> = {
  0: ['M', 2],
  1: ['L', 2],
  2: ['C', 6],
  3: ['Q', 4],
  4: ['Z', 0],
};

/** A path of the engine as path data of SVG; what comes after a step that it does not know is left. */
export const pathData = (numbers: ArrayLike<number>): string => {
  const parts: string[] = [];
  let at = 0;
  while (at < numbers.length) {
    const step = steps[numbers[at]!];
    if (step === undefined) break;
    const [letter, count] = step;
    parts.push(letter + Array.from({ length: count }, (_, index) => numbers[at + 1 + index]!).join(' '));
    at += 1 + count;
  }
  return parts.join('');
};
