import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { RevisionView, RevisionWithDesign } from '@vitrum/contract';
import { demoDesigns, inDesign, set, shippedCatalogue, type ComparedWay, type Design } from '@vitrum/core';
import { act } from 'react';
import { changeDesign, undo, useDocument } from '../document/document-store';
import { fakeServer, problem, type Asked, type Said } from '../testing/fake-server';
import { showLit } from '../testing/lit';
import { headOf, openDesign } from '../testing/open-design';
import { workers } from '../workers/clients';
import { CatalogueContext } from './catalogue-context';
import { ConflictDialog } from './conflict-dialog';
import { KeptEdits } from './kept-edits';
import { useKeptEdits } from './kept-edits-store';
import { RevisionsDialog } from './revisions-dialog';

const demo = demoDesigns.dispensary;
const older: Design = { ...demo, name: 'Older', brief: { ...demo.brief, quantity: 4 } };
const view = (number: number, rest: Partial<RevisionView> = {}): RevisionView => {
  const { design: _, ...head } = headOf(demo);
  return { ...head, number, ...rest };
};
const now = () => useDocument.getState().design!;

let server: ReturnType<typeof fakeServer>;
let answer: (asked: Asked) => Said;
let compared: jest.SpiedFunction<typeof workers.tryOuts.ask>;
beforeEach(() => {
  openDesign(demo);
  showLit(null);
  answer = ({ path }) =>
    path.endsWith('/revisions')
      ? [200, [view(3), view(2, { setAside: true }), view(1)]]
      : [200, { ...headOf(older), number: 1 } satisfies RevisionWithDesign];
  server = fakeServer((asked) => answer(asked));
  jest.spyOn(workers.tryOuts, 'setUp').mockImplementation(() => undefined);
  compared = jest.spyOn(workers.tryOuts, 'ask').mockImplementation(() => () => undefined);
});
afterEach(() => {
  server.end();
  jest.restoreAllMocks();
});

describe('revisions of a job', () => {
  const open = () => {
    const onClose = jest.fn();
    render(
      <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
        <CatalogueContext.Provider value={shippedCatalogue}>
          <RevisionsDialog jobId="job" onClose={onClose} />
        </CatalogueContext.Provider>
      </QueryClientProvider>,
    );
    return onClose;
  };
  const rows = async () => {
    await screen.findAllByRole('button', { name: 'Bring back' });
    return screen.getAllByRole('listitem');
  };
  /** The thread answers with what a design comes to. */
  const answerWith = async (figures: ComparedWay['figures'], amiss: ComparedWay['amiss'] = null): Promise<void> =>
    act(async () => {
      const { hear } = compared.mock.calls.at(-1)![0];
      hear({ kind: 'compared', id: 1, done: true, ways: [{ label: '', isNow: false, figures, amiss }] });
      await Promise.resolve();
    });

  it('are listed, the newest first, and those that were set aside say so', async () => {
    open();
    const [newest, aside, oldest] = await rows();
    expect(newest!.textContent).toMatch(/^3 /);
    expect(aside!.textContent).toContain('set aside: saved while another was newer');
    expect(oldest!.textContent).toMatch(/^1 /);
  });

  it('are brought back as an edit, that undo takes away again', async () => {
    const user = userEvent.setup();
    const onClose = open();
    await user.click(within((await rows())[2]!).getByRole('button', { name: 'Bring back' }));
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(now()).toEqual(older);
    void act(() => undo());
    expect(now()).toEqual(demo);
  });

  it('say why one could not be brought back, and the design stays as it is', async () => {
    const user = userEvent.setup();
    const onClose = open();
    const [, , oldest] = await rows();
    answer = () => problem(404, 'There is no such revision');
    await user.click(within(oldest!).getByRole('button', { name: 'Bring back' }));
    expect((await screen.findByRole('alert')).textContent).toBe(
      'It could not be brought back: There is no such revision',
    );
    expect(onClose).not.toHaveBeenCalled();
    expect(now()).toEqual(demo);
  });

  it('say what the server says where there is no list', async () => {
    answer = () => problem(500, 'the book is wet');
    open();
    expect((await screen.findByRole('alert')).textContent).toBe('the book is wet');
  });

  it('are compared in words, then in figures, the two worked out one after the other', async () => {
    const user = userEvent.setup();
    open();
    await user.click(within((await rows())[2]!).getByRole('button', { name: 'Compare' }));
    const words = await screen.findByRole('table', { name: 'What was changed' });
    const quantity = within(words)
      .getAllByRole('row')
      .find(({ textContent }) => textContent.startsWith('Signs') || /4.*1$/.test(textContent))!;
    expect(
      within(quantity)
        .getAllByRole('cell')
        .map(({ textContent }) => textContent),
    ).toEqual(['4', `${demo.brief.quantity}`]);
    expect(screen.getByText('Working both out …')).toBeTruthy();
    expect(compared).toHaveBeenCalledTimes(1);
    expect(compared.mock.calls[0]![0].request).toMatchObject({ kind: 'compare', design: older });
    await answerWith({ watts: { text: '40 W', value: 40 }, depth: { text: '81 mm', value: 81 } });
    expect(compared).toHaveBeenCalledTimes(2);
    expect(compared.mock.calls[1]![0].request).toMatchObject({ design: demo });
    await answerWith(
      { watts: { text: '50 W', value: 50 }, depth: { text: '81 mm', value: 81 } },
      { severity: 'fix', what: 'Dots show' },
    );
    const figures = within(screen.getByRole('table', { name: 'What it comes to' })).getAllByRole('row');
    const told = figures.slice(1).map((row) => [...row.children].map(({ textContent }) => textContent));
    expect(told).toEqual([
      ['watts', '40 W', '50 W'],
      ['depth', '81 mm', '81 mm'],
      ['the gravest that is found', 'nothing', 'Dots show'],
    ]);
  });

  it('of what is as it was say that nothing was changed', async () => {
    const user = userEvent.setup();
    answer = ({ path }) => (path.endsWith('/revisions') ? [200, [view(1)]] : [200, headOf(demo)]);
    open();
    const compare = within((await rows())[0]!).getByRole('button', { name: 'Compare' });
    await user.click(compare);
    expect(await screen.findByText('Nothing: the design is as it was then.')).toBeTruthy();
    await user.click(compare);
    expect(screen.queryByText('Nothing: the design is as it was then.')).toBeNull();
  });
});

