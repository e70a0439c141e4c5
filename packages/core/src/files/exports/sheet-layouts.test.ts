import { beforeAll, describe, expect, it } from '@jest/globals';
import DxfParser from 'dxf-parser';
import { PDFDocument } from 'pdf-lib';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineBounds } from '../../base/outlines/index.js';
import { readSvg } from '../../artwork/drawings/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { changed, evaluatedCoarsely, signEvaluatedCoarsely, testFonts } from '../../testing/harness.js';
import { packOf, testPaper } from '../../testing/packs.js';
import { partDxf, partSvg, sheetDrawing, sheetsPdf, sheetsToCut } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

describe('a sheet as it is cut', () => {
  const sheets = (name: keyof typeof demoDesigns) => sheetsToCut(evaluatedCoarsely(demoDesigns[name], fonts).packing);

  it('comes back from SVG and DXF with its edge and every piece at its size and place', () => {
    for (const sheet of sheets('dispensary')) {
      const drawing = sheetDrawing(sheet);
      const svg = readSvg(partSvg(drawing));
      if (!svg.ok) throw new Error(svg.problems[0]!.message);
      const dxf = new DxfParser().parseSync(partDxf(drawing));
      const closed = (dxf?.entities ?? []).filter(({ type }) => type.includes('POLYLINE')) as unknown as readonly {
        readonly layer: string;
        readonly vertices: readonly { readonly x: number; readonly y: number }[];
      }[];
      const boxes = closed
        .filter(({ layer }) => layer === 'CUT-THROUGH')
        .map(({ vertices }) => outlineBounds([vertices.map(({ x, y }) => [x, y])])!);
      expect(
        boxes.map(({ x, y, width, height }) => [x, y, width, height].map((each) => Math.round(each * 100) / 100)),
      ).toEqual(
        sheet.pieces.map(({ x, y, widthMm, heightMm }) =>
          [x, y, widthMm, heightMm].map((each) => Math.round(each * 100) / 100),
        ),
      );
      expect(closed.filter(({ layer }) => layer === 'MARK')).toHaveLength(1);
    }
  });

  it('is a page each, on the paper asked for', async () => {
    for (const name of ['dispensary', 'lantern-rooms', 'curlew'] as const) {
      const evaluation = signEvaluatedCoarsely(demoDesigns[name], fonts);
      const document = await PDFDocument.load(await sheetsPdf(evaluation, 'a4', await testPaper()));
      expect(document.getPageCount()).toBe(sheetsToCut(evaluation.packing).length);
      expect(Math.round((document.getPage(0).getWidth() * 25.4) / 72)).toBe(297);
    }
  });

  it('is in the bench pack, every one of the order up to a limit', async () => {
    const five = evaluatedCoarsely(changed(demoDesigns.dispensary, { 'brief.quantity': 5 }), fonts);
    const names = (await packOf(five)).map(({ path }) => path);
    for (const sheet of sheetsToCut(five.packing)) {
      expect(names).toContain(`layouts/${sheetDrawing(sheet).id}.svg`);
      expect(names).toContain(`layouts/${sheetDrawing(sheet).id}.dxf`);
    }
    expect(names).toContain('layouts/sheets-a4.pdf');
    // Every piece of all five is on some sheet.
    const pieces = sheetsToCut(five.packing).flatMap(({ pieces: own }) => own);
    const sheetParts = five.parts.cut.filter(({ stock }) => stock === 'board' || stock === 'face');
    expect(pieces).toHaveLength(5 * sheetParts.length);
  });
});
