import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { JobStockView, LotView, ShoppingView, StockEntryView, StockLineView } from '@vitrum/contract';
import { shippedCatalogue, type ShoppingLine } from '@vitrum/core';
import type { ReactNode } from 'react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { CatalogueContext } from '../job/catalogue-context';
import { fakeServer, problem, type Asked, type Said } from '../testing/fake-server';
import { JobStock } from './job-stock';
import { StockPage } from './stock-page';

let server: ReturnType<typeof fakeServer>;
let answer: (asked: Asked) => Said;
beforeEach(() => {
  answer = () => [200, []];
  server = fakeServer((asked) => (asked.path === '/api/catalogue' ? [200, shippedCatalogue] : answer(asked)));
});
afterEach(() => {
  server.end();
  jest.useRealTimers();
});

const show = (children: ReactNode, at: string): void =>
  void render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <CatalogueContext.Provider value={shippedCatalogue}>
        <MemoryRouter initialEntries={[at]}>
          <Routes>
            <Route path="/stock" element={children} />
            <Route path="/jobs/:jobId/*" element={children} />
          </Routes>
        </MemoryRouter>
      </CatalogueContext.Provider>
    </QueryClientProvider>,
  );
const page = (view: string): void => show(<StockPage />, `/stock?show=${view}`);
const posts = () => server.asked.filter(({ method }) => method === 'POST');

const line = (rest: Partial<StockLineView> = {}): StockLineView => ({
  kind: 'strips',
  lineId: 'white-12v-60',
  name: 'White 12 V',
  form: 'lengths',
  unit: 'mm',
  lots: 2,
  amount: 6200,
  largest: 4200,
  claimed: 0,
  ...rest,
});
const lot: LotView = {
  id: '0b54b1f0-0000-4000-8000-000000000001',
  kind: 'glues',
  lineId: 'glue',
  name: 'Glue',
  form: 'amount',
  unit: 'ml',
  amount: 80,
  widthMm: null,
  heightMm: null,
  openedOn: '2030-01-02',
  madeAt: '2030-01-01T10:00:00.000Z',
};
const toBuy = (rest: Partial<ShoppingLine> = {}): ShoppingLine => ({
  kind: 'strips',
  itemId: 'white-12v-60',
  lineId: 'white-12v-60',
  name: 'White 12 V',
  amount: 3300,
  unit: 'mm',
  pieces: 1,
  packs: 1,
  packOf: 1,
  price: 41.5,
  supplier: 'North Quay Supplies',
  leadDays: 3,
  pricedOn: '2030-01-05',
  jobIds: ['job-1', 'job-2'],
  ...rest,
});

