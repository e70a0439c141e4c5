import { beforeAll, describe, expect, it } from '@jest/globals';
import {
  degrees,
  PDFDocument,
  PDFName,
  PDFOperator,
  PDFOperatorNames as Op,
  PDFNumber,
  PDFString,
  rgb,
  StandardFonts,
  type PDFPage,
} from 'pdf-lib';
import { outlineArea, outlineBounds } from '../../../base/outlines/index.js';
import { read, repaired } from '../../../testing/drawing-corpus/read-drawing.js';
import { readSvg } from '../svg/read-svg.js';
import { isPdf, pdfAsSvg } from './pdf-text.js';

/** Square millimetres in a square point. */
const mm2 = (25.4 / 72) ** 2;
const black = rgb(0, 0, 0);
const white = rgb(1, 1, 1);

const fileOf = async (draw: (page: PDFPage, file: PDFDocument) => unknown, pages = 1): Promise<Uint8Array> => {
  const file = await PDFDocument.create();
  for (let number = 0; number < pages; number += 1) {
    const page = file.addPage([400, 300]);
    if (number === 0) await draw(page, file);
  }
  return file.save();
};

/** Operators as they are written in a page. */
const raw = (page: PDFPage, written: string): void => {
  for (const line of written.split(';')) {
    const words = line.trim().split(/\s+/);
    const name = words.pop()!;
    const known = Object.values(Op).find((each) => String(each) === name)!;
    page.pushOperators(
      PDFOperator.of(
        known,
        words.map((word) => (word.startsWith('/') ? PDFName.of(word.slice(1)) : PDFNumber.of(Number(word)))),
      ),
    );
  }
};

const drawingOf = async (bytes: Uint8Array, page = 1) => {
  const text = await pdfAsSvg(bytes, page);
  if (!text.ok) throw new Error(text.problems[0]!.message);
  return { notes: text.value.notes, drawing: read(readSvg(text.value.text)) };
};
const areaOf = async (bytes: Uint8Array): Promise<number> =>
  outlineArea(repaired((await drawingOf(bytes)).drawing).outline) / mm2;
const refusal = async (bytes: Uint8Array, page = 1): Promise<string> => {
  const text = await pdfAsSvg(bytes, page);
  return text.ok ? '' : text.problems[0]!.message;
};

