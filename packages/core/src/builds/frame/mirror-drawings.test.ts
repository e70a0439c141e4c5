import { beforeAll, describe, expect, it } from '@jest/globals';
import { PDFDocument } from 'pdf-lib';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineBounds, type Point } from '../../base/outlines/index.js';
import { drawingsOf, templatesOf } from '../../files/exports/index.js';
import { scaledPdf, type Template, type Tile } from '../../making/templates/index.js';
import { brimTile, fittingMirror, signEvaluatedCoarsely, testFonts, tideTable } from '../../testing/harness.js';
import { testPaper } from '../../testing/packs.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const pointsPerMm = 72 / 25.4;

/** What a drawing puts on its page: straight lines and words, in mm from the corner of the tile. */
const drawn = (template: Template) => {
  const words: string[] = [];
  const lines: (readonly [Point, Point])[] = [];
  const mm = ({ x, y }: { x: number; y: number }): Point => [x / pointsPerMm - 12, y / pointsPerMm - 12];
  const page = {
    drawLine: ({ start, end }: { start: { x: number; y: number }; end: { x: number; y: number } }) =>
      lines.push([mm(start), mm(end)]),
    drawCircle: () => undefined,
    drawSvgPath: () => undefined,
  };
  const type = { draw: (_page: unknown, text: string) => words.push(text) };
  template.draw({ page, type, left: 0, bottom: 0, widthMm: 1e4, heightMm: 1e4 } as unknown as Tile);
  return { words, lines };
};

describe('what a frame gives to others and to the saw', () => {
  it('is a drawing for a glass shop where there is a mirror, with its sizes and what is to be done', async () => {
    const [drawing] = Object.values(drawingsOf(signEvaluatedCoarsely(fittingMirror, fonts)));
    const { words } = drawn(drawing!);
    expect(words).toEqual(expect.arrayContaining(['700', '900', '35']));
    expect(words.join(' ')).toMatch(
      /Mirror glass 4 mm, 4 mm; edges ground and polished.*silver and paint off, glass frosted.*R 25/,
    );
    expect(drawing!.heading).toContain('BEHIND');
    const pdf = await PDFDocument.load(await scaledPdf(drawing!, 'a4', await testPaper()));
    expect(pdf.getPageCount()).toBe(1);
    expect(drawingsOf(signEvaluatedCoarsely(tideTable, fonts))).toEqual({});
  });

  it('shows a tile as it lies on its face: what is right from the front is left', () => {
    const sign = signEvaluatedCoarsely(brimTile, fonts);
    const [drawing] = Object.values(drawingsOf(sign));
    const { words } = drawn(drawing!);
    const { lettering } = sign.assemblies[0]!;
    const bounds = outlineBounds(lettering.outline)!;
    // From the left edge of the mirror from behind to the letters: from its right edge from the front.
    const left = Math.round(10 * (125 - bounds.x - bounds.width)) / 10;
    expect(words).toContain(`${left}`);
    expect(words).toContain(`${Math.round(10 * bounds.width) / 10}`);
  });

  it('is a template of the mirror at true size, with its glue and its inner frame', () => {
    const own = templatesOf(signEvaluatedCoarsely(fittingMirror, fonts))['mirror-template']!;
    expect([own.widthMm, own.heightMm]).toEqual([700, 900]);
    const { words, lines } = drawn(own);
    expect(words.join()).toMatch(/middle of the glue, 9 from the edge.*inner frame/);
    // Its glue all round, 9 mm in.
    const upright = lines.filter(([[x1], [x2]]) => Math.abs(x1 - 9) < 1e-6 && Math.abs(x2 - 9) < 1e-6);
    expect(upright).toHaveLength(1);
    // Its inner frame: 552 wide.
    expect(lines.some(([[x1], [x2]]) => Math.abs(Math.abs(x2 - x1) - 552) < 1e-6)).toBe(true);
    expect(templatesOf(signEvaluatedCoarsely(tideTable, fonts))['mirror-template']).toBeUndefined();
    // The back shows where it is glued on.
    const back = drawn(templatesOf(signEvaluatedCoarsely(fittingMirror, fonts))['strip-template']!);
    expect(back.words).toContain('stands here');
    expect(back.lines.filter(([[x1], [x2]]) => Math.abs(Math.abs(x2 - x1) - 552) < 1e-6)).toHaveLength(2);
  });

  it('are feet at true size, their middle under that of the case', () => {
    const sign = signEvaluatedCoarsely(brimTile, fonts);
    const { feet, bodies } = sign.assemblies[0]!.hang!;
    const template = templatesOf(sign)['feet-template']!;
    const { lines } = drawn(template);
    const widths = lines.map(([[x1, y1], [x2, y2]]) => (Math.abs(y1 - y2) < 1e-6 ? Math.abs(x2 - x1) : 0));
    expect(Math.max(...widths)).toBeCloseTo(Math.max(feet!.depthMm, bodies[0]!.depthMm), 6);
  });
});
