import { expect, it } from '@jest/globals';
import { broughtWords } from './shop-file';

it('what a shop’s file has brought is said in words', () => {
  expect(broughtWords({ added: { jobs: 2, revisions: 5, stockLots: 0 } })).toBe('Added: 2 jobs, 5 revisions.');
  expect(broughtWords({ added: { jobs: 0 } })).toBe('All of it was there already; nothing was added.');
});
