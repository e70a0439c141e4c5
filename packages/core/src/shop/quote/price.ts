import type { QuoteFacts } from './facts.js';

/** What the shop asks beside what it costs. */
export interface QuoteTerms {
  readonly ratePerHour: number;
  /** Of so many tries one has to be made again, its material too: 0.1 is one in ten. */
  readonly failedShare: number;
  /** What is left of the price for the shop. */
  readonly marginShare: number;
  /** Off the price for each further sign of an order. */
  readonly furtherOff: number;
  readonly tariffPerKwh: number;
  /** So many days the quote holds. */
  readonly validDays: number;
  readonly includes: readonly string[];
  readonly note: string;
}

/** A price and how it came about. */
export interface Quote {
  readonly materials: number;
  readonly labour: number;
  /** What failed tries cost on average. */
  readonly risk: number;
  readonly margin: number;
  /** Of the first sign, and of each after it. */
  readonly first: number;
  readonly further: number;
  readonly order: number;
  /** Another shop’s price for the order over this one’s; null where nobody asked. */
  readonly outside: { readonly order: number; readonly differs: number } | null;
  readonly runningPerYear: number;
  /** Hours until a strip so warm gives 70 % of its light, typical, and years of that. */
  readonly life: { readonly hours: readonly [number, number]; readonly years: readonly [number, number] };
}

/** Shares beyond these are none that a shop would mean. */
export const mostShare = 0.9;

/** Where a shop has said nothing of its own. */
export const usualTerms = (facts: QuoteFacts): QuoteTerms => ({
  ratePerHour: facts.ratePerHour,
  failedShare: 0.05,
  marginShare: 0.2,
  furtherOff: 0.1,
  tariffPerKwh: facts.tariffPerKwh,
  validDays: 30,
  includes: facts.includes,
  note: '',
});

/** A price goes out in whole cents. */
const cents = (value: number): number => Math.round(value * 100) / 100;

/** Hours to 70 % of the first light at this temperature of the strip’s board, and how many degrees halve it (typical). */
const lifeHours = 50_000;
const lifeAtC = 45;
const halvedByC = 10;
const longestHours = 60_000;
const daysAYear = 365;

const lifeAt = (stripC: number): number => Math.min(longestHours, lifeHours * 2 ** ((lifeAtC - stripC) / halvedByC));

/**
 * The price of an order: material and work of one sign, made again as often as tries fail (1 / (1 − share)), and the shop’s
 * margin as a share of the price; each further sign a little less. Running cost by the watts as they are set. The life of
 * strip halves for each ten degrees (typical, after the rule of thumb for LEDs).
 */
export const quoteOf = (facts: QuoteFacts, terms: QuoteTerms): Quote => {
  const labour = facts.hours * terms.ratePerHour;
  const made = facts.materials + labour;
  const tried = made / (1 - Math.min(mostShare, terms.failedShare));
  const first = cents(tried / (1 - Math.min(mostShare, terms.marginShare)));
  const further = cents(first * (1 - terms.furtherOff));
  const order = cents(first + (facts.quantity - 1) * further);
  const outside = facts.outsideQuote === null ? null : facts.outsideQuote * facts.quantity;
  const [kind, harsh] = facts.stripC;
  const hours: readonly [number, number] = [lifeAt(harsh), lifeAt(kind)];
  const perYear = Math.max(1e-6, facts.hoursPerDay * daysAYear);
  return {
    materials: cents(facts.materials),
    labour: cents(labour),
    risk: cents(tried - made),
    margin: cents(first - tried),
    first,
    further,
    order,
    outside: outside === null ? null : { order: cents(outside), differs: cents(outside - order) },
    runningPerYear: cents((facts.watts / 1000) * facts.hoursPerDay * daysAYear * facts.quantity * terms.tariffPerKwh),
    life: { hours, years: [hours[0] / perYear, hours[1] / perYear] },
  };
};
