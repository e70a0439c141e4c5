import { failure, success, type Problem, type Result } from '../../base/result.js';

/** A number with the line it stands in. */
interface Figure {
  readonly value: number;
  readonly line: number;
}

const lineProblem = (line: number, message: string): Problem => ({ path: `line ${line}`, message });

/** Takes the numbers of a photometric file one by one, and knows the line of each. */
export interface NumberReader {
  readonly next: (what: string, low: number, high: number) => Result<number>;
  readonly list: (what: string, count: number, low: number, high: number) => Result<readonly number[]>;
  readonly line: () => number;
}

/** Reads numbers, separated by blanks or commas, from `lines` on from index `from`. */
export const numberReader = (lines: readonly string[], from: number): NumberReader => {
  let lineIndex = from;
  let words: readonly string[] = [];
  let word = 0;
  const take = (what: string): Result<Figure> => {
    while (word >= words.length) {
      const text = lines[lineIndex];
      if (text === undefined)
        return failure(lineProblem(lines.length, `the file ends where ${what} should stand; is it cut off?`));
      words = text.split(/[\s,]+/).filter((part) => part !== '');
      word = 0;
      lineIndex += 1;
    }
    const text = words[word] ?? '';
    word += 1;
    const value = Number(text);
    if (!/^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(text) || !Number.isFinite(value))
      return failure(lineProblem(lineIndex, `“${text.slice(0, 20)}” stands where ${what} should, and is no number`));
    return success({ value, line: lineIndex });
  };
  const next = (what: string, low: number, high: number): Result<number> => {
    const found = take(what);
    if (!found.ok) return found;
    const { value, line } = found.value;
    if (value >= low && value <= high) return success(value);
    return failure(lineProblem(line, `${what} is ${value}; it must be between ${low} and ${high}`));
  };
  const list = (what: string, count: number, low: number, high: number): Result<readonly number[]> => {
    const values: number[] = [];
    for (let index = 0; index < count; index += 1) {
      const found = next(`${what} ${index + 1} of ${count}`, low, high);
      if (!found.ok) return found;
      values.push(found.value);
    }
    return success(values);
  };
  return { next, list, line: () => lineIndex };
};
