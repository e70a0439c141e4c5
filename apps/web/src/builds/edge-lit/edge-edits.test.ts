import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue } from '@vitrum/core';
import { edgesWith, otherSheets } from './edge-edits';

describe('lit edges', () => {
  it('come and go one by one, in one order, and one is always left', () => {
    expect(edgesWith(['bottom'], 'top', true)).toEqual(['top', 'bottom']);
    expect(edgesWith(['top', 'bottom'], 'top', false)).toEqual(['bottom']);
    expect(edgesWith(['bottom'], 'bottom', false)).toEqual(['bottom']);
    expect(edgesWith(['bottom'], 'bottom', true)).toEqual(['bottom']);
  });
});

describe('other sheets', () => {
  const { panes } = shippedCatalogue;
  const named = (id: string) => panes.find((pane) => pane.id === id)!;

  it('are of the same make, one of each thickness, the cheapest that is large enough', () => {
    const small = otherSheets(panes, named('clear-acrylic-6'), { widthMm: 240, heightMm: 160 });
    expect(small.map(({ id }) => id)).toEqual([3, 4, 5, 6, 8, 10].map((mm) => `clear-acrylic-${mm}`));
    const large = otherSheets(panes, named('clear-acrylic-6'), { widthMm: 1500, heightMm: 400 });
    expect(large.map(({ id }) => id)).toEqual([6, 8, 10].map((mm) => `clear-acrylic-${mm}-large`));
    expect(otherSheets(panes, named('mirror-glass-4'), { widthMm: 400, heightMm: 300 }).map(({ id }) => id)).toEqual([
      'mirror-glass-4',
      'mirror-glass-6',
    ]);
  });
});