describe('pages of PDF as drawings', () => {
  it.each<[string, (page: PDFPage, file: PDFDocument) => unknown, number]>([
    ['a rectangle', (page) => page.drawRectangle({ x: 50, y: 60, width: 100, height: 40, color: black }), 4000],
    [
      'white over black',
      (page) => {
        page.drawRectangle({ x: 50, y: 60, width: 100, height: 40, color: black });
        page.drawRectangle({ x: 60, y: 70, width: 20, height: 20, color: white });
      },
      3600,
    ],
    ['a ring by even-odd', (page) => raw(page, '0 g; 0 0 100 100 re; 25 25 50 50 re; f*'), 7500],
    ['the same by winding', (page) => raw(page, '0 g; 0 0 100 100 re; 25 25 50 50 re; f'), 10_000],
    ['a bow', (page) => raw(page, '0 g; 50 50 m; 50 90 130 90 130 50 c; h; f'), 1920],
    [
      'moved and scaled within',
      (page) => raw(page, 'q; 2 0 0 3 10 10 cm; 0 0 20 10 re; f; Q; 200 200 10 10 re; f'),
      1300,
    ],
    ['a wide stroke', (page) => raw(page, '0 G; 10 w; 0 J; 50 50 m; 250 50 l; S'), 2000],
    ['a wide stroke with its ends square', (page) => raw(page, '0 G; 10 w; 2 J; 50 50 m; 250 50 l; S'), 2100],
    ['dashes', (page) => raw(page, '0 G; 10 w; 50 50 m; 250 50 l; S; 10 10 10 10 re; f'), 2100],
    ['what a clip leaves', (page) => raw(page, 'q; 0 0 50 50 re; W; n; 0 0 200 20 re; f; Q; 300 0 10 10 re; f'), 1100],
    [
      'clips within clips',
      (page) => raw(page, 'q; 0 0 50 50 re; W; n; 25 0 50 50 re; W*; n; 0 0 200 20 re; f; Q'),
      500,
    ],
    ['colours of print', (page) => raw(page, '0 0 0 1 k; 0 0 100 10 re; f; 0 0 0 0 k; 0 0 50 10 re; f'), 500],
    [
      'a see-through fill',
      (page) => {
        page.drawRectangle({ x: 0, y: 0, width: 100, height: 10, color: black, opacity: 0 });
        page.drawRectangle({ x: 0, y: 50, width: 100, height: 10, color: black });
      },
      1000,
    ],
    [
      'a page set into a page',
      async (page, file) => {
        const other = await PDFDocument.create();
        const inner = other.addPage([100, 100]);
        inner.drawRectangle({ x: 10, y: 10, width: 200, height: 40, color: black });
        const [set] = await file.embedPdf(await other.save());
        page.drawPage(set!, { x: 20, y: 20, xScale: 2, yScale: 2 });
      },
      // Cut off at the edge of the page that was set in.
      90 * 40 * 4,
    ],
  ])('%s', async (_, draw, points) => {
    const area = await areaOf(await fileOf(draw));
    expect(Math.abs(area - points)).toBeLessThan(0.0015 * points);
  });

  it('stand as they are seen, at their size', async () => {
    const upright = await drawingOf(
      await fileOf((page) => page.drawRectangle({ x: 0, y: 250, width: 100, height: 50, color: black })),
    );
    // Its upper left corner is the page’s.
    const size = 25.4 / 72;
    const box = (drawing: typeof upright.drawing) => outlineBounds(repaired(drawing).outline)!;
    const { width, height } = box(upright.drawing);
    expect([width, height].map((mm) => mm / size)).toEqual([expect.closeTo(100, 2), expect.closeTo(50, 2)]);
    expect(upright.drawing.sizeStated).toBe(true);
    const turned = await drawingOf(
      await fileOf((page) => {
        page.setRotation(degrees(90));
        page.drawRectangle({ x: 0, y: 250, width: 100, height: 50, color: black });
      }),
    );
    const seen = box(turned.drawing);
    expect(seen.width / size).toBeCloseTo(50, 2);
  });

  it('tell which page it is, and what was left out', async () => {
    const bytes = await fileOf(async (page, file) => {
      page.drawText('Lantern', { font: await file.embedFont(StandardFonts.Helvetica) });
      page.drawRectangle({ width: 10, height: 10, color: black });
    }, 3);
    const { notes } = await drawingOf(bytes);
    expect(notes.join('; ')).toContain('page 1 of 3 was read');
    expect(notes.join('; ')).toContain('text was left out');
    expect(await refusal(bytes, 4)).toBe('there is no page 4: this PDF has 3 pages');
  });

  it('keep their layers by name, without those that are hidden', async () => {
    const bytes = await fileOf((page, { context, catalog }) => {
      const layer = (Name: string) => context.register(context.obj({ Type: 'OCG', Name: PDFString.of(Name) }));
      const [cut, notes] = [layer('Cut'), layer('Notes')];
      catalog.set(
        PDFName.of('OCProperties'),
        context.obj({ OCGs: [cut, notes], D: { Order: [cut, notes], OFF: [notes] } }),
      );
      page.node.normalizedEntries().Resources.set(PDFName.of('Properties'), context.obj({ A: cut, B: notes }));
      raw(page, '/OC /A BDC; 0 0 10 10 re; f; EMC; /OC /B BDC; 50 50 10 10 re; f; EMC');
    });
    const { notes, drawing } = await drawingOf(bytes);
    expect(drawing.shapes.map(({ layer }) => layer)).toEqual(['Cut']);
    expect(notes).toContain('what is on a hidden layer was left out');
  });

  describe('that are none', () => {
    let sound: Uint8Array;
    beforeAll(async () => {
      sound = await fileOf((page) => page.drawRectangle({ width: 10, height: 10, color: black }));
    });
    it('are refused with a sentence', async () => {
      expect(isPdf(sound)).toBe(true);
      expect(isPdf(new TextEncoder().encode('<svg/>'))).toBe(false);
      expect(await refusal(sound.slice(0, 40))).toContain('could not be read');
      expect(await refusal(new Uint8Array(31_000_000))).toContain('larger than 30 MB');
      expect(await refusal(new TextEncoder().encode(`%PDF-1.7\n${'<<'.repeat(50_000)}`))).toContain(
        'could not be read',
      );
    });
  });
});
