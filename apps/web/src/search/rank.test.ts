import { describe, expect, it } from '@jest/globals';
import { rankOf } from './rank';

describe('what was asked for', () => {
  it('comes first where it begins the title, then a word of it, then anywhere, then in what is said of it', () => {
    const asked = (title: string, detail = ''): number => rankOf('dep', title, detail);
    const ranks = [
      asked('Depth inside'),
      asked('Seat depth'),
      asked('Undepressed'),
      asked('Row pitch', 'with depth'),
      asked('Lead'),
    ];
    expect([...ranks].sort((a, b) => b - a)).toEqual(ranks);
    expect(new Set(ranks).size).toBe(5);
    expect(ranks.at(-1)).toBe(0);
  });

  it('wants every word, in any order', () => {
    expect(rankOf('inside depth', 'Depth inside', '')).toBeGreaterThan(0);
    expect(rankOf('depth outside', 'Depth inside', '')).toBe(0);
    expect(rankOf('  ', 'Depth inside', '')).toBe(1);
  });
});
