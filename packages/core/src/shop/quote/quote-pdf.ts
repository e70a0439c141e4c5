import type { PaperFonts } from '../../making/paper/index.js';
import { newLetter, type Paper } from '../../making/templates/index.js';
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
  /** The same on the customer’s own wall, as far as there are pictures of it. */
  readonly onWall: readonly Uint8Array[];
}

const months = 'January February March April May June July August September October November December'.split(' ');

/** A day as a letter writes it: 2026-12-30 is 30 December 2026. */
const dayInWords = (day: string): string => {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  return `${date} ${months[month - 1]} ${year}`;
};

/** Money as it stands on paper. */
export const moneyWords = (value: number, currency: string): string => `${currency}${value.toFixed(2)}`;

/** The quote on paper: pictures by day and by night, sizes, what comes with it, the price, how long it holds; as many sheets as its words take. */
export const quotePdf = async (sheet: QuoteSheet, fonts: PaperFonts, paper: Paper = 'a4'): Promise<Uint8Array> => {
  const { facts, terms, quote, shop, customer, madeOn, validUntil } = sheet;
  const { write, row, rule, gap, pictures, save } = await newLetter(`Quote: ${facts.name}`, paper, fonts);
  write(shop, 10, true);
  gap(3);
  write(`Quote: ${facts.name}`, 18, true);
  write(`${customer === '' ? '' : `For ${customer}. `}${dayInWords(madeOn)}; holds until ${dayInWords(validUntil)}.`);
  await pictures([sheet.day, sheet.night], 70);
  write('By day, and lit by night; computed from the design.', 8);
  if (sheet.onWall.length > 0) {
    await pictures(sheet.onWall, 60);
    write('On your wall; computed, laid flat into your photograph.', 8);
  }
  gap(2);
  row('Size over all', facts.size);
  row('Weight', `${facts.kg.toFixed(1)} kg`);
  row('Quantity', `${facts.quantity}`);
  gap(2);
  write('Included', 11, true);
  for (const each of terms.includes) write(`• ${each}`);
  gap(2);
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
    gap(2);
    write(terms.note);
  }
  gap(4);
  write('Mains wiring, and hanging over heads or in public, are for licensed people by local codes.', 8);
  return save();
};
