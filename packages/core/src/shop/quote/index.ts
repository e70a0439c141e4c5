export { quoteFactsOf, type QuoteFacts } from './facts.js';
export { mostShare, quoteOf, usualTerms, type Quote, type QuoteTerms } from './price.js';
export { moneyWords, quotePdf, type QuoteSheet } from './quote-pdf.js';
