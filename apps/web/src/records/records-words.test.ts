import { describe, expect, it } from '@jest/globals';
import { workPhases } from '@vitrum/core';
import { aboutWords, factorWords, learnedPhases, perMetre, readingWords, timesWords } from './records-words';

describe('what was learned, in words', () => {
  it('has two places for a factor, and says between what it lies', () => {
    expect(factorWords({ factor: 1.4567, low: 1.3, high: 1.617 })).toBe('1.46, between 1.30 and 1.62');
  });

  it('has figures of strip for a metre, watts finer than lumens', () => {
    expect(perMetre('wattsPerM', 9.604)).toBe('9.60 W/m');
    expect(perMetre('lumensPerM', 801.4)).toBe('801 lm/m');
  });

  it('has readings as finely as they are read', () => {
    expect([readingWords(0.4567, 'A'), readingWords(9.996, 'V'), readingWords(412.4, 'cd/m²')]).toEqual([
      '0.46 A',
      '10.00 V',
      '412 cd/m²',
    ]);
  });

  it('names the phases whose times are the shop’s own, in the order of work', () => {
    const [first, second, third] = workPhases;
    const learned = { learnedTimes: { [third]: {}, [first]: {}, [second]: {} } } as never;
    expect(learnedPhases(learned)).toEqual([first, second, third]);
    expect(learnedPhases({})).toEqual([]);
    expect(timesWords([])).toBe('Times are typical.');
    expect(timesWords([first])).toMatch(/^Times to [a-z ]+ are this shop’s own, others typical\.$/);
    expect(timesWords([first, second, third])).toMatch(/^Times to [a-z ]+, [a-z ]+ and [a-z ]+ are this shop’s own/);
  });

  it('says what a lesson is about, though its build is gone', () => {
    expect(aboutWords({ about: 'build', key: 'lightbox' })).toBe('every job: light box');
    expect(aboutWords({ about: 'build', key: 'no-such-build' })).toBe('every job: no-such-build');
    expect(aboutWords({ about: 'finding', key: 'dots-show' })).toBe('when “dots show” is found');
    expect(aboutWords({ about: 'item', key: 'opal-3' })).toBe('wherever it is used: opal-3');
    expect(aboutWords({ about: 'step', key: 'lightbox:glue-up' })).toBe('step “glue up” of light box');
  });
});
