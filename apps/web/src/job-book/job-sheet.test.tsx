import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { JobListing } from '@vitrum/contract';
import { MemoryRouter, Route, Routes } from 'react-router';
import { fakeServer, problem, type Said } from '../testing/fake-server';
import { JobSheet } from './job-sheet';
import { ShopFile } from './shop-file';

const job: JobListing = {
  id: 'one',
  name: 'Curlew letters',
  customer: 'Ferries',
  status: 'building',
  dueOn: '2030-01-31',
  archived: false,
  template: false,
  handedOverOn: null,
  cared: {},
  quoted: null,
  updatedAt: '2029-12-01T00:00:00Z',
  revision: 4,
  summary: null,
  summaryOf: null,
};
let server: ReturnType<typeof fakeServer> | null = null;
afterEach(() => server?.end());

const open = (said: Said, change: Partial<JobListing> = {}) => {
  server = fakeServer(() => said);
  const onClose = jest.fn();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <Routes>
          <Route path="/" element={<JobSheet job={{ ...job, ...change }} onClose={onClose} />} />
          <Route path="/jobs/:jobId" element={<p>the copy</p>} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return onClose;
};

describe('the sheet of a job', () => {
  it('says what is to be done to a sign that was handed over, and takes that it was done', async () => {
    const user = userEvent.setup();
    const closed = open([200, {}], {
      status: 'delivered',
      handedOverOn: '2020-01-31',
      cared: { 12: '2099-01-01' },
      summary: {
        size: '',
        figures: [],
        counts: { stop: 0, fix: 0, note: 0 },
        thumbnail: null,
        care: [
          { everyMonths: 6, what: 'Wipe it' },
          { everyMonths: 12, what: 'Try its fixings' },
        ],
      },
    });
    const items = (await screen.findAllByRole('listitem')).map(({ textContent }) => textContent);
    expect(items[0]).toContain('Due since 2020-07-31, every 6 months');
    expect(items[1]).toContain('Due on 2100-01-01, every 12 months, last on 2099-01-01');
    await user.click(screen.getByRole('button', { name: 'Done today: Wipe it' }));
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect(server!.asked[0]!.body).toEqual({
      cared: { everyMonths: 6, on: expect.stringMatching(/^\d{4}-\d\d-\d\d$/) },
    });
  });

  it('changes name, customer, day and how far it is', async () => {
    const user = userEvent.setup();
    const closed = open([200, {}]);
    const customer = await screen.findByLabelText('Customer');
    await user.clear(customer);
    await user.type(customer, 'The ferry office');
    await user.clear(screen.getByLabelText('Due on'));
    await user.click(screen.getByRole('button', { name: 'Keep' }));
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect(server!.lines()).toEqual(['PATCH /api/jobs/one']);
    expect(server!.asked[0]!.body).toEqual({
      name: 'Curlew letters',
      customer: 'The ferry office',
      dueOn: null,
      status: 'building',
    });
  });

  it('copies the job and goes there', async () => {
    const user = userEvent.setup();
    open([201, { id: 'two' }]);
    const name = await screen.findByLabelText(/^Name of a copy/);
    await user.clear(name);
    await user.type(name, 'Curlew, north side');
    await user.click(screen.getByRole('button', { name: 'Copy it' }));
    expect(await screen.findByText('the copy')).toBeTruthy();
    expect(server!.asked[0]).toMatchObject({ path: '/api/jobs/one/copies', body: { name: 'Curlew, north side' } });
  });

  it.each([
    ['Put it away', {}, { archived: true }],
    ['Take it out again', { archived: true }, { archived: false }],
    ['Keep it to copy from', {}, { template: true }],
    ['No longer to copy from', { template: true }, { template: false }],
  ])('%s', async (name, change, sent) => {
    const user = userEvent.setup();
    const closed = open([200, {}], change);
    await user.click(await screen.findByRole('button', { name }));
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect(server!.asked[0]!.body).toEqual(sent);
  });

  it('stays open and says why where it was not kept', async () => {
    const user = userEvent.setup();
    const closed = open(problem(400, 'a job’s name has at most 120 characters', 'name'));
    await user.click(await screen.findByRole('button', { name: 'Keep' }));
    expect((await screen.findByRole('alert')).textContent).toContain('at most 120');
    expect(closed).not.toHaveBeenCalled();
  });
});

describe('the shop as a file', () => {
  const openFile = (said: Said): void => {
    server = fakeServer(() => said);
    render(
      <QueryClientProvider client={new QueryClient()}>
        <ShopFile />
      </QueryClientProvider>,
    );
  };
  const choose = (): Promise<void> =>
    userEvent.upload(screen.getByLabelText('Read one back …'), new File(['{}'], 'shop.ndjson'));

  it('says what it has brought', async () => {
    openFile([200, { added: { jobs: 3, quotes: 1, stockLots: 0 }, known: {} }]);
    await choose();
    expect((await screen.findByText(/^Added/)).textContent).toBe('Added: 3 jobs, 1 quotes.');
  });

  it('says in which line it is wrong', async () => {
    openFile(problem(400, 'jobs.id is not an id', 'line 3'));
    await choose();
    expect((await screen.findByRole('alert')).textContent).toBe('line 3: jobs.id is not an id Nothing was taken.');
  });
});
