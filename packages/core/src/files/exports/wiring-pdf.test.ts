import { beforeAll, describe, expect, it } from '@jest/globals';
import { PDFDocument } from 'pdf-lib';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { packOf, testPaper } from '../../testing/packs.js';
import { endLabels, labelsPdf, wiringPdf } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

describe('the wiring plan', () => {
  it.each(['slipway', 'curlew', 'tern', 'net-loft'] as const)(
    'of %s has diagram, back view and table',
    async (name) => {
      const document = await PDFDocument.load(
        await wiringPdf(evaluatedCoarsely(demoDesigns[name], fonts), 'a4', await testPaper()),
      );
      expect(document.getPageCount()).toBe(3);
      expect(Math.round((document.getPage(0).getWidth() * 25.4) / 72)).toBe(297);
    },
  );

  it('goes on over further pages when there are many wires', async () => {
    const many = evaluatedCoarsely(
      changed(dispensary, inAssembly({ 'case.heightMm': 1200, 'light.rowCount': 40 })),
      fonts,
    );
    const document = await PDFDocument.load(await wiringPdf(many, 'letter', await testPaper()));
    expect(document.getPageCount()).toBe(2 + Math.ceil((many.circuit.wires.length + 1) / 30));
  });
});

describe('labels', () => {
  it('name both ends of every segment and of every wire, with the colours of its cores', async () => {
    const evaluation = evaluatedCoarsely(demoDesigns.slipway, fonts);
    const labels = endLabels(evaluation);
    const { runs, circuit } = evaluation;
    expect(labels).toHaveLength(2 * (runs.segments.length + circuit.wires.length) + circuit.supplyCount);
    // What lies at the supply says whose it is.
    expect(labels[0]).toEqual({
      title: 'supply',
      lines: [
        circuit.supply!.name,
        `12 V; the sign takes ${circuit.amps.toFixed(2)} A`,
        `feeds ${demoDesigns.slipway.name}`,
      ],
    });
    expect(labels[1]).toMatchObject({ title: '1 > start', lines: [expect.stringContaining('chain 1')] });
    const wire = labels.find(({ title, lines }) => title === 'segment 2 start' && lines[0] === 'to segment 1 end')!;
    expect(wire.lines.at(-1)).toBe('plus black, red red, green green, blue blue');
    const document = await PDFDocument.load(await labelsPdf(evaluation, 'a4', await testPaper()));
    expect(document.getPageCount()).toBe(Math.ceil(labels.length / (4 * 9)));
  });

  it('go to the bench with the wiring plan, on both papers', async () => {
    const paths = (await packOf(evaluatedCoarsely(dispensary, fonts))).map(({ path }) => path);
    expect(paths).toEqual(
      expect.arrayContaining([
        'wiring-a4.pdf',
        'wiring-letter.pdf',
        'labels-a4.pdf',
        'labels-letter.pdf',
        'wiring.csv',
      ]),
    );
  });
});
