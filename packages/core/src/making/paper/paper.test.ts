import { beforeAll, describe, expect, it } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { fromByteArray } from 'base64-js';
import { PDFDocument } from 'pdf-lib';
import { testPaper } from '../../testing/packs.js';
import { wordsOfPdf } from '../../testing/readers/pdf-words.js';
import { newLetter } from '../templates/index.js';
import { lackingWords, lettersLacking, newPdf, withOwnFonts, wordsByFont, type PaperFonts } from './index.js';

let fonts: PaperFonts;
beforeAll(async () => {
  fonts = await testPaper();
});

const written = async (words: string, used = fonts): Promise<string> => {
  const { write, save } = await newLetter('Letter', 'a4', used);
  write(words);
  return (await wordsOfPdf(await save())).join(' ');
};

describe('words on paper', () => {
  it.each([
    ['plain', 'Dispensary box, 2 × 0.35 mm², €12.50 – “lit” … • Ø 4 mm'],
    ['Polish', 'Żółta łódź świeci'],
    ['Czech', 'Příliš žluťoučký kůň'],
    ['Greek', 'Φωτεινή επιγραφή'],
    ['Russian', 'Световая вывеска'],
    ['Vietnamese', 'Biển hiệu sáng'],
  ])('print and are read back by another reader: %s', async (_, words) => {
    // Readers part words where the file of the font changes.
    expect((await written(words)).replace(/\s/g, '')).toContain(words.replace(/\s/g, ''));
    expect(lettersLacking({ name: words }, fonts)).toEqual([]);
  });

  it.each([
    ['Hebrew', 'שלט מואר'],
    ['Arabic', 'لافتة مضيئة'],
    ['Devanagari', 'चमकता बोर्ड'],
  ])('print in scripts that are joined or run from the right: %s', async (_, words) => {
    expect(lettersLacking({ name: words }, fonts)).toEqual([]);
    const { pieces } = wordsByFont(words, fonts.regular);
    expect(
      pieces
        .map(({ text }) => text)
        .join('')
        .replace(/\s/g, ''),
    ).toHaveLength(words.replace(/\s/g, '').length);
    expect((await written(words)).length).toBeGreaterThan(3);
  });

  it('are wide as their letters are, in either weight', async () => {
    const { type } = await newPdf('x', fonts);
    expect(type.widthOf('Wide', 10)).toBeCloseTo(2 * type.widthOf('Wide', 5), 9);
    expect(type.widthOf('Wide', 10, true)).toBeGreaterThan(type.widthOf('Wide', 10));
    expect(type.widthOf('', 10)).toBe(0);
  });

  it('that no font has are told: a sentence, and a note on the page with their code points', async () => {
    expect(lettersLacking({ name: '寿司 bar', deep: [{ text: '寿' }] }, fonts)).toEqual(['寿', '司']);
    expect(lackingWords({ name: '寿司 bar' }, fonts)).toBe(
      'No font here has 寿 司: PDFs print “?” for them. Load a font that has them for the sign’s letters, or write the name in others.',
    );
    expect(lackingWords({ name: 'Sushi bar' }, fonts)).toBeNull();
    const words = await written('寿司 bar');
    expect(words).toContain('?? bar');
    expect(words).toContain('U+5BFF, U+53F8');
  });

  it('use the font that a sign brings where others have not its letters', async () => {
    const packages = createRequire(import.meta.url);
    const file = await readFile(
      packages.resolve('@fontsource/noto-sans-hebrew/files/noto-sans-hebrew-hebrew-700-normal.woff'),
    );
    const plain: PaperFonts = { regular: fonts.regular.slice(0, 1), bold: fonts.bold.slice(0, 1) };
    expect(lettersLacking({ name: 'שלט' }, plain)).toHaveLength(3);
    const design = { assemblies: [{ artwork: { ownFont: { name: 'own.woff', base64: fromByteArray(file) } } }] };
    const own = withOwnFonts(plain, design);
    expect(lettersLacking({ name: 'שלט' }, own)).toEqual([]);
    const known = withOwnFonts(plain, { name: 'no font of its own' });
    expect(known).toBe(plain);
  });

  it('print without a font that is broken, or that no file can hold', async () => {
    const own = (base64: string) => withOwnFonts(fonts, { artwork: { ownFont: { name: 'own.ttf', base64 } } });
    expect(own('not base64 at all!')).toBe(fonts);
    expect(own(fromByteArray(new Uint8Array(400)))).toBe(fonts);
    const [first] = fonts.regular;
    const unfit = { ...first!, id: 'cut only', bytes: first!.bytes.slice(0, 60), has: (each: string) => each === '寿' };
    const words = await written('寿 bar', { regular: [...fonts.regular, unfit], bold: fonts.bold });
    expect(words).toContain('? bar');
    expect(words).toContain('U+5BFF');
  });

  it('make the same file twice', async () => {
    const once = async (): Promise<Uint8Array> => {
      const { write, save } = await newLetter('Twice', 'letter', fonts);
      write('Żółta łódź');
      write('heavy', 12, true);
      return save();
    };
    expect(await once()).toEqual(await once());
  });

  it('keep a title with what follows it', async () => {
    const { write, keep, save } = await newLetter('Pages', 'a4', fonts);
    for (let line = 0; line < 42; line += 1) write(`line ${line}`);
    keep(24);
    write('A title', 12, true);
    write('its text');
    const bytes = await save();
    const pages = await wordsOfPdf(bytes);
    expect((await PDFDocument.load(bytes)).getPageCount()).toBe(2);
    expect(pages[1]).toBe('A title its text');
  });
});
