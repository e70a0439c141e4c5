import opentype, { type Font } from 'opentype.js';
import { failure, success, type Result } from '../../base/result.js';
import { fontListings } from './fonts.js';

/** Parsed fonts by id; made once by each host from the files that ship with the program. */
export type FontBook = ReadonlyMap<string, Font>;

/** Parses one font file (.woff, .ttf, .otf). Fails with a sentence when the bytes are no readable font. */
export const parseFont = (id: string, bytes: ArrayBuffer): Result<Font> => {
  try {
    return success(opentype.parse(bytes));
  } catch {
    // Its own words are about bytes; what helps is which files can be read.
    return failure({ path: id, message: 'the font file could not be read; TTF, OTF and WOFF files can, WOFF2 cannot' });
  }
};

/** Loads every shipped font through `load`, which turns a package file's name into its bytes. */
export const loadFontBook = async (load: (file: string) => Promise<ArrayBuffer>): Promise<FontBook> => {
  const fonts = await Promise.all(
    fontListings.map(async ({ id, file }) => {
      const font = parseFont(id, await load(file));
      if (!font.ok) throw new Error(`a font that ships with the program is broken: ${id}`);
      return [id, font.value] as const;
    }),
  );
  return new Map(fonts);
};
