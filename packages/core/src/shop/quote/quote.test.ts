import { beforeAll, describe, expect, it } from '@jest/globals';
import { PDFDocument, PDFName, PDFRawStream } from 'pdf-lib';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { litPng } from '../../files/exports/index.js';
import { changed, dispensary, evaluatedCoarsely, testFonts } from '../../testing/harness.js';
import { testPaper } from '../../testing/packs.js';
import { quoteFactsOf, type QuoteFacts } from './facts.js';
import { quoteOf, usualTerms } from './price.js';
import { quotePdf } from './quote-pdf.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const facts: QuoteFacts = {
  name: 'Box',
  size: '900 × 300 × 90 mm',
  kg: 6,
  quantity: 1,
  currency: '€',
  materials: 200,
  hours: 10,
  outsideQuote: 900,
  watts: 20,
  hoursPerDay: 10,
  stripC: [45, 55],
  ratePerHour: 30,
  tariffPerKwh: 0.3,
  includes: ['Supply'],
};
const none = { ...usualTerms(facts), failedShare: 0, marginShare: 0, furtherOff: 0 };

describe('a price', () => {
  it('is material and hours, made again as tries fail, and a margin of the price', () => {
    expect(quoteOf(facts, none)).toMatchObject({ labour: 300, risk: 0, margin: 0, order: 500 });
    // One try in five fails: five are made for four that hold.
    expect(quoteOf(facts, { ...none, failedShare: 0.2 })).toMatchObject({ risk: 125, order: 625 });
    // Half of the price is the shop’s.
    expect(quoteOf(facts, { ...none, marginShare: 0.5 })).toMatchObject({ margin: 500, order: 1000 });
    const both = quoteOf(facts, { ...none, failedShare: 0.2, marginShare: 0.5 });
    expect(both.materials + both.labour + both.risk + both.margin).toBeCloseTo(both.first, 9);
  });

  it('of several is a little less for each after the first', () => {
    const { first, further, order } = quoteOf({ ...facts, quantity: 4 }, { ...none, furtherOff: 0.1 });
    expect([first, further, order]).toEqual([500, 450, 1850]);
  });

  it('stands beside what another shop asks for the same order', () => {
    expect(quoteOf(facts, none).outside).toEqual({ order: 900, differs: 400 });
    expect(quoteOf({ ...facts, quantity: 2 }, none).outside).toEqual({ order: 1800, differs: 800 });
    expect(quoteOf({ ...facts, outsideQuote: null }, none).outside).toBeNull();
  });

  it('goes with what it costs to run a year, and how long the strip lasts', () => {
    const { runningPerYear, life } = quoteOf(facts, none);
    // 20 W, ten hours, 365 days, 0.30 a kilowatt hour.
    expect(runningPerYear).toBeCloseTo(21.9, 9);
    expect(quoteOf({ ...facts, quantity: 3 }, none).runningPerYear).toBeCloseTo(65.7, 9);
    // Ten degrees more halve it.
    expect(life.hours).toEqual([25_000, 50_000]);
    expect(life.years[0]).toBeCloseTo(25_000 / 3650, 9);
    expect(quoteOf({ ...facts, stripC: [20, 20] }, none).life.hours[1]).toBe(60_000);
  });

  it('of shares that no shop means does not run away', () => {
    expect(Number.isFinite(quoteOf(facts, { ...none, marginShare: 1, failedShare: 1 }).order)).toBe(true);
    expect(Number.isFinite(quoteOf({ ...facts, hoursPerDay: 0 }, none).life.years[0])).toBe(true);
  });
});

describe('a quote of a design', () => {
  it('says what it is, what comes with it, and what its light draws; its cost is that of the design', () => {
    const evaluation = evaluatedCoarsely(changed(dispensary, { 'brief.quantity': 2 }), fonts);
    const found = quoteFactsOf(evaluation, shippedCatalogue.rates);
    expect(found.size).toMatch(/^900 × 300 × \d+ mm$/);
    expect(found).toMatchObject({ quantity: 2, materials: evaluation.cost.materials, hours: evaluation.cost.hours });
    expect(found.watts).toBe(evaluation.circuit.setWatts);
    expect(found.includes).toEqual(
      expect.arrayContaining([expect.stringContaining('Supply'), 'Fixings for the wall, and hanging it']),
    );
    // With no margin and no risk a quote is the cost of the design.
    const terms = { ...usualTerms(found), failedShare: 0, marginShare: 0, furtherOff: 0 };
    expect(quoteOf(found, terms).order).toBeCloseTo(evaluation.cost.order, 1);
  });

  it('goes on one sheet of paper with both pictures', async () => {
    const evaluation = evaluatedCoarsely(dispensary, fonts);
    const own = quoteFactsOf(evaluation, shippedCatalogue.rates);
    const terms = { ...usualTerms(own), note: 'Half on order. '.repeat(20), includes: [...own.includes, 'Ünïcode ✓'] };
    const pdf = await quotePdf(
      {
        facts: own,
        terms,
        quote: quoteOf(own, terms),
        shop: 'Sallow Lane Signs',
        customer: 'Harbour Row Pharmacy',
        madeOn: '2030-01-07',
        validUntil: '2030-02-06',
        day: litPng(evaluation, 'noon', 200),
        night: litPng(evaluation, 'dark', 200),
        onWall: [],
      },
      await testPaper(),
    );
    const read = await PDFDocument.load(pdf);
    expect(read.getPageCount()).toBe(1);
    expect(read.getTitle()).toBe('Quote: Dispensary box');
    const { width, height } = read.getPage(0).getSize();
    expect([Math.round(width), Math.round(height)]).toEqual([595, 842]);
  });

  it('with a great deal to say goes on overleaf', async () => {
    const evaluation = evaluatedCoarsely(dispensary, fonts);
    const own = quoteFactsOf(evaluation, shippedCatalogue.rates);
    const includes = Array.from({ length: 20 }, (_, at) => `${at + 1}: ${'something that comes with it '.repeat(6)}`);
    const terms = { ...usualTerms(own), includes, note: 'A word to the customer. '.repeat(40) };
    const [day, night] = [litPng(evaluation, 'noon', 200), litPng(evaluation, 'dark', 200)];
    const sheet = {
      facts: own,
      terms,
      quote: quoteOf(own, terms),
      shop: 'Sallow Lane Signs',
      customer: '',
      day,
      night,
      madeOn: '2030-01-07',
      validUntil: '2030-02-06',
    };
    const made = async (onWall: readonly Uint8Array[]) =>
      PDFDocument.load(await quotePdf({ ...sheet, onWall }, await testPaper()));
    expect((await made([])).getPageCount()).toBe(2);
    // On the customer’s wall it is shown, too: two pictures more, each drawn once.
    const images = (read: PDFDocument): number =>
      read.context
        .enumerateIndirectObjects()
        .filter(
          ([, each]) => each instanceof PDFRawStream && each.dict.get(PDFName.of('Subtype')) === PDFName.of('Image'),
        ).length;
    const [alone, shown] = [images(await made([])), images(await made([night, day]))];
    expect(shown - alone).toBe(alone);
  });
});
