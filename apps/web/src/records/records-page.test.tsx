import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { RecordsView } from '@vitrum/contract';
import type { Lesson } from '@vitrum/core';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { useWriter } from '../bench-log';
import { fakeServer, problem, type Asked, type Said } from '../testing/fake-server';
import { choose } from '../testing/fields';
import { LessonForm, type Subject } from './lesson-form';
import { LessonsHere } from './lessons-here';
import { RecordsPage } from './records-page';

let server: ReturnType<typeof fakeServer>;
let answer: (asked: Asked) => Said;
let records: RecordsView;
const learned = { factor: 1.46, low: 1.31, high: 1.62, seen: 1.5, count: 3 };
const lesson: Lesson = {
  id: 'l1',
  about: 'build',
  key: 'halo',
  words: 'Sand the edges before painting.',
  by: 'First maker',
  jobId: 'job-1',
  madeAt: '2030-01-07T08:00:00.000Z',
};
const full: RecordsView = {
  times: [
    {
      phase: 'wire',
      jobs: [
        { jobId: 'job-1', name: 'Bakehouse', typicalMinutes: 100, takenMinutes: 150 },
        { jobId: 'job-2', name: 'Ferry', typicalMinutes: 50, takenMinutes: 70 },
      ],
      learned,
      accepted: null,
      offered: true,
    },
    {
      phase: 'cut',
      jobs: [{ jobId: 'job-1', name: 'Bakehouse', typicalMinutes: 30, takenMinutes: 20 }],
      learned: { factor: 0.9, low: 0.7, high: 1.1, seen: 0.67, count: 1 },
      accepted: { factor: 0.95, low: 0.8, high: 1.1, jobs: 2, on: '2030-01-01' },
      offered: false,
    },
  ],
  strips: [
    {
      stripId: 'white-12v-60',
      figure: 'wattsPerM',
      name: 'White 12 V',
      readings: Array.from({ length: 8 }, (_, at) => ({
        jobId: `job-${at}`,
        name: `Job ${at}`,
        title: 'Current',
        unit: 'A' as const,
        predicted: 2,
        measured: 1.8,
        on: '2030-01-01',
      })),
      learned: { factor: 0.9, low: 0.86, high: 0.95, seen: 0.9, count: 8 },
      now: 14.4,
      then: 12.96,
      measuredOn: '2029-12-01',
      offered: true,
    },
  ],
  lessons: [lesson],
  waiting: 0,
};

const show = (children: ReactNode): void =>
  void render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>{children}</MemoryRouter>
    </QueryClientProvider>,
  );
const sent = (method: string): readonly Asked[] => server.asked.filter((each) => each.method === method);

beforeEach(() => {
  records = full;
  answer = () => [200, records];
  server = fakeServer((asked) => answer(asked));
});
afterEach(() => {
  server.end();
  useWriter.setState({ name: '' });
});

describe('times of the shop', () => {
  const row = (name: string) => screen.findByRole('row', { name: new RegExp(`^${name}`) });

  it('stand beside typical ones, added up over the jobs they come from', async () => {
    show(<RecordsPage />);
    const wire = await row('Wire');
    expect(wire.textContent).toContain('2.5 h');
    expect(wire.textContent).toContain('3.7 h');
    expect(wire.textContent).toContain('× 1.46, between 1.31 and 1.62');
    expect(wire.textContent).toContain('typical');
    const [first] = within(wire).getAllByRole('link');
    expect([first!.textContent, first!.getAttribute('href')]).toEqual(['Bakehouse', '/jobs/job-1/build']);
  });

  it('of one job are not offered yet', async () => {
    show(<RecordsPage />);
    const cut = await row('Cut');
    expect(cut.textContent).toContain('one job; wait for another');
    expect(cut.textContent).toContain('× 0.95, since 2030-01-01');
    expect(within(cut).queryByRole('button', { name: /Reckon with/ })).toBeNull();
  });

  it('are reckoned with once they are accepted, as they were shown, and typical ones again', async () => {
    const user = userEvent.setup();
    show(<RecordsPage />);
    await user.click(within(await row('Wire')).getByRole('button', { name: 'Reckon with × 1.46' }));
    await waitFor(() => expect(sent('PUT')).toHaveLength(1));
    expect(sent('PUT')[0]).toMatchObject({ path: '/api/records/times/wire', body: { factor: 1.46 } });
    await user.click(within(await row('Cut')).getByRole('button', { name: 'Typical again' }));
    await waitFor(() => expect(sent('PUT')).toHaveLength(2));
    expect(sent('PUT')[1]).toMatchObject({ path: '/api/records/times/cut', body: { factor: null } });
  });

  it('that are no longer as they were shown are not accepted, and are asked for anew', async () => {
    const user = userEvent.setup();
    answer = ({ method }) => (method === 'PUT' ? problem(409, 'The factor is 1.50 by now') : [200, records]);
    show(<RecordsPage />);
    await user.click(within(await row('Wire')).getByRole('button', { name: 'Reckon with × 1.46' }));
    expect((await screen.findByRole('alert')).textContent).toBe('The factor is 1.50 by now');
    await waitFor(() => expect(sent('GET').filter(({ path }) => path === '/api/records').length).toBeGreaterThan(1));
  });

  it('are said to be on the way while jobs are worked out', async () => {
    records = { ...full, waiting: 2 };
    show(<RecordsPage />);
    expect(await screen.findByText(/What 2 jobs should have taken/)).toBeTruthy();
  });
});

