import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { boardFor } from './board-for.js';

const board = (id: string) => shippedCatalogue.boards.find((each) => each.id === id)!;

describe('a board for a part', () => {
  it('stays the one that is there, where the part fits on it', () =>
    expect(boardFor(shippedCatalogue, board('ply-6'), 'back', { widthMm: 600, heightMm: 300 }).id).toBe('ply-6'));

  it('is turned on its sheet where that is how it fits', () =>
    expect(boardFor(shippedCatalogue, board('ply-6'), 'back', { widthMm: 1200, heightMm: 2400 }).id).toBe('ply-6'));

  it('is the cheapest of the same stuff that is large enough, for the same use', () => {
    const long = { widthMm: 2900, heightMm: 100 };
    const found = boardFor(shippedCatalogue, board('ply-12'), 'return', long);
    expect(Math.max(found.sheetWidthMm, found.sheetHeightMm)).toBeGreaterThanOrEqual(2900);
    const others = shippedCatalogue.boards.filter(
      ({ form, uses, stuff, sheetWidthMm, sheetHeightMm }) =>
        form === 'sheet' &&
        uses.includes('return') &&
        stuff === 'wood' &&
        Math.max(sheetWidthMm, sheetHeightMm) >= 2900,
    );
    expect(found.price).toBe(Math.min(...others.map(({ price }) => price)));
  });

  it('is a sheet in place of narrow boards, of wood like them', () => {
    const found = boardFor(shippedCatalogue, board('pine-board-12'), 'back', { widthMm: 600, heightMm: 300 });
    expect(found).toMatchObject({ form: 'sheet', stuff: 'wood' });
  });

  it('stays as it was where nothing in the shop is large enough', () =>
    expect(boardFor(shippedCatalogue, board('ply-6'), 'back', { widthMm: 9000, heightMm: 9000 }).id).toBe('ply-6'));
});
