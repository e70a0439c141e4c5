import { describe, expect, it } from '@jest/globals';
import type { JobListing } from '@vitrum/contract';
import {
  bookSums,
  careDue,
  careText,
  dueText,
  filterJobs,
  isLate,
  isOnItsWay,
  wantsCare,
  type JobFilter,
} from './filter-jobs';

const job = (
  name: string,
  customer: string,
  status: JobListing['status'],
  dueOn: string | null,
  updatedAt: string,
): JobListing => ({
  id: name,
  name,
  customer,
  status,
  dueOn,
  updatedAt,
  archived: false,
  template: false,
  handedOverOn: null,
  cared: {},
  quoted: null,
  revision: 1,
  summary: null,
  summaryOf: 1,
});

const jobs = [
  job('Ticket board', 'Ferries', 'quoted', '2030-03-01', '2029-01-03'),
  job('Curlew letters', 'Ferries', 'building', null, '2029-01-01'),
  job('Bakery box', 'Rye', 'quoted', '2030-01-01', '2029-01-02'),
];
const today = new Date('2030-02-01T12:00:00Z');
const namesOf = (all: readonly JobListing[], filter: Partial<JobFilter>) =>
  filterJobs(all, { words: '', status: 'all', order: 'due', shelf: 'book', ...filter }, today).map(({ name }) => name);
const names = (filter: Partial<JobFilter>) => namesOf(jobs, filter);

/** A job that has been summed up. */
const summed = (of: JobListing, price: number, stop = 0, fix = 0): JobListing => ({
  ...of,
  summary: { size: '', figures: [], counts: { stop, fix, note: 0 }, thumbnail: null, order: { price, currency: '€' } },
});

describe('the job book', () => {
  it('stands in order of due date, name or change; no date last', () => {
    expect(names({})).toEqual(['Bakery box', 'Ticket board', 'Curlew letters']);
    expect(names({ order: 'name' })).toEqual(['Bakery box', 'Curlew letters', 'Ticket board']);
    expect(names({ order: 'changed' })).toEqual(['Ticket board', 'Bakery box', 'Curlew letters']);
  });

  it('finds every word in name or customer, and one status', () => {
    expect(names({ words: 'FERR board' })).toEqual(['Ticket board']);
    expect(names({ status: 'building' })).toEqual(['Curlew letters']);
    expect(names({ words: 'owl' })).toEqual([]);
  });

  it('stands in order of what is wrong, and of what its orders cost', () => {
    const [ticket, curlew, bakery] = jobs;
    const all = [summed(ticket!, 90, 0, 3), summed(curlew!, 400), summed(bakery!, 120, 1)];
    expect(namesOf(all, { order: 'wrong' })).toEqual(['Bakery box', 'Ticket board', 'Curlew letters']);
    expect(namesOf(all, { order: 'value' })).toEqual(['Curlew letters', 'Bakery box', 'Ticket board']);
    const none = { jobs: 0, price: 0 };
    const nothing = { open: 0, late: 0, care: 0, agreed: none, quoted: none, atCost: none, currency: '' };
    expect(bookSums(all, today)).toEqual({
      ...nothing,
      open: 3,
      late: 1,
      atCost: { jobs: 3, price: 610 },
      currency: '€',
    });
    // What was quoted counts at its price.
    const priced = [
      { ...all[0]!, quoted: { price: 500, currency: '€', agreed: true } },
      { ...all[1]!, quoted: { price: 700, currency: '€', agreed: false } },
      all[2]!,
    ];
    expect(bookSums(priced, today)).toMatchObject({
      agreed: { jobs: 1, price: 500 },
      quoted: { jobs: 1, price: 700 },
      atCost: { jobs: 1, price: 120 },
    });
    expect(namesOf(priced, { order: 'value' })).toEqual(['Curlew letters', 'Ticket board', 'Bakery box']);
    // What is put away, delivered or there to be copied counts for nothing.
    const rest = [
      { ...all[0]!, archived: true },
      { ...all[1]!, status: 'delivered' as const },
      { ...all[2]!, template: true },
    ];
    expect(bookSums(rest, today)).toEqual(nothing);
  });

  it('keeps what is put away apart, and shows late ones and those to copy from', () => {
    const [ticket, curlew, bakery] = jobs;
    const all = [{ ...ticket!, archived: true }, { ...curlew!, template: true }, bakery!];
    expect(namesOf(all, {})).toEqual(['Bakery box', 'Curlew letters']);
    expect(namesOf(all, { shelf: 'away' })).toEqual(['Ticket board']);
    expect(namesOf(all, { shelf: 'templates' })).toEqual(['Curlew letters']);
    expect(namesOf(all, { shelf: 'late' })).toEqual(['Bakery box']);
    expect(isLate({ dueOn: '2030-01-01', status: 'delivered' }, today)).toBe(false);
    expect(isLate({ dueOn: '2030-02-01', status: 'quoted' }, today)).toBe(false);
  });

  it('says which signs are to be looked after, from a fortnight before', () => {
    const care = [
      { everyMonths: 6, what: 'wipe' },
      { everyMonths: 12, what: 'fixings' },
    ];
    const [ticket] = jobs;
    const handed = (handedOverOn: string | null, cared = {}): JobListing => {
      const of = summed(ticket!, 90);
      return { ...of, status: 'delivered', handedOverOn, cared, summary: { ...of.summary!, care } };
    };
    const since = (on: string | null, cared = {}): string | undefined => {
      const due = careDue(handed(on, cared));
      return due === null ? undefined : `${due.what}, ${careText(due, today)}`;
    };
    expect(since(null)).toBeUndefined();
    expect(since('2029-07-31')).toBe('wipe, care 1 day overdue');
    expect(since('2029-08-01')).toBe('wipe, care due today');
    expect(since('2029-08-15')).toBe('wipe, care in 14 days');
    expect(since('2029-03-02', { 6: '2030-01-20' })).toBe('fixings, care in 29 days');
    expect([handed('2029-08-15'), handed('2029-08-16')].map((each) => wantsCare(each, today))).toEqual([true, false]);
    expect(namesOf([handed('2029-07-31'), jobs[1]!], { shelf: 'care' })).toEqual(['Ticket board']);
    expect(namesOf([jobs[0]!, { ...handed('2029-07-10'), name: 'Otter' }], {})).toEqual(['Otter', 'Ticket board']);
    expect(bookSums([handed('2029-07-31')], today).care).toBe(1);
    expect(wantsCare({ ...handed('2029-07-31'), archived: true }, today)).toBe(false);
  });

  it('says when a job is due as a shop would', () => {
    const then = new Date('2030-01-10T15:00:00Z');
    expect(
      ['2030-01-10', '2030-01-11', '2030-01-19', '2030-01-09', '2030-01-01', null].map((due) => dueText(due, then)),
    ).toEqual(['due today', 'due tomorrow', 'due in 9 days', '1 day late', '9 days late', 'no date']);
  });

  it('waits for the picture of what was saved a moment ago, and no longer', () => {
    const saved = { ...jobs[0]!, revision: 2, summaryOf: 1, updatedAt: '2030-01-10T15:00:00Z' };
    const seconds = (after: number): number => Date.parse(saved.updatedAt) + 1000 * after;
    expect(isOnItsWay(saved, seconds(5))).toBe(true);
    expect(isOnItsWay(saved, seconds(90))).toBe(false);
    expect(isOnItsWay({ ...saved, summaryOf: 2 }, seconds(5))).toBe(false);
  });
});