describe('a job that was saved elsewhere too', () => {
  const head = { ...headOf({ ...demo, name: 'Theirs' }), number: 8, hash: 'theirs' };
  const yours = { ...headOf(demo), number: 7 };
  const open = (): void => {
    useDocument.setState({ save: { kind: 'conflict', head, yours } });
    render(<ConflictDialog />);
  };

  it('says which is whose, and goes on with mine: saved next upon theirs', async () => {
    const user = userEvent.setup();
    open();
    const sheet = await screen.findByRole('dialog', { name: 'This job was saved elsewhere too' });
    expect(sheet.textContent).toContain('saved revision 8');
    expect(sheet.textContent).toContain('kept as revision 7');
    await user.click(within(sheet).getByRole('button', { name: 'Go on with mine' }));
    expect(useDocument.getState()).toMatchObject({ basedOn: 'theirs', revision: 8, save: { kind: 'unsaved' } });
    expect(now()).toEqual(demo);
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('takes theirs', async () => {
    const user = userEvent.setup();
    open();
    await user.click(await screen.findByRole('button', { name: 'Take theirs' }));
    expect(now().name).toBe('Theirs');
    expect(useDocument.getState().save.kind).toBe('saved');
  });

  it('is nothing that is asked while all is well', () => {
    render(<ConflictDialog />);
    expect(screen.queryByRole('dialog')).toBeNull();
  });
});

describe('edits that other pages left', () => {
  const draft = (page: string, at: number, name: string) => ({
    jobId: 'job',
    page,
    at,
    basedOn: 'h1',
    design: { ...demo, name },
  });
  type Kept = ReturnType<typeof useKeptEdits.getState>['drafts'];
  const open = (jobId = 'job'): void => {
    useKeptEdits.setState({
      jobId: 'job',
      drafts: [draft('one', 1_893_456_000_000, 'First'), draft('two', 0, 'Second')] as unknown as Kept,
    });
    render(<KeptEdits jobId={jobId} />);
  };

  it('are offered one by one; gone on with, they are one edit that can be undone', async () => {
    const user = userEvent.setup();
    open();
    const [first, second] = await screen.findAllByRole('listitem');
    expect(first!.textContent).toContain('2030');
    expect(second!.textContent).toContain('of an earlier visit');
    await user.click(within(first!).getByRole('button', { name: 'Go on with these' }));
    expect(now().name).toBe('First');
    expect(screen.getAllByRole('listitem')).toHaveLength(1);
    void act(() => undo());
    expect(now().name).toBe(demo.name);
  });

  it('are thrown away only when one says so', async () => {
    const user = userEvent.setup();
    open();
    await user.click((await screen.findAllByRole('button', { name: 'Throw away' }))[0]!);
    expect(screen.getAllByRole('listitem')).toHaveLength(1);
    expect(now()).toEqual(demo);
    await user.click(screen.getByRole('button', { name: 'Throw away' }));
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('are not those of another job', () => {
    open('another');
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('stay where they are when the design is changed meanwhile', async () => {
    open();
    await screen.findByRole('dialog');
    void act(() => void changeDesign([set(inDesign.brief.quantity, 3)]));
    expect(screen.getAllByRole('listitem')).toHaveLength(2);
  });
});
