import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { LotView, StockDone } from '@vitrum/contract';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { shippedCatalogue } from '@vitrum/core';
import type { ReactNode } from 'react';
import { amountWords, pieceWords } from './amount-words';
import { newId } from '../api/new-id';
import { BoughtDialog } from './bought-dialog';
import { LotDialog } from './lot-dialog';

const sent: { readonly path: string; readonly body: Record<string, unknown> }[] = [];
const answers: (() => Response | Promise<Response>)[] = [];
const answer =
  (status: number, body: object): (() => Response) =>
  () =>
    ({
      ok: status < 400,
      status,
      headers: new Map(),
      text: () => Promise.resolve(JSON.stringify(body)),
    }) as unknown as Response;
const done: StockDone = { lots: [], short: [] };
const realFetch = globalThis.fetch;
beforeEach(() => {
  sent.length = 0;
  answers.length = 0;
  globalThis.fetch = ((path: string, options: RequestInit) => {
    sent.push({ path, body: JSON.parse(options.body as string) as Record<string, unknown> });
    return Promise.resolve((answers.shift() ?? answer(201, done))());
  }) as typeof fetch;
  // The made-up document has no deadlines.
  if (!('timeout' in AbortSignal)) Object.assign(AbortSignal, { timeout: () => new AbortController().signal });
});
afterEach(() => {
  globalThis.fetch = realFetch;
});

const Page = ({ children }: { readonly children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
);
const lot: LotView = {
  id: '0b54b1f0-0000-4000-8000-000000000001',
  kind: 'strips',
  lineId: 'white-12v-60',
  name: 'White 12 V',
  form: 'lengths',
  unit: 'mm',
  amount: 4200,
  widthMm: null,
  heightMm: null,
  openedOn: null,
  madeAt: '2030-01-02T10:00:00.000Z',
};

describe('words of stock', () => {
  it.each<[number, string, string]>([
    [4200, 'mm', '4.2 m'],
    [1, 'sheet', '1 sheet'],
    [3, 'bar', '3 bars'],
    [0.4321, 'L', '0.43 L'],
    [1200, 'piece', '1,200 pieces'],
  ])('%s %s is told as “%s”', (amount, unit, told) => expect(amountWords(amount, unit)).toBe(told));

  it('ask for reels, tins and metres as over a counter', () => {
    expect(pieceWords('strips', 1, 'mm')).toBe('1 reel');
    expect(pieceWords('boards', 2, 'bar')).toBe('2 bars');
    expect(pieceWords('paints', 3, 'L')).toBe('3 cans');
    expect(pieceWords('wires', 12, 'm')).toBe('12 m');
    expect(pieceWords('supplies', 2, 'piece')).toBe('2 pieces');
  });

  it('name operations apart, where the page has no ready-made way too', () => {
    const random = crypto.randomUUID?.bind(crypto);
    Object.defineProperty(crypto, 'randomUUID', { value: undefined, configurable: true });
    const [one, other] = [newId(), newId()];
    Object.defineProperty(crypto, 'randomUUID', { value: random, configurable: true });
    expect(one).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    expect(other).not.toBe(one);
  });
});

describe('what becomes of a lot', () => {
  it('is entered in its own measure, and sent again under the same id when no answer came', async () => {
    const user = userEvent.setup();
    const onDone = jest.fn();
    answers.push(() => Promise.reject(new Error('away')));
    render(
      <Page>
        <LotDialog lot={lot} onClose={() => undefined} onDone={onDone} />
      </Page>,
    );
    const used = await screen.findByLabelText('Used of it');
    await user.clear(used);
    await user.type(used, '1,25');
    await user.click(screen.getByRole('button', { name: 'Enter it' }));
    expect((await screen.findByRole('alert')).textContent).toContain('does not answer');
    await user.click(screen.getByRole('button', { name: 'Enter it' }));
    await waitFor(() => expect(onDone).toHaveBeenCalledTimes(1));
    expect(sent).toHaveLength(2);
    expect(sent[0]!.body).toMatchObject({ what: 'used', lotId: lot.id, amount: 1250 });
    // The same operation: it counts once.
    expect(sent[1]!.body).toEqual(sent[0]!.body);
  });

  it('says what the ledger says when more is taken than is there', async () => {
    const user = userEvent.setup();
    answers.push(answer(409, { message: 'Only 4200 mm are there by the ledger', problems: [] }));
    render(
      <Page>
        <LotDialog lot={lot} onClose={() => undefined} onDone={() => undefined} />
      </Page>,
    );
    await user.click(await screen.findByRole('radio', { name: 'Spoilt' }));
    await user.type(screen.getByLabelText('Note'), 'burnt');
    await user.click(screen.getByRole('button', { name: 'Enter it' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Only 4200 mm are there');
    expect(sent[0]!.body).toMatchObject({ what: 'scrapped', note: 'burnt' });
  });
});

describe('what comes in', () => {
  it('is asked for as it is bought: reels of so many metres, sheets of a size', async () => {
    const user = userEvent.setup();
    const onDone = jest.fn();
    render(
      <Page>
        <BoughtDialog
          catalogue={shippedCatalogue}
          of={{ kind: 'strips', itemId: 'white-12v-60', pieces: 2 }}
          onClose={() => undefined}
          onDone={onDone}
        />
      </Page>,
    );
    expect((await screen.findByLabelText<HTMLInputElement>('Reels')).value).toBe('2');
    expect(screen.getByLabelText<HTMLInputElement>('On each').value).toBe('5');
    await user.click(screen.getByRole('button', { name: 'Enter it' }));
    await waitFor(() => expect(onDone).toHaveBeenCalledWith(done));
    expect(sent[0]!.body).toMatchObject({
      what: 'bought',
      kind: 'strips',
      itemId: 'white-12v-60',
      pieces: 2,
      amount: 5000,
    });

    await user.click(screen.getByLabelText('From the list'));
    await user.click(screen.getByRole('option', { name: 'Faces' }));
    const [face] = shippedCatalogue.faces;
    expect(screen.getByLabelText<HTMLInputElement>('Wide').value).toBe(`${face!.sheetWidthMm}`);
    const high = screen.getByLabelText('High');
    await user.clear(high);
    await user.type(high, '300');
    await user.click(screen.getByRole('button', { name: 'Enter it' }));
    await waitFor(() => expect(onDone).toHaveBeenCalledTimes(2));
    expect(sent[1]!.body).toMatchObject({
      kind: 'faces',
      itemId: face!.id,
      widthMm: face!.sheetWidthMm,
      heightMm: 300,
    });
    expect(sent[1]!.body['op']).not.toBe(sent[0]!.body['op']);
  });
});
