import { describe, expect, it } from '@jest/globals';
import type { SheetDesign, TakenLayers } from '@vitrum/core';
import { added, copied, freeId, fromFront, fromLayers, scaled, swapped, without } from './sheet-edits';

const sheet = (id: string, heightMm: number): SheetDesign => ({
  id,
  name: id,
  shape: 'whole',
  materialId: 'ply-3',
  colour: '#808080',
  heightMm,
});
const three = [sheet('sheet-1', 6), sheet('sheet-2', 30), sheet('sheet-3', 18)];

const square = [
  [0, 0],
  [10, 0],
  [10, 10.0004],
] as const;
const taken: TakenLayers = {
  layers: [
    { name: 'Hills', colour: '#aabbcc', outline: [square] },
    { name: 'Reeds', colour: null, outline: [square] },
  ],
  widthMm: 10,
  heightMm: 10,
  sizeStated: true,
  known: ['Hills', 'Reeds'],
  notes: [],
  changes: [],
};

describe('sheets of a scene', () => {
  it('are told from the front by their heights, whatever their place in the list', () =>
    expect(fromFront(three)).toEqual([1, 2, 0]));

  it('change places by changing heights, and stay where there is no neighbour', () => {
    expect(swapped(three, 2, 'front').map(({ heightMm }) => heightMm)).toEqual([6, 18, 30]);
    expect(swapped(three, 2, 'back').map(({ heightMm }) => heightMm)).toEqual([18, 30, 6]);
    expect(swapped(three, 1, 'front')).toBe(three);
  });

  it('are copied, added and taken away under ids of their own', () => {
    const more = copied(three, 1);
    expect(more.at(-1)).toMatchObject({ id: 'sheet-4', heightMm: 36, xMm: 15 });
    expect(new Set(added(more, 60).map(({ id }) => id)).size).toBe(5);
    expect(added(three, 34).at(-1)).toMatchObject({ shape: 'window', heightMm: 28 });
    expect(without(three, 0).map(({ id }) => id)).toEqual(['sheet-2', 'sheet-3']);
    expect(freeId([sheet('sheet-2', 1)])).toBe('sheet-3');
  });

  it('come of the layers of a file in their order, with names and colours, within the depth', () => {
    const [first, second] = fromLayers([], taken, 'bank.svg', 74);
    expect(first).toMatchObject({ name: 'Hills', colour: '#aabbcc', heightMm: 6, shape: 'drawing' });
    expect(first!.drawing!.rings).toEqual([[0, 0, 10, 0, 10, 10]]);
    expect(second!.heightMm).toBe(18);
    expect(second!.colour).toMatch(/^#[0-9a-f]{6}$/);
    const shallow = fromLayers(three, taken, 'bank.svg', 20);
    expect(shallow).toHaveLength(5);
    expect(shallow[4]!.heightMm - shallow[3]!.heightMm).toBe(4);
  });

  it('are scaled together, those that are drawn', () => {
    const drawn = fromLayers(three, taken, 'bank.svg', 74);
    expect(scaled(drawn, 1.5).map(({ drawing }) => drawing?.scale)).toEqual([
      undefined,
      undefined,
      undefined,
      1.5,
      1.5,
    ]);
  });
});
