import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { loadFontBook, loadPaperFonts, type FontBook, type PaperFonts } from '@vitrum/core';

const packages = createRequire(import.meta.resolve('@vitrum/core'));

const load = async (file: string): Promise<ArrayBuffer> => {
  const bytes = await readFile(packages.resolve(file));
  return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
};

/** The fonts that ship with the program, from the packages that hold them. */
export const shippedFonts = (): Promise<FontBook> => loadFontBook(load);

/** The fonts for paper, likewise. */
export const paperFonts = (): Promise<PaperFonts> => loadPaperFonts(load);
