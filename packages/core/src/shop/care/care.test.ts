import { describe, expect, it } from '@jest/globals';
import { careOf, nextCare } from './index.js';

const dates = [
  { everyMonths: 6, what: 'wipe' },
  { everyMonths: 12, what: 'fixings' },
  { everyMonths: 24, what: 'measure' },
];
const days = (cared: Readonly<Record<number, string>> = {}, from = '2030-01-31') =>
  careOf(dates, from, cared).map(({ what, on }) => `${what} ${on}`);

describe('when a sign is looked after', () => {
  it('is so many months after it was handed over, on the last day of a month that is too short', () => {
    expect(days()).toEqual(['wipe 2030-07-31', 'fixings 2031-01-31', 'measure 2032-01-31']);
    expect(days({}, '2030-08-31')[0]).toBe('wipe 2031-02-28');
  });

  it('is so many months after it was last done, the soonest first', () => {
    expect(days({ 6: '2030-08-10' })).toEqual(['fixings 2031-01-31', 'wipe 2031-02-10', 'measure 2032-01-31']);
    expect(nextCare(dates, '2030-01-31', { 6: '2030-08-10' })).toMatchObject({ what: 'fixings', last: null });
    expect(nextCare([], '2030-01-31', {})).toBeNull();
  });

  it('does not come sooner for what was done before the sign was there', () => {
    expect(days({ 6: '2029-01-01' })[0]).toBe('wipe 2030-07-31');
  });
});
