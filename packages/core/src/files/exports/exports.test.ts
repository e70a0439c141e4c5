import type { BoxResultsOf, LightboxAssembly } from '../../builds/index.js';
import type { Single } from '../../testing/harness.js';
import { packOf, testPaper, zipOf } from '../../testing/packs.js';
import { beforeAll, describe, expect, it } from '@jest/globals';
import { decode } from 'fast-png';
import { strFromU8, unzipSync } from 'fflate';
import { PDFDocument } from 'pdf-lib';
import type { FontBook } from '../../artwork/lettering/index.js';
import { parseDesign } from '../../sign/design/index.js';
import { readSvg } from '../../artwork/drawings/index.js';
import { outlineArea } from '../../base/outlines/index.js';
import { repair } from '../../artwork/repair/index.js';
import { changed, dispensary, inAssembly, evaluated, testFonts } from '../../testing/harness.js';
import { fileName, litPng, partsCsv, partSvg, stripCsv, templatePdf, wiringCsv } from './index.js';

let fonts: FontBook;
let box: Single<BoxResultsOf<LightboxAssembly>>;
beforeAll(async () => {
  fonts = await testFonts();
  box = evaluated(dispensary, fonts);
});

const csvRows = (text: string): readonly (readonly string[])[] =>
  text
    .trimEnd()
    .split('\r\n')
    .map((line) =>
      [...line.matchAll(/(?:^|,)("(?:[^"]|"")*"|[^,]*)/g)].map((match) =>
        match[1]!.replace(/^"|"$/g, '').replace(/""/g, '"'),
      ),
    );

describe('SVG of a part', () => {
  it('is 1:1 in mm, layers named by operation, letters as paths', () => {
    const svg = partSvg(box.parts.cut.find(({ id }) => id === 'face')!);
    const { widthMm, heightMm } = box.geometry.face;
    expect(svg).toContain(`width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}"`);
    expect(svg).toContain('<g id="CUT-THROUGH-3MM" data-operation="cut"');
    expect(svg).toContain('<g id="FILM" data-operation="film"');
    expect(svg).not.toMatch(/<text/);
  });

  it('carries the letters with their area, holes taken away', () => {
    const film = readSvg(partSvg(box.parts.cut.find(({ id }) => id === 'film')!));
    if (!film.ok) throw new Error(film.problems[0]!.message);
    const repaired = repair(film.value, { gapMm: 0.01, layers: null });
    if (!repaired.ok) throw new Error(repaired.problems[0]!.message);
    expect(outlineArea(repaired.value.outline) / box.lettering.areaMm2).toBeCloseTo(1, 3);
  });

  it('escapes what names may hold', () => {
    const part = { ...box.parts.cut[0]!, name: '<script>"&', note: '' };
    expect(partSvg(part)).toContain('&lt;script&gt;&quot;&amp;');
  });
});

describe('lists as CSV', () => {
  it('hold every part with its sizes, and a total', () => {
    const rows = csvRows(partsCsv(box));
    const top = rows.find(([id]) => id === 'top')!;
    expect([Number(top[5]), Number(top[6]), Number(top[7])]).toEqual([900, 90, 12]);
    expect(Number(rows.at(-1)?.[9])).toBeCloseTo(box.cost.perSign, 1);
    expect(new Set(rows.map((row) => row.length)).size).toBe(1);
  });

  it('the wiring table names every wire from joint to joint, its gauge, its length and what it carries', () => {
    const [head, ...rows] = csvRows(wiringCsv(box));
    expect(head).toEqual(expect.arrayContaining(['from', 'to', 'mm²', 'AWG', 'length mm', 'joint', 'A', 'rated A']));
    const { circuit } = box;
    expect(rows).toHaveLength(circuit.supplyCount + circuit.wires.length);
    expect(rows[0]!.slice(0, 2)).toEqual(['supply', 'lead']);
    circuit.wires.forEach(({ from, to, wire, lengthMm }, index) => {
      const row = rows[circuit.supplyCount + index]!;
      expect(row.slice(0, 2)).toEqual([from, to]);
      expect(Number(row[4])).toBe(wire.areaMm2);
      // Rounded up: a wire cut short is waste.
      expect(Number(row[6])).toBe(Math.ceil(lengthMm));
      expect(Number(row[9])).toBeLessThan(Number(row[10]));
      expect(row[3]).toBe('plus red, minus black');
    });
  });

  it('hold every segment of strip with chain and reel', () => {
    const [, ...rows] = csvRows(stripCsv(box));
    expect(rows.map(([segment]) => segment)).toEqual(['1', '2']);
    expect(rows.map((row) => Number(row[3]))).toEqual([850, 850]);
    expect(rows.every((row) => row.at(-1) === '1')).toBe(true);
  });

  it('never start a cell with a formula', () => {
    const evil = { ...box, parts: { ...box.parts, cut: [{ ...box.parts.cut[0]!, name: '=cmd|x' }] } };
    expect(partsCsv(evil)).toContain(",'=cmd|x,");
  });
});

