import { describe, expect, it } from '@jest/globals';
import type { PlannedJobView } from '@vitrum/contract';
import { lateJobs, planOf, usualFloor, waysOut, type PlanJob, type PlanStep, type PlanTask } from '@vitrum/core';
import { planStep } from '../testing/plan-step';
import { chartRows } from './chart-rows';
import { hoursWords, readHours, readSpells, spellsWords } from './hours-words';
import { doneAndDue, howLate, wayName, wayWords, whyLate } from './late-words';
import { timeScale } from './time-scale';
import { nowHere, spanWords, timeWords } from './time-words';

const monday = '2030-01-07';
const job = (id: string, dueOn: string | null, ...steps: readonly PlanStep[]): PlanJob => ({
  id,
  name: `Job ${id}`,
  dueOn,
  steps,
});
const taskOf = (jobs: readonly PlanJob[], rest: Partial<PlanTask> = {}): PlanTask => ({
  jobs,
  floor: usualFloor,
  pins: [],
  fromDay: monday,
  now: 480,
  keep: null,
  first: [],
  ...rest,
});
const viewed = (each: PlanJob): PlannedJobView => ({ ...each, done: [], known: true, status: 'cutting' });
const nameOf = (id: string): string => `Job ${id}`;

describe('hours', () => {
  it.each([
    [
      '8:00–12:00, 12:30–16:30',
      [
        [480, 720],
        [750, 990],
      ],
    ],
    ['8-12', [[480, 720]]],
    ['7.30 to 9', [[450, 540]]],
    ['22:00–24:00', [[1320, 1440]]],
    ['', []],
    ['–', []],
  ])('are read as they are typed: “%s”', (words, hours) => {
    expect(readHours(words)).toEqual(hours);
    if (hours.length > 0) expect(readHours(hoursWords(readHours(words)!))).toEqual(hours);
  });

  it.each(['morning', '12-8', '8-12, 11-16', '8:70-12', '8', '8-12-14', '25-26'])('“%s” are none', (words) => {
    expect(readHours(words)).toBeNull();
  });

  it('are said as short as can be', () => {
    expect(
      hoursWords([
        [480, 720],
        [750, 1440],
      ]),
    ).toBe('8–12, 12:30–24');
  });

  it('spells away are days, or from one to another', () => {
    const spells = readSpells('2030-01-07 to 2030-01-11, 2030-02-01');
    expect(spells).toEqual([
      ['2030-01-07', '2030-01-11'],
      ['2030-02-01', '2030-02-01'],
    ]);
    expect(spellsWords(spells!)).toBe('2030-01-07 to 2030-01-11, 2030-02-01');
    expect(readSpells(' ')).toEqual([]);
    expect(readSpells('next week')).toBeNull();
    expect(readSpells('2030-02-01 to 2030-01-01')).toBeNull();
  });
});

describe('times', () => {
  it('are said as one says them', () => {
    expect(timeWords(monday, 14.5 * 60 + 1440)).toBe('Tue 8 Jan 14:30');
    expect([45, 210, 2880, 5000].map(spanWords)).toEqual(['45 min', '3.5 h', '2 days', '3.5 days']);
  });

  it('now is the next quarter of an hour of this day', () => {
    expect(nowHere(new Date(2030, 0, 7, 9, 16))).toEqual({ fromDay: monday, now: 570 });
    expect(nowHere(new Date(2030, 0, 7, 9, 15))).toEqual({ fromDay: monday, now: 555 });
  });
});

describe('the scale of the bars', () => {
  const scale = timeScale(
    [
      [480, 720],
      [750, 990],
      [1920, 2160],
    ],
    540,
  );

  it('draws hours of work as they are, nights narrow, and goes back the same way', () => {
    expect(scale.place(540)).toBe(0);
    expect(scale.place(720)).toBe(180);
    expect(scale.place(750)).toBe(204);
    expect(scale.place(990)).toBe(444);
    // A night of fifteen hours and a half.
    expect(scale.place(1920)).toBe(468);
    expect(scale.end).toBe(708);
    for (const minute of [541, 700, 735, 800, 989, 1500, 2000, 2300])
      expect(scale.minute(scale.place(minute))).toBeCloseTo(minute, 6);
  });

  it('nothing is before now, and after the last hour time goes on', () => {
    expect(scale.place(100)).toBe(0);
    expect(scale.minute(-5)).toBe(540);
    expect(scale.place(2200)).toBe(748);
  });
});

