import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { JobQuotesView, OfferView, QuoteView } from '@vitrum/contract';
import { quoteOf, usualTerms, type QuoteFacts, type QuoteTerms } from '@vitrum/core';
import type { ReactNode } from 'react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { fakeServer, problem, type Asked, type Said } from '../testing/fake-server';
import { OfferPage } from './offer-page';
import { QuotePage } from './quote-page';

const facts: QuoteFacts = {
  name: 'Net loft',
  size: '700 × 240 × 86 mm',
  kg: 2.9,
  quantity: 1,
  currency: '€',
  materials: 100,
  hours: 10,
  outsideQuote: 500,
  watts: 20,
  hoursPerDay: 10,
  stripC: [40, 50],
  ratePerHour: 30,
  tariffPerKwh: 0.3,
  includes: ['Supply', 'Lead, 1.2 m'],
};
const made = (terms: QuoteTerms, rest: Partial<QuoteView> = {}): QuoteView => ({
  id: '0b54b1f0-0000-4000-8000-000000000001',
  token: 'abcdefghijklmnopqrstuvwx',
  jobId: 'job',
  revision: 3,
  facts,
  terms,
  quote: quoteOf(facts, terms),
  madeAt: '2030-01-07T09:00:00.000Z',
  validUntil: '2030-02-06',
  standing: 'open',
  answers: [],
  ...rest,
});

let server: ReturnType<typeof fakeServer> | null = null;
const shown = (at: string, path: string, page: ReactNode, answer: (asked: Asked) => Said): void => {
  server = fakeServer(answer);
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={[at]}>
        <Routes>
          <Route path={path} element={page} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
};
afterEach(() => {
  server?.end();
  jest.restoreAllMocks();
});

describe('a quote in the shop', () => {
  let quotes: QuoteView[] = [];
  let refuses = false;
  const open = (of: QuoteFacts = facts): void =>
    shown('/quotes/job', '/quotes/:jobId', <QuotePage />, ({ method, path, body }) => {
      const view: JobQuotesView = {
        name: 'Net loft',
        customer: 'The net loft',
        revision: 3,
        facts: of,
        front: { width: 600, height: 400 },
        quotes,
      };
      if (path.startsWith('/api/walls/')) return [200, { wall: null }];
      if (method === 'GET') return [200, view];
      if (refuses) return problem(409, 'This design cannot be built as it stands.');
      if (path.endsWith('withdraw')) quotes = quotes.map((each) => ({ ...each, standing: 'withdrawn' }));
      else {
        const { jobId: _, ...terms } = body as QuoteTerms & { readonly jobId: string };
        quotes = [made(terms), ...quotes];
      }
      return [200, quotes[0]];
    });
  beforeEach(() => {
    quotes = [];
    refuses = false;
  });

  it('adds up as its terms are typed, beside what another shop asks', async () => {
    const user = userEvent.setup();
    open();
    await screen.findByRole('region', { name: 'Price' });
    // It goes while a field is empty, and comes again.
    const price = () => screen.getByRole('region', { name: 'Price' });
    const order = (): string => within(price()).getAllByRole('definition').at(-1)!.textContent;
    expect(order()).toBe(`€${quoteOf(facts, usualTerms(facts)).order.toFixed(2)}`);
    const type = async (label: string, value: string): Promise<void> => {
      const field = screen.getByLabelText(new RegExp(`^${label}`));
      await user.clear(field);
      await user.type(field, value);
    };
    await type('Tries that fail', '0');
    await type('Margin, of the price', '0');
    expect(order()).toBe('€400.00');
    expect(price().textContent).toContain('Another shop asks €500.00: €100.00 more than this.');
    await type('An hour of work', '50');
    expect(order()).toBe('€600.00');
    expect(price().textContent).toContain('€100.00 less than this.');
    // What is no figure is no price.
    await user.clear(screen.getByLabelText(/^An hour of work/));
    expect(screen.queryByRole('region', { name: 'Price' })).toBeNull();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Make the quote' }).disabled).toBe(true);
  });

  it('of several asks for what comes off the further ones', async () => {
    open({ ...facts, quantity: 3 });
    expect(await screen.findByLabelText(/^Off for each further sign/)).toBeTruthy();
    expect(screen.getByRole('region', { name: 'Price' }).textContent).toContain('Each of 2 more');
  });

  it('is made, its link copied, and taken back', async () => {
    const user = userEvent.setup();
    const write = jest.spyOn(navigator.clipboard, 'writeText').mockResolvedValue(undefined);
    open();
    const included = await screen.findByLabelText(/^Included/);
    await user.type(included, '\n\nHung by us');
    await user.click(screen.getByRole('button', { name: 'Make the quote' }));
    const list = await screen.findByRole('list', { name: 'Quotes made' });
    expect((server!.asked.find(({ method }) => method === 'POST')!.body as QuoteTerms).includes).toEqual([
      'Supply',
      'Lead, 1.2 m',
      'Hung by us',
    ]);
    await user.click(within(list).getByRole('button', { name: /Copy the link/ }));
    expect(write).toHaveBeenCalledWith(expect.stringMatching(/\/offer\/abcdefghijklmnopqrstuvwx$/));
    expect(await within(list).findByText('Copied')).toBeTruthy();
    await user.click(within(list).getByRole('button', { name: 'Take it back' }));
    expect(await within(list).findByText('taken back')).toBeTruthy();
    expect(within(list).queryByLabelText('Link for the customer')).toBeNull();
  });

  it('says that a link is copied only where it was', async () => {
    const user = userEvent.setup();
    jest.spyOn(navigator.clipboard, 'writeText').mockRejectedValue(new Error('not here'));
    quotes = [made(usualTerms(facts))];
    open();
    const field = await screen.findByLabelText<HTMLInputElement>('Link for the customer');
    await user.click(screen.getByRole('button', { name: /Copy the link/ }));
    expect(screen.queryByText('Copied')).toBeNull();
    expect([field.selectionStart, field.selectionEnd]).toEqual([0, field.value.length]);
  });

  it('tells why it was not made, or not taken back', async () => {
    const user = userEvent.setup();
    quotes = [made(usualTerms(facts))];
    refuses = true;
    open();
    await user.click(await screen.findByRole('button', { name: 'Make the quote' }));
    expect((await screen.findByRole('alert')).textContent).toContain('cannot be built');
    await user.click(screen.getByRole('button', { name: 'Take it back' }));
    await waitFor(() => expect(screen.getAllByRole('alert')).toHaveLength(2));
  });

  it('that was agreed on shows who said so, and is asked again by the same terms', async () => {
    const answers = [
      { what: 'remark' as const, name: 'Ada', remark: 'Warmer?', at: '2030-01-08T09:00:00.000Z' },
      { what: 'yes' as const, name: 'Ada', remark: '', at: '2030-01-09T09:00:00.000Z' },
    ];
    quotes = [made({ ...usualTerms(facts), marginShare: 0.35 }, { standing: 'agreed', answers })];
    open();
    const list = await screen.findByRole('list', { name: 'Quotes made' });
    expect(list.textContent).toContain('Ada remarked, 2030-01-08: Warmer?');
    expect(list.textContent).toContain('Ada said yes, 2030-01-09.');
    expect(within(list).queryByRole('button', { name: 'Take it back' })).toBeNull();
    expect(screen.getByLabelText<HTMLInputElement>(/^Margin, of the price/).value).toBe('35');
  });
});

