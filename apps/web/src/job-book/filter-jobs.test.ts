import { describe, expect, it } from '@jest/globals';
import type { JobListing } from '@vitrum/contract';
import { bookSums, dueText, filterJobs, isLate, isOnItsWay, type JobFilter } from './filter-jobs';

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
    expect(bookSums(all, today)).toEqual({ open: 3, late: 1, price: 610, currency: '€' });
    // What is put away, delivered or there to be copied counts for nothing.
    const rest = [
      { ...all[0]!, archived: true },
      { ...all[1]!, status: 'delivered' as const },
      { ...all[2]!, template: true },
    ];
    expect(bookSums(rest, today)).toEqual({ open: 0, late: 0, price: 0, currency: '' });
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
