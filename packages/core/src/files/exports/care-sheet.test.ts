import { beforeAll, describe, expect, it } from '@jest/globals';
import { PDFDocument } from 'pdf-lib';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoJobs } from '../../sign/demo/index.js';
import { changed, dispensary, evaluatedCoarsely, testFonts } from '../../testing/harness.js';
import { testPaper } from '../../testing/packs.js';
import { carePdf, careSheetOf } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

describe('the care sheet', () => {
  it('says how it was closed and hung by its own steps, what to keep, what lies where, what to do when', () => {
    const evaluation = evaluatedCoarsely(dispensary, fonts);
    const sheet = careSheetOf(evaluation);
    const hung = evaluation.buildList.steps.filter(({ phase }) => phase === 'hang');
    expect(hung.length).toBeGreaterThan(0);
    for (const { title } of hung) expect(sheet.closed.some((line) => line.startsWith(`${title}: `))).toBe(true);
    const { circuit } = evaluation;
    expect(sheet.wiring).toHaveLength(circuit.segments.length + 1);
    expect(sheet.wiring[0]).toContain(`${circuit.amps.toFixed(2)} A`);
    const longest = Math.max(...circuit.segments.map(({ lengthMm }) => lengthMm));
    const metres = Number(/, ([\d.]+) m from/.exec(sheet.spares[0]!)![1]);
    expect(metres * 1000).toBeGreaterThanOrEqual(longest);
    expect(metres * 1000).toBeLessThan(longest + 100);
    expect(sheet.spares.some((line) => line.includes(circuit.supply!.name))).toBe(true);
    expect(sheet.dates.map(({ everyMonths }) => everyMonths)).toEqual([6, 12, 24]);
  });

  it('asks for more where it stands in the weather', () => {
    const outdoors = careSheetOf(evaluatedCoarsely(changed(dispensary, { 'brief.exposure': 'outdoors' }), fonts));
    expect(outdoors.dates[0]!.everyMonths).toBe(3);
    expect(outdoors.cleaning.some((line) => line.includes('pressure washer'))).toBe(true);
  });

  it('is made of every kind of job, with a line for each piece', async () => {
    for (const { design } of demoJobs.filter(({ design: { assemblies } }) => assemblies.length === 1)) {
      const sheet = careSheetOf(evaluatedCoarsely(design, fonts));
      expect(sheet.closed.length).toBeGreaterThan(0);
      expect(sheet.spares.length).toBeGreaterThan(1);
    }
    const sheet = careSheetOf(evaluatedCoarsely(dispensary, fonts));
    const pagesOf = async (quantity: number): Promise<number> =>
      (await PDFDocument.load(await carePdf(sheet, quantity, 'a4', await testPaper()))).getPageCount();
    expect(await pagesOf(40)).toBeGreaterThan(await pagesOf(1));
  });
});