describe('what strip takes', () => {
  it('is told by its readings, the first few and how many more, and accepted as it was shown', async () => {
    const user = userEvent.setup();
    show(<RecordsPage />);
    const row = await screen.findByRole('row', { name: /^White 12 V, what it takes/ });
    expect(row.textContent).toContain('Job 0, current: 1.80 A for 2.00 A');
    expect(row.textContent).toContain('; and 2 more');
    expect(row.textContent).toContain('measured 2029-12-01');
    await user.click(within(row).getByRole('button', { name: 'Reckon with 12.96 W/m' }));
    await waitFor(() => expect(sent('PUT')).toHaveLength(1));
    expect(sent('PUT')[0]).toMatchObject({
      path: '/api/records/strips/white-12v-60',
      body: { figure: 'wattsPerM', value: 12.96 },
    });
  });
});

describe('lessons', () => {
  it('are listed with what they are about, and put away', async () => {
    const user = userEvent.setup();
    show(<RecordsPage />);
    const list = await screen.findByRole('region', { name: 'Lessons' });
    expect(list.textContent).toContain('Sand the edges before painting.');
    expect(list.textContent).toContain('every job: halo letters; First maker, 2030-01-07');
    records = { ...full, lessons: [] };
    await user.click(within(list).getByRole('button', { name: 'Put away' }));
    expect(await screen.findByText(/None yet\. Note what went wrong/)).toBeTruthy();
    expect(sent('POST')[0]!.path).toBe('/api/lessons/l1/retire');
  });

  it('say why they could not be put away', async () => {
    const user = userEvent.setup();
    answer = ({ method }) => (method === 'POST' ? problem(409, 'it is needed') : [200, records]);
    show(<RecordsPage />);
    await user.click(await screen.findByRole('button', { name: 'Put away' }));
    expect((await screen.findByRole('alert')).textContent).toBe('it is needed');
    expect(screen.getByText('Sand the edges before painting.')).toBeTruthy();
  });

  it('come up where they were met, and nowhere else', async () => {
    answer = () => [200, [lesson]];
    show(<LessonsHere met={{ builds: ['halo'] }} />);
    expect((await screen.findByRole('list', { name: 'Learned here' })).textContent).toContain('Sand the edges');
  });

  it('do not come up for another build', async () => {
    answer = () => [200, [lesson]];
    show(<LessonsHere met={{ builds: ['lightbox'] }} />);
    await waitFor(() => expect(server.asked).toHaveLength(1));
    expect(screen.queryByRole('list', { name: 'Learned here' })).toBeNull();
  });
});

describe('the form of a lesson', () => {
  const subjects: readonly Subject[] = [
    { about: 'step', key: 'halo:wire', label: 'this step of every job' },
    { about: 'build', key: 'halo', label: 'every job: halo letters' },
  ];
  const open = () => {
    let done = 0;
    show(<LessonForm jobId="job-1" subjects={subjects} onDone={() => (done += 1)} />);
    return () => done;
  };

  it('keeps what was learned, about what was chosen, by whoever writes here', async () => {
    const user = userEvent.setup();
    useWriter.setState({ name: ' First maker ' });
    answer = () => [201, lesson];
    const done = open();
    const keep = screen.getByRole<HTMLButtonElement>('button', { name: 'Keep the lesson' });
    expect(keep.disabled).toBe(true);
    await user.type(screen.getByLabelText('What to do next time'), '  Prime first ');
    await choose('It comes up again at', 'every job: halo letters');
    await user.click(keep);
    await waitFor(() => expect(done()).toBe(1));
    expect(sent('POST')[0]!.body).toMatchObject({
      about: 'build',
      key: 'halo',
      words: 'Prime first',
      by: 'First maker',
      jobId: 'job-1',
    });
  });

  it('sent again after a lost answer is the same lesson', async () => {
    const user = userEvent.setup();
    answer = () => [503, {}];
    const done = open();
    await user.type(screen.getByLabelText('What to do next time'), 'Prime first');
    await user.click(screen.getByRole('button', { name: 'Keep the lesson' }));
    expect((await screen.findByRole('alert')).textContent).toContain('does not answer');
    await user.click(screen.getByRole('button', { name: 'Keep the lesson' }));
    await waitFor(() => expect(sent('POST')).toHaveLength(2));
    expect(sent('POST')[1]!.body).toEqual(sent('POST')[0]!.body);
    expect(done()).toBe(0);
  });

  it('is left without keeping anything', async () => {
    const user = userEvent.setup();
    const done = open();
    await user.click(screen.getByRole('button', { name: 'Leave it' }));
    expect(done()).toBe(1);
    expect(server.asked).toHaveLength(0);
  });
});

it('empty records say how each begins', async () => {
  records = { times: [], strips: [], lessons: [], waiting: 0 };
  show(<RecordsPage />);
  expect(await screen.findByText(/Nothing was timed yet/)).toBeTruthy();
  expect(screen.getByText(/No current and no luminance was measured yet/)).toBeTruthy();
  expect(screen.getByText(/None yet/)).toBeTruthy();
});
