/** Two typed numbers of one reading. */
export interface ReadingRow {
  readonly first: string;
  readonly second: string;
}

export const emptyRow: ReadingRow = { first: '', second: '' };

const numberOf = (text: string): number => Number(text.replace(',', '.').trim() || Number.NaN);

/** Rows in which something stands, as numbers (NaN where what stands there is none). */
export const filledRows = (rows: readonly ReadingRow[]): readonly (readonly [number, number])[] =>
  rows
    .filter(({ first, second }) => first.trim() !== '' || second.trim() !== '')
    .map(({ first, second }) => [numberOf(first), numberOf(second)]);

/** A row changed; there is always an empty one at the end. */
export const changeRow = (rows: readonly ReadingRow[], index: number, row: ReadingRow): readonly ReadingRow[] => {
  const next = rows.map((old, place) => (place === index ? row : old));
  const last = next.at(-1);
  return last !== undefined && (last.first !== '' || last.second !== '') ? [...next, emptyRow] : next;
};

/** Today, as 2030-01-31. */
export const today = (now = new Date()): string => now.toISOString().slice(0, 10);

const toLinear = (encoded: number): number =>
  encoded <= 0.04045 ? encoded / 12.92 : Math.pow((encoded + 0.055) / 1.055, 2.4);

/** Linear luminance of sRGB bytes, four a pixel. */
export const linearGrey = (bytes: Uint8ClampedArray): Float64Array => {
  const grey = new Float64Array(bytes.length / 4);
  for (let pixel = 0; pixel < grey.length; pixel += 1)
    grey[pixel] =
      0.2126 * toLinear(bytes[pixel * 4]! / 255) +
      0.7152 * toLinear(bytes[pixel * 4 + 1]! / 255) +
      0.0722 * toLinear(bytes[pixel * 4 + 2]! / 255);
  return grey;
};
