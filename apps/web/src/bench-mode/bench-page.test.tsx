import { afterEach, beforeAll, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoDesigns, type Evaluation, type LogEntry } from '@vitrum/core';
import { MemoryRouter, Route, Routes } from 'react-router';
import { benchLog, useWriter } from '../bench-log';
import { JobRecord } from '../records/job-record';
import { fakeServer, problem, type Asked, type Said } from '../testing/fake-server';
import { litOf, showLit } from '../testing/lit';
import { openDesign } from '../testing/open-design';
import { useView } from '../view/view-store';
import { BenchPage } from './bench-page';
import { useClock } from './timers';

const demo = demoDesigns['rye-and-salt'];
const hour = 3_600_000;
let evaluation: Evaluation;
beforeAll(async () => {
  evaluation = await litOf(demo);
});

/** A server that keeps a log, each job its own. */
const logServer = () => {
  let kept: readonly (LogEntry & { readonly seq: number })[] = [];
  let no: Said | null = null;
  const server = fakeServer(({ method, path, body }: Asked): Said => {
    if (path === '/api/lessons') return [200, []];
    if (method === 'GET') {
      const after = Number(new URLSearchParams(path.split('?')[1]).get('after'));
      return [200, { entries: kept.filter(({ seq }) => seq > after), after: null }];
    }
    if (no !== null) return no;
    const { entries } = body as { readonly entries: readonly LogEntry[] };
    const fresh = entries.map((entry, at) => ({ ...entry, seq: kept.length + at + 1 }));
    kept = [...kept, ...fresh];
    return [201, fresh];
  });
  return {
    ...server,
    entries: () => kept,
    refuse: (said: Said): void => {
      no = said;
    },
  };
};

let server: ReturnType<typeof logServer>;
let count = 0;
let jobId = '';
beforeEach(() => {
  // Each test has a job of its own: the log of one outlives it.
  jobId = `job-${(count += 1)}`;
  server = logServer();
  openDesign(demo);
  showLit(evaluation);
  useView.setState({ shownStep: null });
  useClock.setState({ clock: null });
  useWriter.setState({ name: 'First maker' });
});
afterEach(async () => {
  await act(() => benchLog.idle());
  benchLog.store.setState({ waiting: [], refused: [] });
  server.end();
  jest.restoreAllMocks();
});

const show = (page: 'bench' | 'record' = 'bench'): void =>
  void render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter initialEntries={[`/jobs/${jobId}/bench`]}>
        <Routes>
          <Route
            path="/jobs/:jobId/*"
            element={page === 'bench' ? <BenchPage jobId={jobId} /> : <JobRecord evaluation={evaluation} />}
          />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
const steps = () => evaluation.buildList.steps;
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name });
const heading = (): string => screen.getByRole('heading', { level: 1 }).textContent;
const written = async (what: string): Promise<LogEntry> =>
  waitFor(() => {
    const found = server.entries().find((entry) => entry.what === what);
    if (found === undefined) throw new Error(`nothing of ${what} was written down`);
    return found;
  });

