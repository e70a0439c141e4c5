import { failure, success, type Result } from '../../base/result.js';
import { fontListings } from './fonts.js';
import { letterFont, startShaping, type LetterFont } from './letter-font.js';
import { fontPacking, unpackWoff } from './sfnt.js';

/** Fonts by id; made once by each host from the files that ship with the program. */
export type FontBook = Pick<ReadonlyMap<string, LetterFont>, 'get' | 'keys'>;

const unreadable = (id: string): Result<never> =>
  failure({ path: id, message: 'the font file could not be read; TTF, OTF, WOFF and WOFF2 files can' });

/**
 * Reads one font file (.woff, .ttf, .otf), once shaping was started. Fails with a sentence when the bytes are no readable
 * font; a WOFF2 is unpacked before (`unpackWoff2`).
 */
export const parseFont = (id: string, bytes: Uint8Array): Result<LetterFont> => {
  const packing = fontPacking(bytes);
  if (packing === null || packing === 'woff2') return unreadable(id);
  try {
    return success(letterFont(packing === 'woff' ? unpackWoff(bytes) : bytes));
  } catch (error) {
    // What is broken is told; what is a slip of the program is not hidden behind it.
    if (error instanceof Error && error.message.includes('not started')) throw error;
    return unreadable(id);
  }
};

/**
 * A font file as it was loaded, to be kept and set in. Fails with a sentence when it is no readable font; a WOFF2 is unpacked
 * before (`unpackWoff2`).
 */
export const openFontFile = async (id: string, bytes: Uint8Array): Promise<Result<Uint8Array>> => {
  await startShaping();
  const font = parseFont(id, bytes);
  return font.ok ? success(bytes) : font;
};

/**
 * A WOFF2 file unpacked, to be kept and set in. Where no code may be made from text, as in the page, it cannot run. Fails with
 * a sentence when it is no readable font.
 */
export const unpackWoff2 = async (id: string, bytes: Uint8Array): Promise<Result<Uint8Array>> => {
  if (fontPacking(bytes) !== 'woff2') return unreadable(id);
  try {
    const { default: unpack } = await import('woff2-encoder/decompress');
    return await openFontFile(id, await unpack(bytes));
  } catch {
    return unreadable(id);
  }
};

/**
 * Loads the files of all shipped fonts through `load`, which turns a package file’s name into its bytes. A font is parsed
 * when it is first asked for: most signs want one of them.
 */
export const loadFontBook = async (load: (file: string) => Promise<ArrayBuffer>): Promise<FontBook> => {
  const [files] = await Promise.all([
    Promise.all(fontListings.map(async ({ id, file }) => [id, await load(file)] as const)),
    startShaping(),
  ]);
  const byId = new Map(files);
  const parsed = new Map<string, LetterFont>();
  return {
    keys: () => byId.keys(),
    get: (id) => {
      const bytes = byId.get(id);
      const known = parsed.get(id);
      if (bytes === undefined || known !== undefined) return known;
      const font = parseFont(id, new Uint8Array(bytes));
      if (!font.ok) throw new Error(`a font that ships with the program is broken: ${id}`);
      parsed.set(id, font.value);
      return font.value;
    },
  };
};