describe('the rows of the bars', () => {
  const jobs = [
    job('a', monday, planStep('cut'), planStep('hang', { people: 2, after: ['cut'], waitMinutes: 30 })),
    job('b', null, planStep('wire')),
  ];
  const task = taskOf(jobs, { pins: [{ jobId: 'b', stepId: 'wire', at: `${monday}T12:45` }] });
  const plan = planOf(task);
  const shown = {
    plan,
    jobs: [...jobs, job('done', null)].map(viewed),
    floor: usualFloor,
    late: lateJobs(task, plan),
    pins: task.pins,
  };

  it('are jobs with something left to do, with waits, pins and due days', () => {
    const rows = chartRows(shown, 'jobs');
    expect(rows.names).toEqual(['Job a', 'Job b']);
    expect(rows.bars.map(({ row, words, pinned }) => [row, words, pinned])).toEqual([
      [0, 'Do cut', false],
      [0, 'Do hang', false],
      [1, 'Do wire', true],
    ]);
    const hang = rows.bars[1]!;
    expect([hang.to - hang.from, hang.until - hang.to]).toEqual([60, 30]);
    // Due by the last hour of the day.
    expect(rows.due).toEqual([{ row: 0, at: rows.scale.place(990), late: false }]);
    expect(rows.days[0]).toEqual({ at: 0, words: 'Mon 7 Jan' });
  });

  it('are people, each with what they do, by whose job it is; they do not wait', () => {
    const rows = chartRows(shown, 'people');
    expect(rows.names).toEqual(usualFloor.people.map(({ name }) => name));
    expect(rows.bars.filter(({ bar }) => bar.stepId === 'hang').map(({ row, words }) => [row, words])).toEqual([
      [0, 'Job a'],
      [1, 'Job a'],
    ]);
    expect(rows.bars.every(({ to, until }) => to === until)).toBe(true);
    expect(rows.due).toEqual([]);
  });
});

describe('why a job is late', () => {
  const one = { ...usualFloor, people: usualFloor.people.slice(0, 1) };

  it('is said with its hours, and who was before it', () => {
    const task = taskOf(
      [job('a', monday, planStep('x', { minutes: 240 })), job('b', monday, planStep('y', { minutes: 480 }))],
      { floor: one, first: ['a'] },
    );
    const plan = planOf(task);
    const late = lateJobs(task, plan)[0]!;
    expect(whyLate(late, monday, nameOf)).toBe(
      'It waits 4 h for Job a. 8 h of work are left; alone it would be done Mon 7 Jan 16:30.',
    );
    expect(howLate(late)).toBe('19.5 h late');
    expect(doneAndDue(late, monday)).toBe('done Tue 8 Jan 12:00, due Mon 7 Jan');
    const ways = waysOut(task, plan, 'b');
    expect(ways.map(wayName)).toEqual(
      expect.arrayContaining(['Take on a helper until it is done', 'Agree on Tue 8 Jan with the customer']),
    );
    const helper = ways.find(({ kind }) => kind === 'helper')!;
    expect(wayWords(helper, monday, nameOf)).toBe('Done Mon 7 Jan 16:30, in time; nobody else is later for it.');
    expect(wayWords(ways.at(-1)!, monday, nameOf)).toBe('The plan stays as it is.');
  });

  it('is itself where it would be late alone', () => {
    const paint = planStep('paint', { waitMinutes: 1440 });
    const task = taskOf([job('a', monday, paint, planStep('next', { after: ['paint'] }))]);
    const late = lateJobs(task, planOf(task))[0]!;
    expect(whyLate(late, monday, nameOf)).toBe(
      'Even alone in the shop it would be done Tue 8 Jan 10:00: 2 h of work are left, 24 h of drying, curing and soaking hold it up.',
    );
  });
});
