import { toByteArray } from 'base64-js';
import type { Artwork } from '../../document/design/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { parseFont, type FontBook } from './font-book.js';
import type { LetterFont } from './letter-font.js';

const bytesOf = (base64: string): Uint8Array | null => {
  try {
    return toByteArray(base64);
  } catch {
    // Its only failure is text that is no base64.
    return null;
  }
};

/** The font that letters are set in: the shop’s own file if there is one, or one of the book. Fails with the field’s path. */
export const chooseFont = (
  fontId: Artwork['fontId'],
  ownFont: NonNullable<Artwork['ownFont']> | null,
  fonts: FontBook,
): Result<LetterFont> => {
  if (ownFont !== null) {
    const path = 'artwork.ownFont';
    const bytes = bytesOf(ownFont.base64);
    return bytes === null
      ? failure({ path, message: 'the font is not stored as it should be; load its file again' })
      : parseFont(path, bytes);
  }
  const font = fonts.get(fontId);
  return font === undefined
    ? failure({
        path: 'artwork.fontId',
        message: `“${fontId}” is not a font that ships with Vitrum; there is ${[...fonts.keys()].join(', ')}`,
      })
    : success(font);
};