describe('an offer', () => {
  const quote = quoteOf(facts, usualTerms(facts));
  const offer: OfferView = {
    name: 'Net loft',
    customer: 'The net loft',
    size: facts.size,
    kg: facts.kg,
    quantity: 2,
    currency: '€',
    first: quote.first,
    further: quote.further,
    order: quote.order,
    includes: ['Supply'],
    note: 'Half on order.',
    runningPerYear: 21.9,
    watts: 20,
    hoursPerDay: 10,
    lifeYears: [7, 14],
    onWall: [],
    madeAt: '2030-01-07T09:00:00.000Z',
    validUntil: '2030-02-06',
    standing: 'open',
    answers: [],
  };
  const open = (answer: (asked: Asked) => Said): void =>
    shown('/offer/abcdefghijklmnopqrstuvwx', '/offer/:token', <OfferPage />, answer);

  it('shows the sign by day and night, and asks who answers before it takes an answer', async () => {
    const user = userEvent.setup();
    open(({ method, body }) => [
      200,
      method === 'GET'
        ? offer
        : { ...offer, standing: 'agreed', answers: [{ ...(body as object), at: '2030-01-08T09:00:00.000Z' }] },
    ]);
    expect((await screen.findByRole('heading', { level: 1 })).textContent).toBe('Net loft');
    expect(screen.getAllByRole('img').map((image) => image.getAttribute('alt'))).toEqual([
      'Net loft by day',
      'Net loft lit by night',
    ]);
    const yes = screen.getByRole<HTMLButtonElement>('button', { name: /^Yes, make it for/ });
    expect(yes.disabled).toBe(true);
    await user.type(screen.getByLabelText('Your name'), ' Ada ');
    await user.click(yes);
    expect((await screen.findByRole('status')).textContent).toContain('Agreed');
    expect(server!.asked.at(-1)!.body).toEqual({ what: 'yes', name: 'Ada', remark: '' });
    expect(screen.getByText(/said yes/)).toBeTruthy();
  });

  it('that has expired takes no answer', async () => {
    open(() => [200, { ...offer, standing: 'expired' }]);
    expect(await screen.findByText(/This quote held until 2030-02-06/)).toBeTruthy();
    expect(screen.queryByLabelText('Your name')).toBeNull();
  });

  it('that is gone says so, and why', async () => {
    open(() => problem(410, 'The shop has taken this quote back; ask it for a new one.'));
    expect((await screen.findByRole('alert')).textContent).toContain('taken this quote back');
  });

  it('says why a remark was not taken, and keeps it', async () => {
    const user = userEvent.setup();
    open(({ method }) => (method === 'GET' ? [200, offer] : problem(409, 'That is a great deal to say.')));
    await user.type(await screen.findByLabelText('Your name'), 'Ada');
    const remark = screen.getByLabelText<HTMLTextAreaElement>(/^A remark/);
    await user.type(remark, 'Warmer?');
    await user.click(screen.getByRole('button', { name: 'Send the remark' }));
    expect((await screen.findByRole('alert')).textContent).toContain('a great deal');
    expect(remark.value).toBe('Warmer?');
  });
});