describe('what is there', () => {
  const row = (name: string) => screen.findByRole('row', { name: new RegExp(`^${name}`) });

  it('tells the longest of lengths, never their sum; of what is poured, what is free or short', async () => {
    answer = () => [
      200,
      [
        line(),
        line({ lineId: 'glue', kind: 'glues', name: 'Glue', form: 'amount', unit: 'ml', amount: 80, claimed: 120 }),
        line({ lineId: 'paint', kind: 'paints', name: 'Paint', form: 'amount', unit: 'L', amount: 2, claimed: 0.5 }),
      ],
    ];
    page('there');
    const strip = await row('White 12 V');
    expect(strip.textContent).toContain('longest 4.2 m');
    expect(strip.textContent).not.toContain('6.2');
    expect(strip.textContent).toContain('by piece');
    expect((await row('Glue')).textContent).toContain('40 ml short');
    expect((await row('Paint')).textContent).toContain('1.5 L');
  });

  it('opens a line to its lots, each of which something can be entered for', async () => {
    const user = userEvent.setup();
    answer = ({ path }) => [200, path.startsWith('/api/stock/lots') ? [lot] : [line({ kind: 'glues', name: 'Glue' })]];
    page('there');
    const head = await screen.findByRole('button', { name: 'Glue' });
    expect(head.getAttribute('aria-expanded')).toBe('false');
    await user.click(head);
    expect(head.getAttribute('aria-expanded')).toBe('true');
    expect(await screen.findByText(/opened 2030-01-02; since 2030-01-01/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Enter for 80 ml of Glue' }));
    expect(await screen.findByRole('dialog')).toBeTruthy();
  });

  it('is found by words, of its name and of its list', async () => {
    const user = userEvent.setup();
    answer = () => [200, [line(), line({ kind: 'glues', lineId: 'g', name: 'Fast one' })]];
    page('there');
    await row('White 12 V');
    await user.type(screen.getByRole('searchbox', { name: 'Find' }), 'glue');
    expect(screen.queryByRole('button', { name: 'White 12 V' })).toBeNull();
    expect(screen.getByRole('button', { name: 'Fast one' })).toBeTruthy();
  });

  it('says what comes here while nothing is', async () => {
    page('there');
    expect(await screen.findByText(/stand here once something has come in/)).toBeTruthy();
  });

  it('says what the server says', async () => {
    answer = () => problem(500, 'the ledger is torn');
    page('there');
    expect((await screen.findByRole('alert')).textContent).toBe('the ledger is torn');
  });
});

describe('what is to be bought', () => {
  const shopping = (rest: Partial<ShoppingView> = {}): ShoppingView => ({
    jobs: [
      { jobId: 'job-1', name: 'Bakehouse', dueOn: '2030-02-01', claimed: true, known: true, shorts: [{} as never] },
      { jobId: 'job-2', name: 'Ferry', dueOn: null, claimed: false, known: true, shorts: [{} as never, {} as never] },
    ],
    lines: [
      toBuy(),
      toBuy({
        kind: 'spacers',
        lineId: 'spacer',
        name: 'Spacer',
        amount: 7,
        unit: 'piece',
        pieces: 10,
        packs: 1,
        packOf: 10,
        supplier: '',
        leadDays: null,
        pricedOn: null,
        jobIds: ['job-2'],
      }),
    ],
    total: 52.25,
    ...rest,
  });

  it('stands by supplier: what is short, in packs, with its price and whether that is a typical one', async () => {
    answer = () => [200, shopping()];
    page('to-buy');
    const own = await screen.findByRole('region', { name: 'North Quay Supplies' });
    expect(own.textContent).toContain('3.3 m');
    expect(own.textContent).toContain('1 reel');
    expect(own.textContent).toContain('price of 2030-01-05');
    expect(own.textContent).toContain('3 days');
    expect(own.textContent).toContain('Bakehouse, Ferry');
    const nobody = screen.getByRole('region', { name: 'No supplier named' });
    expect(nobody.textContent).toContain('1 pack of 10');
    expect(nobody.textContent).toContain('~ typical price');
    expect(nobody.textContent).toContain('not said');
    expect(screen.getByText(/52\.25/)).toBeTruthy();
  });

  it('names the jobs that are short, and leads to each', async () => {
    answer = () => [200, shopping()];
    page('to-buy');
    const short = await screen.findByRole('region', { name: 'Short by job' });
    const [first, second] = within(short).getAllByRole('listitem');
    expect(first!.textContent).toBe('Bakehouse, due 2030-02-01, kept for it: 1 thing');
    expect(second!.textContent).toBe('Ferry: 2 things');
    expect(within(first!).getByRole('link').getAttribute('href')).toBe('/jobs/job-1/cut');
  });

  it('is entered as it came in, by whole packs', async () => {
    const user = userEvent.setup();
    answer = ({ method }) =>
      method === 'POST'
        ? [201, { lots: [{ ...lot, name: 'Spacer', amount: 10, unit: 'piece' }], short: [] }]
        : [200, shopping()];
    page('to-buy');
    await user.click(await screen.findByRole('button', { name: 'White 12 V came in' }));
    const sheet = await screen.findByRole('dialog', { name: 'Something comes in' });
    expect((await within(sheet).findByLabelText<HTMLInputElement>('Reels')).value).toBe('1');
    await user.click(within(sheet).getByRole('button', { name: 'Enter it' }));
    expect((await screen.findByRole('status')).textContent).toContain('Spacer: 10 pieces there by the ledger.');
    expect(posts()[0]!.body).toMatchObject({ what: 'bought', kind: 'strips', itemId: 'white-12v-60', pieces: 1 });
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('says of jobs that are still worked out that they are, before it says that nothing is short', async () => {
    const [first] = shopping().jobs;
    answer = () => [200, shopping({ lines: [], jobs: [{ ...first!, known: false, shorts: [] }] })];
    page('to-buy');
    expect(await screen.findByText(/What one job takes is still being worked out/)).toBeTruthy();
    expect(screen.queryByText(/Nothing is short/)).toBeNull();
  });

  it.each([
    [[], 'no job is at hand'],
    [
      [{ jobId: 'a', name: 'A', dueOn: null, claimed: true, known: true, shorts: [] }],
      'all jobs at hand have what they take',
    ],
  ] as const)('of %j says that nothing is short', async (jobs, told) => {
    answer = () => [200, shopping({ lines: [], jobs })];
    page('to-buy');
    expect(await screen.findByText(new RegExp(told))).toBeTruthy();
  });

  it('tells jobs that an entry left short of what was kept for them', async () => {
    const user = userEvent.setup();
    const short = {
      jobId: 'job-1',
      name: 'Bakehouse',
      dueOn: null,
      claimed: true,
      known: true,
      shorts: [{ name: 'Glue', amount: 30, unit: 'ml' }],
    };
    answer = ({ method }) => (method === 'POST' ? [201, { lots: [], short: [short] }] : [200, shopping()]);
    page('to-buy');
    await user.click(await screen.findByRole('button', { name: 'White 12 V came in' }));
    await user.click(await screen.findByRole('button', { name: 'Enter it' }));
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('A job is short now of what was kept for it');
    expect(alert.textContent).toContain('Bakehouse: Glue, 30 ml');
  });
});

describe('the ledger', () => {
  const entry = (seq: number, rest: Partial<StockEntryView> = {}): StockEntryView => ({
    seq,
    what: 'used',
    lotId: lot.id,
    name: 'Glue',
    unit: 'ml',
    delta: -20,
    jobId: null,
    jobName: null,
    note: '',
    at: '2030-01-07T08:05:00.000Z',
    ...rest,
  });

  it('says what became of what, by how much, for which job', async () => {
    answer = () => [
      200,
      [
        entry(3, { jobId: 'job-1', jobName: 'Bakehouse', note: 'seams' }),
        entry(2, { what: 'opened', delta: 0 }),
        entry(1, { what: 'bought', delta: 100 }),
      ],
    ];
    page('ledger');
    await screen.findByText('seams');
    const [, used, opened, bought] = screen.getAllByRole('row');
    expect(used!.textContent).toMatch(/usedGlue−20 mlBakehouseseams$/);
    expect(within(used!).getByRole('link').getAttribute('href')).toBe('/jobs/job-1');
    expect(opened!.textContent).toMatch(/openedGlue$/);
    expect(bought!.textContent).toMatch(/came inGlue\+100 ml$/);
    expect(screen.queryByRole('button', { name: 'Older entries' })).toBeNull();
  });

  it('comes a hundred at a time, the older ones when they are asked for', async () => {
    const user = userEvent.setup();
    answer = ({ path }) => [
      200,
      path.includes('before=101') ? [entry(100)] : Array.from({ length: 100 }, (_, at) => entry(200 - at)),
    ];
    page('ledger');
    await user.click(await screen.findByRole('button', { name: 'Older entries' }));
    await waitFor(() => expect(screen.getAllByRole('row')).toHaveLength(102));
    expect(screen.queryByRole('button', { name: 'Older entries' })).toBeNull();
  });

  it('says that nothing has been entered', async () => {
    page('ledger');
    expect(await screen.findByText('Nothing has been entered yet.')).toBeTruthy();
  });
});

describe('the stock of a job', () => {
  const view = (rest: Partial<JobStockView> = {}): JobStockView => ({
    claimed: false,
    known: true,
    needs: [{}, {}] as unknown as JobStockView['needs'],
    shorts: [],
    lines: [],
    laid: [],
    ...rest,
  });
  const open = (first: JobStockView): void => {
    answer = ({ method }) => (method === 'POST' ? [200, view({ claimed: true })] : [200, first]);
    show(<JobStock />, '/jobs/job-1/cut');
  };

  it('is kept for it, and a second try after a lost answer is the same operation', async () => {
    const user = userEvent.setup();
    open(view());
    const keep = await screen.findByRole('button', { name: 'Keep it for this job' });
    answer = ({ method }) => (method === 'POST' ? [503, {}] : [200, view()]);
    await user.click(keep);
    expect((await screen.findByRole('alert')).textContent).toContain('does not answer');
    await user.click(keep);
    await waitFor(() => expect(posts()).toHaveLength(2));
    expect(posts()[1]!.body).toEqual(posts()[0]!.body);
    expect(posts()[0]!.path).toBe('/api/stock/jobs/job-1/claim');
  });

  it('is told short thing by thing, with what to buy', async () => {
    open(view({ shorts: [{} as never], lines: [toBuy({ packs: 2, packOf: 5, pieces: 10 })] }));
    expect(await screen.findByText('1 of 2 things that this job takes are short.')).toBeTruthy();
    const list = screen.getByRole('list', { name: 'To buy for this job' });
    expect(list.textContent).toContain('short of 3.3 m: buy 10 reels (2 × 5), North Quay Supplies, 3 days');
  });

  it('is taken from stock once it is used, and what is left of sheets lies there again unless one says no', async () => {
    const user = userEvent.setup();
    const laid = [{ lotId: 'lot-1', name: 'Opal 3 mm', leftMm: [[600, 400]] }] as unknown as JobStockView['laid'];
    open(view({ claimed: true, laid }));
    expect(await screen.findByText(/600 mm × 400 mm of Opal 3 mm/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: /It is used/ }));
    await waitFor(() => expect(posts()).toHaveLength(1));
    expect(posts()[0]!.body).toMatchObject({ keepLeft: true });
    await user.click(screen.getByRole('checkbox'));
    await user.click(screen.getByRole('button', { name: /It is used/ }));
    await waitFor(() => expect(posts()).toHaveLength(2));
    expect(posts()[1]!.body).not.toHaveProperty('keepLeft');
  });

  it('can no longer be kept, and waits while it is worked out', async () => {
    const user = userEvent.setup();
    open(view({ claimed: true }));
    await user.click(await screen.findByRole('button', { name: 'Keep nothing for it' }));
    await waitFor(() => expect(posts()[0]!.path).toBe('/api/stock/jobs/job-1/release'));
  });

  it('cannot be kept before what it takes is known', async () => {
    open(view({ needs: [], known: false }));
    expect(await screen.findByText(/is being worked out/)).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Keep it for this job' }).disabled).toBe(true);
  });
});