describe('bench mode', () => {
  it('shows the first step, what it takes and what to mind, and how many are done', () => {
    show();
    const [first] = steps();
    expect(heading()).toBe(`1. ${first!.title}`);
    expect(screen.getByText(first!.detail)).toBeTruthy();
    expect(screen.getByText(`0 of ${steps().length} done`)).toBeTruthy();
    expect(button('Before').disabled).toBe(true);
  });

  it('goes on and back step by step, and ends at the last', async () => {
    const user = userEvent.setup();
    show();
    await user.click(button('Next'));
    expect(heading()).toBe(`2. ${steps()[1]!.title}`);
    await user.click(button('Before'));
    expect(heading()).toBe(`1. ${steps()[0]!.title}`);
    const list = screen.getByRole('navigation', { name: 'Steps' });
    await user.click(within(list).getByRole('button', { name: new RegExp(`^${steps().length}\\. `) }));
    expect(heading()).toBe(`${steps().length}. ${steps().at(-1)!.title}`);
    expect(button('Next').disabled).toBe(true);
  });

  it('shows the caution of a step that can hurt', async () => {
    const user = userEvent.setup();
    show();
    const at = steps().findIndex(({ caution }) => caution !== null);
    expect(at).toBeGreaterThanOrEqual(0);
    await user.click(
      within(screen.getByRole('navigation', { name: 'Steps' })).getByRole('button', {
        name: new RegExp(`^${at + 1}\\. `),
      }),
    );
    expect(screen.getByText(steps()[at]!.caution!)).toBeTruthy();
  });

  it('ticks what is done, by whoever is here, and goes on to the next; a tick can be taken away', async () => {
    const user = userEvent.setup();
    const quick = steps().findIndex(({ waitMinutes }) => waitMinutes === 0);
    useView.setState({ shownStep: steps()[quick]!.id });
    show();
    await user.click(screen.getByRole('checkbox', { name: 'Done' }));
    expect(heading()).toBe(`${quick + 2}. ${steps()[quick + 1]!.title}`);
    expect(screen.getByText(`1 of ${steps().length} done`)).toBeTruthy();
    expect(await written('done')).toMatchObject({ stepId: steps()[quick]!.id, by: 'First maker' });
    await user.click(button('Before'));
    await user.click(screen.getByRole('checkbox', { name: 'Done' }));
    expect(await written('not-done')).toMatchObject({ stepId: steps()[quick]!.id });
    expect(screen.getByText(`0 of ${steps().length} done`)).toBeTruthy();
  });

  it('opens at the first step that is not done yet', () => {
    openDesign({ ...demo, proof: { readings: [], built: [steps()[0]!.id, steps()[1]!.id] } });
    show();
    expect(heading()).toBe(`3. ${steps()[2]!.title}`);
  });

  it('notes what went wrong, with nothing noted for nothing', async () => {
    const user = userEvent.setup();
    show();
    expect(button('Note it').disabled).toBe(true);
    await user.type(screen.getByLabelText('What went wrong'), '  The blade wandered ');
    await user.click(button('Note it'));
    expect(await written('wrong')).toMatchObject({ words: 'The blade wandered', stepId: steps()[0]!.id });
    const notes = screen.getByRole('region', { name: 'Notes of this step' });
    expect(notes.textContent).toContain('Went wrong: The blade wandered');
    await user.click(within(notes).getByRole('button', { name: 'Take back' }));
    await waitFor(() => expect(notes.textContent).not.toContain('The blade wandered'));
    expect((await written('taken-back')).of).toBe((await written('wrong')).id);
  });

  it('tells what the server would not take, and lets go of it when one says so', async () => {
    const user = userEvent.setup();
    server.refuse(problem(422, 'that job is archived'));
    show();
    await user.type(screen.getByLabelText('What went wrong'), 'Late');
    await user.click(button('Note it'));
    expect((await screen.findByRole('alert')).textContent).toContain('“Late” was not taken: that job is archived');
    await user.click(button('Leave it out'));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('waits for the steps of a design that is not worked out yet', () => {
    showLit(null);
    show();
    expect(screen.getByText('Laying the steps out …')).toBeTruthy();
  });
});

describe('the clock of a step', () => {
  const at = (ms: number): void => void jest.spyOn(Date, 'now').mockReturnValue(ms);
  const begin = 1_893_456_000_000;

  it('runs from start to stop, and its minutes are written down', async () => {
    at(begin);
    show();
    fireEvent.click(button('Start work'));
    at(begin + 25 * 60_000);
    fireEvent.click(button(/^Stop/));
    expect(await written('time')).toMatchObject({ value: 25, stepId: steps()[0]!.id });
    expect(useClock.getState().clock).toBeNull();
  });

  it('that was forgotten over night is not believed', () => {
    at(begin);
    show();
    fireEvent.click(button('Start work'));
    at(begin + 9 * hour);
    fireEvent.click(button(/^Stop/));
    expect(screen.getByRole('alert').textContent).toContain('more than six hours');
    expect(server.entries().filter(({ what }) => what === 'time')).toHaveLength(0);
  });

  it('ends when the step is ticked', async () => {
    at(begin);
    show();
    fireEvent.click(button('Start work'));
    at(begin + 10 * 60_000);
    fireEvent.click(screen.getByRole('checkbox', { name: 'Done' }));
    expect(await written('time')).toMatchObject({ value: 10 });
    expect(await written('done')).toBeTruthy();
  });

  it('of another job is told, and can be forgotten', async () => {
    const user = userEvent.setup();
    useClock.setState({ clock: { jobId: 'elsewhere', stepId: 'x', since: Date.now() } });
    show();
    expect(button('Start work').disabled).toBe(true);
    await user.click(button('Forget that time'));
    expect(button('Start work').disabled).toBe(false);
  });

  it.each([
    ['12,5', 12.5],
    ['90', 90],
  ])('takes “%s” typed in its place', async (text, minutes) => {
    const user = userEvent.setup();
    show();
    await user.type(screen.getByLabelText('Minutes that it took'), text);
    await user.click(button('Add'));
    expect(await written('time')).toMatchObject({ value: minutes });
  });

  it.each(['0', '-3', '2000', 'long'])('does not take “%s”', async (text) => {
    const user = userEvent.setup();
    show();
    await user.type(screen.getByLabelText('Minutes that it took'), text);
    expect(button('Add').disabled).toBe(true);
  });
});

describe('the wait of a step', () => {
  it('is begun, counts down, and is taken away', async () => {
    const user = userEvent.setup();
    const waits = steps().find(({ waitMinutes }) => waitMinutes > 0)!;
    useView.setState({ shownStep: waits.id });
    show();
    await user.click(button(/^Start the wait/));
    expect(screen.getByRole('timer', { name: 'Wait' }).textContent).toContain('left');
    expect(await written('wait-begun')).toMatchObject({ stepId: waits.id });
    await user.click(button('Take it away'));
    expect(await written('wait-over')).toMatchObject({ stepId: waits.id });
    expect(screen.queryByRole('timer', { name: 'Wait' })).toBeNull();
  });
});

describe('what a job took', () => {
  const region = () => screen.getByRole('region', { name: 'What it took' });
  const write = (what: LogEntry['what'], rest: Partial<LogEntry>): void =>
    benchLog.write({
      id: `${jobId}-${Math.random()}`,
      what,
      stepId: null,
      by: 'First maker',
      at: new Date().toISOString(),
      value: null,
      words: '',
      of: null,
      ...rest,
    });

  it('stands beside what was computed, phase by phase, for all signs of the job', async () => {
    show('record');
    expect(region().textContent).toContain('No time was written down yet');
    const [first] = steps();
    act(() => write('time', { stepId: first!.id, value: 42 }));
    const row = await within(region()).findByRole('row', { name: /42 min/ });
    const computed = Math.round(first!.minutes * demo.brief.quantity);
    expect(row.textContent).toContain(computed >= 60 ? 'h' : `${computed} min`);
    expect(row.textContent).toContain('1 step is not done yet');
    act(() => write('done', { stepId: first!.id }));
    await waitFor(() => expect(row.textContent).not.toContain('not done yet'));
  });

  it('adds up money that was spent, each of which can be taken back', async () => {
    const user = userEvent.setup();
    show('record');
    const add = within(region()).getByRole<HTMLButtonElement>('button', { name: 'Add' });
    expect(add.disabled).toBe(true);
    const spend = async (words: string, amount: string): Promise<void> => {
      await user.type(screen.getByLabelText('Money spent on'), words);
      await user.type(screen.getByLabelText(evaluation.cost.currency), amount);
      await user.click(add);
    };
    await spend('Opal sheet', '31,50');
    await spend('Screws', '4.25');
    const material = () => within(region()).getByRole('row', { name: /^Material/ }).textContent;
    await waitFor(() => expect(material()).toContain(`${evaluation.cost.currency}35.75`));
    const [opal] = within(region()).getAllByRole('listitem');
    await user.click(within(opal!).getByRole('button', { name: 'Take back' }));
    await waitFor(() => expect(material()).toContain(`${evaluation.cost.currency}4.25`));
  });
});
