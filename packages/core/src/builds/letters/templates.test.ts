import type { HaloResults } from '../index.js';
import type { Single } from '../../testing/harness.js';
import { packOf, testPaper } from '../../testing/packs.js';
import { beforeAll, describe, expect, it } from '@jest/globals';
import { PDFDocument } from 'pdf-lib';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineBounds } from '../../base/outlines/index.js';
import { changed, curlew, evaluatedCoarsely, tern, testFonts } from '../../testing/harness.js';
import { templatesOf, tiledPdf, type Template } from '../../files/exports/index.js';
import type { Tile } from '../../making/templates/index.js';

let fonts: FontBook;
let letters: Single<HaloResults>;
beforeAll(async () => {
  fonts = await testFonts();
  letters = evaluatedCoarsely(curlew, fonts);
});

const toMm = 25.4 / 72;
const marginMm = 12;

interface Drawn {
  readonly circles: { readonly x: number; readonly y: number; readonly mm: number }[];
  readonly texts: string[];
  readonly paths: number;
}

/** What a template draws on one endless sheet. */
const drawn = (template: Template): Drawn => {
  const circles: Drawn['circles'] = [];
  const texts: string[] = [];
  let paths = 0;
  const page = {
    drawCircle: ({ x, y, size }: { x: number; y: number; size: number }) =>
      void circles.push({ x: x * toMm - marginMm, y: y * toMm - marginMm, mm: 2 * size * toMm }),
    drawLine: () => undefined,
    drawSvgPath: () => void (paths += 1),
  };
  const type = { draw: (_page: unknown, text: string) => void texts.push(text) };
  template.draw({ page, type, left: 0, bottom: 0, widthMm: 1e4, heightMm: 1e4 } as unknown as Tile);
  return { circles, texts, paths };
};

describe('templates of halo letters', () => {
  it('to drill by have every post at its place and size, numbered, levels and jumper holes', () => {
    const template = templatesOf(letters)['drill-template']!;
    const { circles, texts } = drawn(template);
    const { x, y } = outlineBounds(letters.lettering.outline)!;
    const posts = letters.posts.flatMap((part) => part.posts);
    for (const { at, diameterMm } of posts) {
      const found = circles.find(
        (circle) => Math.abs(circle.x - (at[0] - x + 15)) < 0.01 && Math.abs(circle.y - (at[1] - y + 15)) < 0.01,
      );
      expect(found?.mm).toBeCloseTo(diameterMm, 6);
    }
    expect(texts).toEqual(expect.arrayContaining(posts.map((_, index) => `${index + 1}`)));
    expect(texts.some((text) => text.startsWith('level'))).toBe(true);
    // Nothing is drilled for wires that go across; behind the wall each has its holes.
    const holesIn = (all: typeof circles) => all.filter(({ mm }) => Math.abs(mm - 8) < 1e-6);
    expect(holesIn(circles)).toEqual([]);
    const behind = evaluatedCoarsely(changed(curlew, { 'power.crossings': 'holes' }), fonts);
    const holes = behind.jumpers.flatMap((jumper) => jumper.holes);
    expect(holes.length).toBeGreaterThan(4);
    expect(holesIn(drawn(templatesOf(behind)['drill-template']!).circles)).toHaveLength(holes.length);
  });

  it('to lay strip by are seen from behind, every segment numbered', () => {
    const { circles, texts, paths } = drawn(templatesOf(letters)['strip-template']!);
    const { x, width } = outlineBounds(letters.lettering.outline)!;
    const [first] = letters.posts.flatMap((part) => part.posts);
    expect(circles.some((circle) => Math.abs(circle.x - (x + width - first!.at[0] + 15)) < 0.01)).toBe(true);
    for (const { number } of letters.runs.segments) expect(texts).toContain(`${number}`);
    expect(paths).toBeGreaterThan(50);
  });

  it('come in tiles, 1:1', async () => {
    const template = templatesOf(letters)['drill-template']!;
    const document = await PDFDocument.load(await tiledPdf(template, 'a4', await testPaper()));
    expect(document.getPageCount()).toBe(Math.ceil(template.widthMm / 265) * Math.ceil(template.heightMm / 178));
  });
});

describe('the bench pack of letters', () => {
  it('holds both templates on both papers and what can be printed', async () => {
    const names = (await packOf(letters)).map(({ path }) => path);
    for (const name of [
      'drill-template-a4.pdf',
      'strip-template-letter.pdf',
      'print/wall-clip.stl',
      'parts/letter-6.dxf',
    ])
      expect(names).toContain(name);
  });

  it('of face-lit letters holds faces, backs and returns', async () => {
    const names = (await packOf(evaluatedCoarsely(tern, fonts))).map(({ path }) => path);
    for (const name of [
      'strip-template-a4.pdf',
      'parts/letter-1-face.dxf',
      'parts/letter-4-back.svg',
      'parts/letter-3-return-1.dxf',
    ])
      expect(names).toContain(name);
  });
});
