import opentype, { type Font } from 'opentype.js';
import { failure, success, type Result } from '../../base/result.js';
import { fontListings } from './fonts.js';

/** Fonts by id; made once by each host from the files that ship with the program. */
export type FontBook = Pick<ReadonlyMap<string, Font>, 'get' | 'keys'>;

/** Parses one font file (.woff, .ttf, .otf). Fails with a sentence when the bytes are no readable font. */
export const parseFont = (id: string, bytes: ArrayBuffer): Result<Font> => {
  try {
    return success(opentype.parse(bytes));
  } catch {
    // Its own words are about bytes; what helps is which files can be read.
    return failure({ path: id, message: 'the font file could not be read; TTF, OTF and WOFF files can, WOFF2 cannot' });
  }
};

/**
 * Loads the files of all shipped fonts through `load`, which turns a package file’s name into its bytes. A font is parsed
 * when it is first asked for: most signs want one of them.
 */
export const loadFontBook = async (load: (file: string) => Promise<ArrayBuffer>): Promise<FontBook> => {
  const files = new Map(await Promise.all(fontListings.map(async ({ id, file }) => [id, await load(file)] as const)));
  const parsed = new Map<string, Font>();
  return {
    keys: () => files.keys(),
    get: (id) => {
      const bytes = files.get(id);
      const known = parsed.get(id);
      if (bytes === undefined || known !== undefined) return known;
      const font = parseFont(id, bytes);
      if (!font.ok) throw new Error(`a font that ships with the program is broken: ${id}`);
      parsed.set(id, font.value);
      return font.value;
    },
  };
};
