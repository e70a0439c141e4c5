import { Gunzip } from 'fflate';
import { failure, success, type Result } from '../../base/result.js';
import { limits } from './limits.js';

/** The most bytes that a drawing may have once it is unpacked: every character may take two. */
const mostBytes = 2 * limits.characters;
const tooLarge = failure<never>({
  path: '',
  message: `the file is larger than ${limits.characters / 1e6} MB; simplify the drawing`,
});

/** A packed file unpacked, no further than a drawing can be large. */
const unpacked = (bytes: Uint8Array): Result<Uint8Array> => {
  const pieces: Uint8Array[] = [];
  let size = 0;
  const gunzip = new Gunzip((piece) => {
    size += piece.length;
    if (size <= mostBytes) pieces.push(piece);
  });
  // In pieces, so that a file that blows up is not unpacked to its end.
  const step = 65_536;
  try {
    for (let at = 0; at < bytes.length && size <= mostBytes; at += step)
      gunzip.push(bytes.subarray(at, at + step), at + step >= bytes.length);
  } catch {
    return failure({
      path: '',
      message: 'this packed file is broken; send it once more, or save the drawing unpacked',
    });
  }
  if (size > mostBytes) return tooLarge;
  const whole = new Uint8Array(size);
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.length;
  }
  return success(whole);
};

/** How text is written in bytes: by the mark at its beginning, by where its zeros are, or as an XML file says. */
const encodingOf = (bytes: Uint8Array): string => {
  const [a, b, c, d] = bytes;
  if ((a === 0xff && b === 0xfe) || (a === 0x3c && b === 0 && c !== 0 && d === 0)) return 'utf-16le';
  if ((a === 0xfe && b === 0xff) || (a === 0 && b === 0x3c)) return 'utf-16be';
  const head = String.fromCharCode(...bytes.subarray(0, 200));
  const said = /^(?:\u00ef\u00bb\u00bf)?<\?xml[^>]{0,150}?encoding=["']([\w.-]{1,40})["']/i
    .exec(head)?.[1]
    ?.toLowerCase();
  return said === undefined || said.startsWith('utf-16') ? 'utf-8' : said;
};

/**
 * The text of a drawing file as it was loaded: packed (gzip) or plain, in UTF-8, UTF-16 or as an XML file says. Fails where
 * it is too large, or packed and broken; what stands for no character is kept as such.
 */
export const drawingText = (bytes: Uint8Array): Result<string> => {
  const plain = bytes[0] === 0x1f && bytes[1] === 0x8b ? unpacked(bytes) : success(bytes);
  if (!plain.ok) return plain;
  if (plain.value.length > mostBytes) return tooLarge;
  try {
    return success(new TextDecoder(encodingOf(plain.value)).decode(plain.value));
  } catch {
    return success(new TextDecoder().decode(plain.value));
  }
};
