import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { loadFontBook, type FontBook } from '@vitrum/core';

const packages = createRequire(import.meta.resolve('@vitrum/core'));

/** The fonts that ship with the program, from the packages that hold them. */
export const shippedFonts = (): Promise<FontBook> =>
  loadFontBook(async (file) => {
    const bytes = await readFile(packages.resolve(file));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
  });
