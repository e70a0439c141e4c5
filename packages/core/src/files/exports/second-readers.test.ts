import { beforeAll, describe, expect, it } from '@jest/globals';
import { strFromU8 } from 'fflate';
import papaparse from 'papaparse';
import { PDFDict, PDFDocument, PDFName } from 'pdf-lib';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoJobs } from '../../sign/demo/index.js';
import { sound, testFonts, coarseEvaluator } from '../../testing/harness.js';
import { packOf } from '../../testing/packs.js';
import { dxfItems, svgItems, type DrawnItem } from '../../testing/readers/drawn-lines.js';
import { wordsOfPdf } from '../../testing/readers/pdf-words.js';
import type { PackFile } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const ending = ({ path }: PackFile): string => path.replace(/^.*\./, '');

/** The same lines on the same layers, corner by corner within a hundredth of a millimetre. */
const alike = (name: string, found: readonly DrawnItem[], other: readonly DrawnItem[]): void => {
  expect([name, other.map(({ layer, kind }) => [layer, kind])]).toEqual([
    name,
    found.map(({ layer, kind }) => [layer, kind]),
  ]);
  found.forEach(({ points }, at) => {
    const own = other[at]!.points;
    expect([name, at, own.length]).toEqual([name, at, points.length]);
    // Drawings have a hundred thousand corners: those that are off are looked for, not each expected.
    const off = points.findIndex(([x, y], corner) => !(Math.hypot(own[corner]![0] - x, own[corner]![1] - y) < 0.01));
    expect([name, at, off]).toEqual([name, at, -1]);
  });
};

/** Every font of a PDF, and whether its letters are in the file. */
const fontsIn = async (bytes: Uint8Array): Promise<readonly boolean[]> => {
  const pdf = await PDFDocument.load(bytes, { updateMetadata: false });
  return pdf.context
    .enumerateIndirectObjects()
    .flatMap(([, object]) =>
      object instanceof PDFDict && object.get(PDFName.of('Type')) === PDFName.of('Font') ? [object] : [],
    )
    .filter((font) => !font.has(PDFName.of('DescendantFonts')))
    .map((font) => {
      const descriptor = font.lookupMaybe(PDFName.of('FontDescriptor'), PDFDict);
      return ['FontFile2', 'FontFile3'].some((key) => descriptor?.has(PDFName.of(key)) === true);
    });
};

describe.each(demoJobs.map(({ design }) => [design.name, design] as const))('the pack of %s', (_, design) => {
  let files: readonly PackFile[];
  beforeAll(async () => {
    files = await packOf(sound(coarseEvaluator(fonts).evaluate(design)));
  });

  it('has the same lines in all of its drawings, by readers that others made', () => {
    const drawings = files.filter((file) => ending(file) === 'svg');
    expect(drawings.length).toBeGreaterThan(2);
    for (const { path, bytes } of drawings) {
      const at = (other: string): string => strFromU8(files.find((file) => file.path === other)!.bytes);
      const dxf = path.replace(/svg$/, 'dxf');
      const newer = dxfItems(at(dxf));
      expect(newer.length).toBeGreaterThan(0);
      alike(path, newer, svgItems(strFromU8(bytes)));
      alike(`${path}, release 12`, newer, dxfItems(at(dxf.replace(/([^/]+)$/, 'release-12/$1'))));
    }
  });

  it('has the letters of all its papers in them, and no question marks for letters', async () => {
    const papers = files.filter((file) => ending(file) === 'pdf');
    expect(papers.length).toBeGreaterThan(6);
    for (const { path, bytes } of papers) {
      const embedded = await fontsIn(bytes);
      expect([path, embedded]).toEqual([path, embedded.map(() => true)]);
      if (path.endsWith('-letter.pdf')) continue;
      const words = (await wordsOfPdf(bytes)).join(' ');
      expect([path, words.includes('no font here has')]).toEqual([path, false]);
      if (!path.startsWith('film/') && !/^layouts\/(?!sheets)/.test(path)) expect(words.length).toBeGreaterThan(20);
    }
  });

  it('has tables, pictures, prints and a design that others read', async () => {
    const pdf = await PDFDocument.create();
    for (const file of files) {
      const { path, bytes } = file;
      if (ending(file) === 'csv') {
        const { data, errors } = papaparse.parse<readonly string[]>(
          strFromU8(bytes)
            .replace(/^\uFEFF/, '')
            .trim(),
        );
        expect([path, errors]).toEqual([path, []]);
        expect([path, new Set(data.map(({ length }) => length)).size]).toEqual([path, 1]);
      }
      if (ending(file) === 'png') expect((await pdf.embedPng(bytes)).width).toBeGreaterThan(50);
      if (ending(file) === 'json') expect(JSON.parse(strFromU8(bytes))).toMatchObject({ name: design.name });
      if (ending(file) === 'stl') {
        const count = new DataView(bytes.buffer, bytes.byteOffset).getUint32(80, true);
        expect(count).toBeGreaterThan(10);
        expect(bytes.length).toBe(84 + 50 * count);
      }
      expect(['csv', 'png', 'json', 'stl', 'svg', 'dxf', 'pdf']).toContain(ending(file));
    }
  });
});
