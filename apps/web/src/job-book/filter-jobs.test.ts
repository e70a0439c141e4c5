import { describe, expect, it } from '@jest/globals';
import type { JobListing } from '@vitrum/contract';
import { dueText, filterJobs, isOnItsWay, type JobFilter } from './filter-jobs';

const job = (
  name: string,
  customer: string,
  status: JobListing['status'],
  dueOn: string | null,
  updatedAt: string,
): JobListing => ({ id: name, name, customer, status, dueOn, updatedAt, revision: 1, summary: null, summaryOf: 1 });

const jobs = [
  job('Ticket board', 'Ferries', 'quoted', '2030-03-01', '2029-01-03'),
  job('Curlew letters', 'Ferries', 'building', null, '2029-01-01'),
  job('Bakery box', 'Rye', 'quoted', '2030-01-01', '2029-01-02'),
];
const names = (filter: Partial<JobFilter>) =>
  filterJobs(jobs, { words: '', status: 'all', order: 'due', ...filter }).map(({ name }) => name);

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

  it('says when a job is due as a shop would', () => {
    const today = new Date('2030-01-10T15:00:00Z');
    expect(
      ['2030-01-10', '2030-01-11', '2030-01-19', '2030-01-09', '2030-01-01', null].map((due) => dueText(due, today)),
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
