import { beforeAll, describe, expect, it } from '@jest/globals';
import { PDFDocument } from 'pdf-lib';
import { sum } from '../../base/maths/index.js';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { changed, dispensary, evaluatedCoarsely, testFonts } from '../../testing/harness.js';
import { packOf, testPaper, zipOf } from '../../testing/packs.js';
import { wordsOfPdf } from '../../testing/readers/pdf-words.js';
import { stepsPdf } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

/** All words of a PDF, by an independent reader. */
const wordsOf = async (bytes: Uint8Array): Promise<string> => (await wordsOfPdf(bytes)).join(' ');

describe('the build on paper', () => {
  it('names everything that is bought, then every step with its caution, in its order', async () => {
    const evaluation = evaluatedCoarsely(dispensary, fonts);
    const words = await wordsOf(await stepsPdf(evaluation, 'a4', await testPaper()));
    for (const { name } of evaluation.parts.bought) expect(words).toContain(name.replace(/\s+/g, ' '));
    let from = 0;
    evaluation.buildList.steps.forEach(({ title }, at) => {
      const found = words.indexOf(`${at + 1}. ${title.split(' ').slice(0, 3).join(' ')}`, from);
      expect([title, found]).toEqual([title, expect.any(Number)]);
      expect(found).toBeGreaterThanOrEqual(from);
      from = found;
    });
    expect(words).toContain('Caution: ');
  });

  it('counts what is bought for the whole order', async () => {
    const one = evaluatedCoarsely(dispensary, fonts);
    const { name } = one.parts.bought.find(({ unit, quantity }) => unit === 'piece' && quantity > 1)!;
    // Of the same thing for several ends there is one line.
    const all = sum(one.parts.bought.filter((each) => each.name === name).map(({ quantity }) => quantity));
    const three = evaluatedCoarsely(changed(dispensary, { 'brief.quantity': 3 }), fonts);
    const words = await wordsOf(await stepsPdf(three, 'letter', await testPaper()));
    expect(words).toContain(`${name} ${3 * all} pieces`);
    expect(words).toContain('3 signs are ordered');
  });

  it('goes to the bench on both papers, and the pack of one design is the same to the byte, whenever it is made', async () => {
    const evaluation = evaluatedCoarsely(demoDesigns['rye-and-salt'], fonts);
    const paths = (await packOf(evaluation)).map(({ path }) => path);
    expect(paths).toEqual(expect.arrayContaining(['build-steps-a4.pdf', 'build-steps-letter.pdf']));
    const first = await zipOf(evaluation);
    // Long enough for a clock that counts seconds.
    for (const from = Date.now(); Date.now() < from + 1100;) await Promise.resolve();
    const second = await zipOf(evaluatedCoarsely(demoDesigns['rye-and-salt'], fonts));
    expect(second.length).toBe(first.length);
    expect(second.every((byte, at) => byte === first[at])).toBe(true);
    const pdf = await PDFDocument.load(await stepsPdf(evaluation, 'a4', await testPaper()), { updateMetadata: false });
    expect(pdf.getCreationDate()).toBeUndefined();
  });
});
