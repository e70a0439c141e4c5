import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { loadFontBook, loadPaperFonts, type FontBook, type PaperFonts } from '@vitrum/core';

const fontFiles = createRequire(import.meta.resolve('@vitrum/core'));

/** Bytes of a font file from the packages that ship it. */
const loadFontFile = async (file: string): Promise<ArrayBuffer> => {
  const bytes = await readFile(fontFiles.resolve(file));
  return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
};

/** The fonts that ship with the app, read from where they are installed. */
export const shippedFonts = (): Promise<FontBook> => loadFontBook(loadFontFile);

/** The fonts for paper, likewise. */
export const paperFonts = (): Promise<PaperFonts> => loadPaperFonts(loadFontFile);
