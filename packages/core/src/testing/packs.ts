import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { shippedCatalogue } from '../document/catalogue/index.js';
import { benchPack, benchZip, type PackFile } from '../files/exports/index.js';
import { loadPaperFonts, type PaperFonts } from '../making/paper/index.js';
import type { Evaluation } from '../sign/evaluate/index.js';

const packages = createRequire(import.meta.url);

let paper: Promise<PaperFonts> | null = null;

/** The fonts for paper, read once for all tests. */
export const testPaper = (): Promise<PaperFonts> =>
  (paper ??= loadPaperFonts(async (file) => {
    const bytes = await readFile(packages.resolve(file));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
  }));

const stuff = async () => ({ catalogue: shippedCatalogue, fonts: await testPaper() });

/** The bench pack of a sign, by the shelf that ships. */
export const packOf = async (evaluation: Evaluation): Promise<readonly PackFile[]> =>
  benchPack(evaluation, await stuff());

/** The same in one file. */
export const zipOf = async (evaluation: Evaluation): Promise<Uint8Array> => benchZip(evaluation, await stuff());
