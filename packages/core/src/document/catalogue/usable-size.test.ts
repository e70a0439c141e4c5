import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue } from './index.js';
import { fitsSheet, usableSize } from './usable-size.js';
import { pack } from '../../making/packing/index.js';
import { plainBoard } from '../../making/parts/index.js';

describe('what of a sheet is used', () => {
  it('is all of it where nothing is trimmed; else less all round, of a bar less at both ends', () => {
    expect(usableSize({ sheetWidthMm: 610, sheetHeightMm: 1220 })).toEqual({
      longMm: 1220,
      shortMm: 610,
      atMm: [0, 0],
    });
    const trimmed = { sheetWidthMm: 1220, sheetHeightMm: 610, trimMm: 10 };
    expect(usableSize(trimmed)).toEqual({ longMm: 1200, shortMm: 590, atMm: [10, 10] });
    expect(usableSize({ ...trimmed, form: 'bar' })).toEqual({ longMm: 1200, shortMm: 610, atMm: [10, 0] });
    expect(fitsSheet(trimmed, { widthMm: 600, heightMm: 1200 })).toBe(false);
    expect(fitsSheet(trimmed, { widthMm: 590, heightMm: 1200 })).toBe(true);
    expect(usableSize({ ...trimmed, trimMm: 400 })).toMatchObject({ longMm: 420, shortMm: 0 });
  });

  it('is what parts are cut from: past the trimmed edges, and one more where they no longer fit', () => {
    const board = shippedCatalogue.boards.find(({ form, uses }) => form === 'sheet' && uses.includes('back'))!;
    const [long, short] = [
      Math.max(board.sheetWidthMm, board.sheetHeightMm),
      Math.min(board.sheetWidthMm, board.sheetHeightMm),
    ];
    const own = { ...plainBoard(board, 'back', 'Back', (long - 10) / 2, short - 30, ''), count: 2 };
    const packed = (trimMm: number) => {
      const boards = shippedCatalogue.boards.map((each) => (each.id === board.id ? { ...each, trimMm } : each));
      return pack([own], [], [], { ...shippedCatalogue, boards }, 1).sheets[0]!;
    };
    expect(packed(0)).toMatchObject({ sheets: 1, trimMm: 0 });
    const trimmed = packed(12);
    expect(trimmed).toMatchObject({ sheets: 2, trimMm: 12 });
    for (const { x, y, widthMm, heightMm } of trimmed.placed) {
      expect([x, y]).toEqual([12, 12]);
      expect(x + widthMm).toBeLessThanOrEqual(long - 12);
      expect(y + heightMm).toBeLessThanOrEqual(short - 12);
    }
  });
});
