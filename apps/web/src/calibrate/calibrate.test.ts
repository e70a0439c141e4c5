import { describe, expect, it } from '@jest/globals';
import { changeRow, emptyRow, filledRows, linearGrey, today } from './reading-rows';

describe('rows of readings', () => {
  it('count where something stands, commas allowed, words as no number', () => {
    expect(filledRows([{ first: '1000', second: '430,5' }, { first: '', second: 'x' }, emptyRow])).toEqual([
      [1000, 430.5],
      [Number.NaN, Number.NaN],
    ]);
  });

  it('always keep an empty one at the end', () => {
    const one = changeRow([emptyRow], 0, { first: '5', second: '' });
    expect(one).toHaveLength(2);
    expect(changeRow(one, 0, { first: '5', second: '6' })).toHaveLength(2);
  });

  it('carry the day', () => expect(today(new Date('2030-05-06T23:00:00Z'))).toBe('2030-05-06'));
});

describe('a photograph', () => {
  it('is read in linear light: mid grey is a fifth of white', () => {
    const grey = linearGrey(Uint8ClampedArray.of(255, 255, 255, 255, 127, 127, 127, 255, 0, 0, 0, 255));
    expect(grey[0]).toBeCloseTo(1, 6);
    expect(grey[1]).toBeCloseTo(0.212, 2);
    expect(grey[2]).toBe(0);
  });
});
