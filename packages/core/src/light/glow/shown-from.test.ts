import { describe, expect, it } from '@jest/globals';
import { shownFrom } from './index.js';

describe('from where LEDs are seen', () => {
  it('is a distance that somebody might stand at, else any', () => {
    expect([4230, 9960, 12_400, 50_000, 50_001, 248_000, Number.POSITIVE_INFINITY].map(shownFrom)).toEqual([
      'nearer than 4.2 m',
      'nearer than 10 m',
      'nearer than 12 m',
      'nearer than 50 m',
      'from any distance',
      'from any distance',
      'from any distance',
    ]);
  });
});
