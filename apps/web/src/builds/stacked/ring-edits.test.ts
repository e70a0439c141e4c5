import { describe, expect, it } from '@jest/globals';
import { mostRings } from '@vitrum/core';
import { movedRing, ringFrom, ringOn, withoutRing, type Rings } from './ring-edits';

const rings: Rings = [
  { id: 'ring-1', materialId: 'ply-6' },
  { id: 'ring-2', materialId: 'opal-5' },
  { id: 'ring-3', materialId: 'ply-12' },
];
const ids = (all: Rings): readonly string[] => all.map(({ id }) => id);

describe('rings of a stack', () => {
  it('get one more, of the stuff of the one that it lies on, with a name of its own', () => {
    const next = ringOn(rings, 1);
    expect(ids(next)).toEqual(['ring-1', 'ring-2', 'ring-4', 'ring-3']);
    expect(next[2]!.materialId).toBe('opal-5');
    expect(ids(ringOn(next, 0))).toContain('ring-5');
  });

  it('are never more than there may be', () => {
    const many: Rings = Array.from({ length: mostRings }, (_, at) => ({ id: `ring-${at + 1}`, materialId: 'ply-6' }));
    expect(ringOn(many, 3)).toBe(many);
  });

  it('lose one, and keep the last', () => {
    expect(ids(withoutRing(rings, 1))).toEqual(['ring-1', 'ring-3']);
    expect(withoutRing(rings.slice(0, 1), 0)).toHaveLength(1);
  });

  it('move past each other, and stay where there is nothing to pass', () => {
    expect(ids(movedRing(rings, 0, 1))).toEqual(['ring-2', 'ring-1', 'ring-3']);
    expect(ids(movedRing(rings, 2, -1))).toEqual(['ring-1', 'ring-3', 'ring-2']);
    expect(movedRing(rings, 2, 1)).toBe(rings);
    expect(movedRing(rings, 0, -1)).toBe(rings);
  });

  it('are cut from other stuff one by one', () => {
    expect(ringFrom(rings, 0, 'opal-3').map(({ materialId }) => materialId)).toEqual(['opal-3', 'opal-5', 'ply-12']);
    expect(rings[0]!.materialId).toBe('ply-6');
  });
});
