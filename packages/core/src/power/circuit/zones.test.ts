import { describe, expect, it } from '@jest/globals';
import type { Segment } from '../../light/runs/index.js';
import { zonesOf } from './zones.js';

const pieces = (count: number): readonly Segment[] =>
  Array.from({ length: count }, (_, index) => ({ number: index + 1 }) as Segment);

describe('zones', () => {
  it('without any are one, fully up', () => {
    expect(zonesOf(pieces(3), {})).toEqual({ ofSegment: [0, 0, 0], levels: [1] });
    expect(zonesOf(pieces(0), { zones: [] })).toEqual({ ofSegment: [], levels: [1] });
  });

  it('are numbered as pieces first name them, what is left over being one more', () => {
    const zones = [
      { pieces: [3], level: 0.2 },
      { pieces: [1, 4], level: 0.7 },
    ];
    expect(zonesOf(pieces(4), { zones })).toEqual({ ofSegment: [0, 1, 2, 0], levels: [0.7, 1, 0.2] });
  });

  it('that name no piece there is are none', () =>
    expect(zonesOf(pieces(2), { zones: [{ pieces: [9], level: 0 }] })).toEqual({ ofSegment: [0, 0], levels: [1] }));

  it('that name a piece twice leave it in the first', () => {
    const zones = [
      { pieces: [1], level: 0.1 },
      { pieces: [1, 2], level: 0.9 },
    ];
    expect(zonesOf(pieces(2), { zones })).toEqual({ ofSegment: [0, 1], levels: [0.1, 0.9] });
  });
});