describe('the strip template', () => {
  it.each([
    ['a4', 297, 210],
    ['letter', 279.4, 215.9],
  ] as const)('tiles the back on %s pages, 1:1', async (paper, width, height) => {
    const document = await PDFDocument.load(await templatePdf(box, paper, await testPaper()));
    const pages = document.getPages();
    const { widthMm, heightMm } = box.geometry.back;
    const [stepX, stepY] = [width - 32, height - 32];
    expect(pages).toHaveLength(Math.ceil(widthMm / stepX) * Math.ceil(heightMm / stepY));
    for (const page of pages) {
      expect(page.getWidth()).toBeCloseTo((width * 72) / 25.4, 3);
      expect(page.getHeight()).toBeCloseTo((height * 72) / 25.4, 3);
    }
  });

  it('says so instead of printing a novel', async () => {
    const huge = evaluated(changed(dispensary, inAssembly({ 'case.widthMm': 9000, 'case.heightMm': 4000 })), fonts);
    expect((await PDFDocument.load(await templatePdf(huge, 'a4', await testPaper()))).getPageCount()).toBe(1);
  });

  it('takes names beyond Latin', async () => {
    const named = { ...box, design: { ...box.design, name: '灯 “Łódź” 🏮' } };
    expect((await templatePdf(named, 'a4', await testPaper())).length).toBeGreaterThan(1000);
  });
});

describe('the lit view as PNG', () => {
  it('is brighter on the face than on the wall at dusk, dark letters in the middle', () => {
    const { width, height, data } = decode(litPng(box, 'evening', 400));
    const at = (x: number, y: number): number => data[(Math.round(y * height) * width + Math.round(x * width)) * 4]!;
    expect(at(0.5, 0.32)).toBeGreaterThan(180);
    expect(at(0.02, 0.5)).toBeLessThan(80);
    const row = Array.from({ length: 200 }, (_, index) => at(0.2 + index * 0.003, 0.5));
    expect(Math.min(...row)).toBeLessThan(20);
  });
});

describe('the bench pack', () => {
  it('holds the same design, every part, both templates, lists and picture, in one ZIP', async () => {
    const files = unzipSync(await zipOf(box));
    const names = Object.keys(files)
      .map((name) => name.replace('dispensary-box/', ''))
      .sort();
    expect(names).toEqual((await packOf(box)).map(({ path }) => path).sort());
    expect(names).toEqual(
      expect.arrayContaining([
        'design.json',
        'parts.csv',
        'strip-plan.csv',
        'lit-dusk.png',
        'parts/back.svg',
        'parts/film.svg',
        'strip-template-letter.pdf',
      ]),
    );
    expect(parseDesign(strFromU8(files['dispensary-box/design.json']!))).toEqual({ ok: true, value: dispensary });
  });

  it.each([
    ['Rye & Salt / 2', 'rye-salt-2'],
    ['../../etc', 'etc'],
    ['灯', 'design'],
    ['Café', 'cafe'],
  ])('names files safely: %s', (name, file) => expect(fileName(name)).toBe(file));
});
