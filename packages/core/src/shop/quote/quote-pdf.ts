import { PDFDocument, StandardFonts, type PDFFont, type PDFImage, type PDFPage } from 'pdf-lib';
import { faint, ink, papers, pointsPerMm, type Paper } from '../../making/templates/index.js';
import type { QuoteFacts } from './facts.js';
import type { Quote, QuoteTerms } from './price.js';

/** All that stands on a quote. */
export interface QuoteSheet {
  readonly facts: QuoteFacts;
  readonly terms: QuoteTerms;
  readonly quote: Quote;
  readonly shop: string;
  readonly customer: string;
  readonly madeOn: string;
  readonly validUntil: string;
  /** The lit view by day and by night (PNG). */
  readonly day: Uint8Array;
  readonly night: Uint8Array;
}

const marginMm = 18;
const lineMm = 6;
const months = 'January February March April May June July August September October November December'.split(' ');

/** What the fonts of every reader have; others become a question mark. */
const shown = (value: string): string => value.replace(/[^\x20-\x7e\xa0-\xff€–—‘’“”…•]/g, '?');

/** Words over several lines, none wider than `widthMm`. */
const wrapped = (value: string, font: PDFFont, size: number, widthMm: number): readonly string[] => {
  const lines: string[] = [];
  let line = '';
  for (const word of shown(value).split(/\s+/)) {
    const next = line === '' ? word : `${line} ${word}`;
    if (font.widthOfTextAtSize(next, size) > widthMm * pointsPerMm && line !== '') {
      lines.push(line);
      line = word;
    } else line = next;
  }
  return line === '' ? lines : [...lines, line];
};

const drawPicture = (page: PDFPage, image: PDFImage, x: number, top: number, wide: number, high: number): void => {
  const scale = Math.min((wide * pointsPerMm) / image.width, (high * pointsPerMm) / image.height);
  page.drawImage(image, {
    x: x * pointsPerMm,
    y: page.getHeight() - top * pointsPerMm - image.height * scale,
    width: image.width * scale,
    height: image.height * scale,
  });
};

/** A day as a letter writes it: 2026-12-30 is 30 December 2026. */
const dayInWords = (day: string): string => {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  return `${date} ${months[month - 1]} ${year}`;
};

/** Money as it stands on paper. */
export const moneyWords = (value: number, currency: string): string => `${currency}${value.toFixed(2)}`;

/** The quote on paper: pictures by day and by night, sizes, what comes with it, the price, how long it holds; as many sheets as its words take. */
export const quotePdf = async (sheet: QuoteSheet, paper: Paper = 'a4'): Promise<Uint8Array> => {
  const { facts, terms, quote, shop, customer, madeOn, validUntil } = sheet;
  const document = await PDFDocument.create();
  document.setTitle(shown(`Quote: ${facts.name}`));
  // Papers lie; a letter stands.
  const [widthMm, heightMm] = [papers[paper].heightMm, papers[paper].widthMm];
  const newPage = (): PDFPage => document.addPage([widthMm * pointsPerMm, heightMm * pointsPerMm]);
  let page = newPage();
  const font = await document.embedFont(StandardFonts.Helvetica);
  const bold = await document.embedFont(StandardFonts.HelveticaBold);
  let y = marginMm;
  /** Goes on overleaf where the next line would run off the sheet. */
  const room = (): void => {
    if (y <= heightMm - marginMm) return;
    page = newPage();
    y = marginMm;
  };
  const write = (value: string, size = 10, heavy = false, x = marginMm): void => {
    for (const line of wrapped(value, heavy ? bold : font, size, widthMm - x - marginMm)) {
      room();
      page.drawText(line, {
        x: x * pointsPerMm,
        y: (heightMm - y) * pointsPerMm,
        size,
        font: heavy ? bold : font,
        color: ink,
      });
      y += (size / 10) * lineMm;
    }
  };
  const row = (label: string, value: string, heavy = false): void => {
    const used = heavy ? bold : font;
    room();
    page.drawText(shown(label), {
      x: marginMm * pointsPerMm,
      y: (heightMm - y) * pointsPerMm,
      size: 10,
      font: used,
      color: ink,
    });
    const wide = used.widthOfTextAtSize(shown(value), 10);
    page.drawText(shown(value), {
      x: (widthMm - marginMm) * pointsPerMm - wide,
      y: (heightMm - y) * pointsPerMm,
      size: 10,
      font: used,
      color: ink,
    });
    y += lineMm;
  };
  const rule = (): void => {
    page.drawLine({
      start: { x: marginMm * pointsPerMm, y: (heightMm - y + 4) * pointsPerMm },
      end: { x: (widthMm - marginMm) * pointsPerMm, y: (heightMm - y + 4) * pointsPerMm },
      thickness: 0.5,
      color: faint,
    });
    y += 2;
  };
  y += 4;
  write(shop, 10, true);
  y += 3;
  write(`Quote: ${facts.name}`, 18, true);
  write(`${customer === '' ? '' : `For ${customer}. `}${dayInWords(madeOn)}; holds until ${dayInWords(validUntil)}.`);
  const [day, night] = [await document.embedPng(sheet.day), await document.embedPng(sheet.night)];
  const wide = (widthMm - 2 * marginMm - 6) / 2;
  drawPicture(page, day, marginMm, y, wide, 70);
  drawPicture(page, night, marginMm + wide + 6, y, wide, 70);
  const tallest = Math.max(...[day, night].map(({ width, height }) => Math.min(70, (wide * height) / width)));
  y += tallest + lineMm;
  write('By day, and lit by night; computed from the design.', 8);
  y += 2;
  row('Size over all', facts.size);
  row('Weight', `${facts.kg.toFixed(1)} kg`);
  row('Quantity', `${facts.quantity}`);
  y += 2;
  write('Included', 11, true);
  for (const each of terms.includes) write(`• ${each}`);
  y += 2;
  rule();
  if (facts.quantity > 1) {
    row('The first', moneyWords(quote.first, facts.currency));
    row(`Each of ${facts.quantity - 1} more`, moneyWords(quote.further, facts.currency));
  }
  row('Price', moneyWords(quote.order, facts.currency), true);
  rule();
  row(
    `Electricity a year, ${facts.hoursPerDay} h a day at ${facts.watts.toFixed(1)} W`,
    moneyWords(quote.runningPerYear, facts.currency),
  );
  const [least, most] = quote.life.years.map((years) => Math.round(years * 10) / 10);
  row(
    'Until the strip gives 70 % of its light (typical)',
    least === most ? `${least} years` : `${least} to ${most} years`,
  );
  if (terms.note !== '') {
    y += 2;
    write(terms.note);
  }
  y += 4;
  write('Mains wiring, and hanging over heads or in public, are for licensed people by local codes.', 8);
  return document.save();
};
