import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { fromByteArray } from 'base64-js';
import { beforeAll, describe, expect, it } from '@jest/globals';
import { ringArea } from '../../base/outlines/index.js';
import { dispensary, testFonts } from '../../testing/harness.js';
import { runsOf } from './text-runs.js';
import {
  chooseFont,
  fontListings,
  layLettering,
  openFontFile,
  parseFont,
  unpackWoff2,
  type FontBook,
  type Lettering,
} from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const artwork = dispensary.assemblies[0]!.artwork;
const lay = (text: string, change: object = {}) => {
  const wanted = { ...artwork, ...change };
  const font = chooseFont(wanted.fontId, wanted.ownFont ?? null, fonts);
  return layLettering(text, wanted, font, wanted.offsetXMm, wanted.offsetYMm);
};
const set = (text: string, change: object = {}): Lettering => {
  const laid = lay(text, change);
  if (!laid.ok) throw new Error(laid.problems[0]?.message);
  return laid.value;
};

describe('lettering', () => {
  it.each(fontListings.filter(({ writes }) => writes === undefined).map(({ id }) => id))(
    '%s sets a capital H to the cap height',
    (fontId) => {
      const { bounds } = set('H', { fontId, capHeightMm: 100 });
      expect(Math.abs((bounds?.height ?? 0) - 100)).toBeLessThan(['pacifico', 'lobster'].includes(fontId) ? 15 : 3);
    },
  );

  it('has holes where letters have them, running clockwise', () => {
    const signs = (text: string) => set(text).outline.map((ring) => Math.sign(ringArea(ring)));
    expect(signs('O').sort()).toEqual([-1, 1]);
    expect(signs('B').sort()).toEqual([-1, -1, 1]);
    expect(signs('I')).toEqual([1]);
  });

  it('stands in the middle of the face, moved by the offsets', () => {
    const middle = (lettering: Lettering) => (lettering.bounds?.x ?? 0) + (lettering.bounds?.width ?? 0) / 2;
    expect(middle(set('SALLOW'))).toBeCloseTo(0, 2);
    expect(middle(set('SALLOW', { offsetXMm: 25 }))).toBeCloseTo(25, 2);
    const high = set('H', { offsetYMm: 10 }).bounds;
    expect((high?.y ?? 0) + (high?.height ?? 0) / 2).toBeCloseTo(10, 0);
  });

  it('scales area by the square of the cap height', () => {
    const [small, large] = [set('Lane', { capHeightMm: 50 }), set('Lane', { capHeightMm: 100 })];
    expect(large.areaMm2 / small.areaMm2).toBeCloseTo(4, 1);
  });

  it('kerns: AV stands closer than its advances', () => {
    const width = (text: string) => set(text, { fontId: 'overpass-bold' }).bounds?.width ?? 0;
    expect(width('AVAVAV')).toBeLessThan(width('AHAHAH'));
  });

  it('stacks lines by the line spacing and aligns them', () => {
    const two = set('I\nI', { lineSpacing: 2, capHeightMm: 40 });
    expect(two.bounds?.height).toBeCloseTo(120, 0);
    const left = set('HH\nI', { align: 'left' }).outline;
    const right = set('HH\nI', { align: 'right' }).outline;
    const lowest = (outline: Lettering['outline']) => [...outline].sort((a, b) => a[0]![1] - b[0]![1])[0]![0]![0];
    expect(lowest(left)).toBeLessThan(lowest(right));
  });

  it('lists characters the font lacks and leaves them out', () => {
    const lettering = set('A漢B');
    expect(lettering.missing).toEqual(['漢']);
    expect(lettering.letterCount).toBe(2);
  });

  it('is empty for no text, and says which fonts there are when asked for another', () => {
    expect(set('  ')).toMatchObject({ bounds: null, areaMm2: 0, letterCount: 0 });
    const unknown = lay('A', { fontId: 'nope' });
    expect(unknown.ok ? '' : unknown.problems[0]?.message).toContain('overpass-bold');
  });

  it('refuses bytes that are no font', () => {
    const read = parseFont('x', new Uint8Array([1, 2, 3, 4]));
    expect(read.ok ? '' : read.problems[0]?.message).toContain('could not be read');
  });

  it('ships at least a dozen fonts, of every style that signs want', () => {
    expect(fontListings.length).toBeGreaterThanOrEqual(12);
    expect(new Set(fontListings.map(({ style }) => style)).size).toBe(6);
  });

  it('spaces letters out by the tracking, and not the last one', () => {
    const wide = (tracking: number) => set('HHH', { tracking, capHeightMm: 50 }).bounds!.width;
    expect(wide(0.4) - wide(0)).toBeCloseTo(2 * 0.4 * 50, 6);
  });

  it('gives way to a drawing, at its scale and in the middle', () => {
    const drawing = { name: 'logo.svg', rings: [[0, 0, 40, 0, 40, 30, 0, 30]], scale: 2 };
    const laid = set('ignored', { drawing, fontId: 'nope', offsetXMm: 7 });
    expect(laid.bounds).toEqual({ x: -33, y: -30, width: 80, height: 60 });
    expect(laid).toMatchObject({ letterCount: 1, areaMm2: 4800, missing: [] });
  });

  describe('of other scripts', () => {
    const arabic = { fontId: 'noto-arabic-bold', capHeightMm: 100 };
    const partsOf = (text: string, change: object): number =>
      set(text, change).outline.filter((ring) => ringArea(ring) > 0).length;
    const left = (lettering: Lettering): number => lettering.bounds!.x;

    it.each([
      // Beh joined to beh: one stroke and two dots; apart they are two strokes.
      ['joined letters are one part', 'بب', 'noto-arabic-bold', 1 + 2],
      ['letters that do not join stay apart', 'دد', 'noto-arabic-bold', 2],
      ['letters hang from one line', 'कक', 'noto-devanagari-bold', 1],
      ['square letters stand by themselves', 'אבג', 'noto-hebrew-bold', 3],
    ])('%s', (_, text, fontId, parts) => expect(partsOf(text, { fontId, capHeightMm: 100 })).toBe(parts));

    it('go from right to left, numbers in them from left to right', () => {
      const wide = (text: string) => set(text, arabic);
      // Lam-alef is one form; it takes the place of two.
      expect(wide('لا').areaMm2).toBeLessThan(wide('ل').areaMm2 + wide('ا').areaMm2);
      const first = (text: string): readonly string[] => runsOf(text).map((run) => run.text);
      expect(first('אב 12 גד')).toEqual([' גד', '12', 'אב ']);
      expect(first('Café אב')).toEqual(['Café ', 'אב']);
      expect(runsOf('אב').map(({ rightToLeft }) => rightToLeft)).toEqual([true]);
      expect(runsOf('Нoч').map(({ text }) => text)).toEqual(['Н', 'o', 'ч']);
    });

    it('keep joined letters joined when they are spaced out', () => {
      const wide = (text: string, tracking: number, fontId: string) =>
        set(text, { fontId, capHeightMm: 50, tracking }).bounds!.width;
      expect(wide('ببب', 0.5, 'noto-arabic-bold')).toBeCloseTo(wide('ببب', 0, 'noto-arabic-bold'), 6);
      expect(wide('אבג', 0.5, 'noto-hebrew-bold')).toBeCloseTo(wide('אבג', 0, 'noto-hebrew-bold') + 2 * 25, 6);
      // A vowel above belongs to its letter.
      expect(wide('בָג', 0.5, 'noto-hebrew-bold') - wide('בָג', 0, 'noto-hebrew-bold')).toBeCloseTo(25, 6);
    });

    it('leave out what a font does not have, in any script', () => {
      expect(set('אA', { fontId: 'noto-hebrew-bold' }).missing).toEqual(['A']);
      expect(set('A\u200dB').missing).toEqual([]);
      expect(left(set('אב', { fontId: 'noto-hebrew-bold' }))).toBeLessThan(0);
    });
  });

  it('draws letters together that its font draws together, unless they are spaced out', () => {
    const parts = (tracking: number): number =>
      set('fi', { fontId: 'lobster', tracking, capHeightMm: 60 }).outline.length;
    expect(parts(0)).not.toBe(parts(0.3));
  });

  it('sets a variable font as heavy as is wished, and no heavier than it goes', async () => {
    const bytes = await readFile(
      createRequire(import.meta.url).resolve('@fontsource-variable/overpass/files/overpass-latin-wght-normal.woff2'),
    );
    const opened = await unpackWoff2('overpass.woff2', new Uint8Array(bytes));
    if (!opened.ok) throw new Error(opened.problems[0]!.message);
    const ownFont = { name: 'overpass.woff2', base64: fromByteArray(opened.value) };
    const at = (weight?: number) => set('HILL', { ownFont, ...(weight === undefined ? {} : { weight }) });
    expect(at().weights).toEqual({ least: 100, most: 900, usual: 400 });
    expect(at(100).areaMm2).toBeLessThan(0.5 * at(400).areaMm2);
    expect(at(900).areaMm2).toBeGreaterThan(1.5 * at(400).areaMm2);
    expect(at(1000).areaMm2).toBe(at(900).areaMm2);
    expect(at(400).areaMm2).toBe(at().areaMm2);
    // The weight that ships as a file of its own is the same.
    expect(at(700).areaMm2 / set('HILL', { fontId: 'overpass-bold' }).areaMm2).toBeCloseTo(1, 2);
    expect(set('HILL', { weight: 700 }).weights).toBeUndefined();
    expect((await unpackWoff2('x.woff2', new Uint8Array(bytes.subarray(0, 400)))).ok).toBe(false);
    // It is unpacked before it is set in.
    expect((await openFontFile('x.woff2', new Uint8Array(bytes))).ok).toBe(false);
  });

  it.each([
    ['cut off', (bytes: Uint8Array) => bytes.slice(0, bytes.length - 200)],
    ['with no tables', (bytes: Uint8Array) => bytes.map((byte, at) => (at === 12 || at === 13 ? 0 : byte))],
    ['with tables larger than any font', (bytes: Uint8Array) => bytes.map((byte, at) => (at === 56 ? 0xff : byte))],
  ])('refuses a WOFF %s', async (_, broken) => {
    const bytes = await readFile(createRequire(import.meta.url).resolve(fontListings[0]!.file));
    expect((await openFontFile('x.woff', broken(new Uint8Array(bytes)))).ok).toBe(false);
    expect((await openFontFile('x.woff', new Uint8Array(bytes))).ok).toBe(true);
  });

  it('sets a font file of the shop’s own, and says when it is none', async () => {
    const bytes = await readFile(createRequire(import.meta.url).resolve(fontListings[2]!.file));
    const own = { name: 'own.woff', base64: bytes.toString('base64') };
    expect(set('Rye', { ownFont: own }).areaMm2).toBeCloseTo(set('Rye', { fontId: fontListings[2]!.id }).areaMm2, 6);
    for (const base64 of ['AAAA', '!!!']) {
      const broken = lay('Rye', { ownFont: { name: 'x.ttf', base64 } });
      expect(broken.ok ? '' : broken.problems[0]!.path).toBe('artwork.ownFont');
    }
  });
});
