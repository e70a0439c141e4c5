import { describe, expect, it } from '@jest/globals';
import type { TestBoardDrawing } from '@vitrum/core';
import { boundsOf, placesOf, stretches } from './bench-geometry';

/** An L of strip, 60 along and 40 up, and a ring that ends where it starts. */
const drawing: TestBoardDrawing = {
  segments: [
    {
      label: '1',
      path: [
        [0, 0, 5],
        [60, 0, 5],
        [60, 40, 5],
      ],
    },
    {
      label: '4',
      path: [
        [100, 0, 5],
        [120, 0, 5],
        [120, 20, 5],
        [100, 20, 5],
        [100, 0, 5],
      ],
    },
  ],
  wires: [
    {
      from: 'lead',
      to: 'segment 1 start',
      path: [
        [-50, -10, 0],
        [0, 0, 5],
      ],
    },
  ],
  points: [
    { id: 'supply-1', name: 'supply terminals', at: null },
    { id: 'entry-1', name: 'end of the lead', at: [-50, -10, 0] },
    { id: 'start-1', name: 'start of segment 1', at: [0, 0, 5] },
    { id: 'end-4', name: 'end of segment 4', at: [100, 0, 5] },
  ],
  clamps: [],
  colours: [],
};
const lengthOf = (places: readonly (readonly [number, number])[]): number =>
  places.slice(1).reduce((sum, [x, y], at) => sum + Math.hypot(x - places[at]![0], y - places[at]![1]), 0);

describe('a circuit drawn on the bench', () => {
  it('has everything in its box, with a margin', () => {
    const { left, low, width, height } = boundsOf(drawing);
    expect([left, low]).toEqual([-50 - 90, -10 - 90]);
    expect([width, height]).toEqual([170 + 180, 50 + 180]);
  });

  it.each([1, 2, 5, 7])('shows strip in %d stretches of one length, end to end, round its corners', (count) => {
    const parts = stretches(drawing.segments[0]!.path, count);
    expect(parts).toHaveLength(count);
    for (const part of parts) expect(lengthOf(part)).toBeCloseTo(100 / count, 9);
    parts.slice(1).forEach((part, at) => {
      const before = parts[at]!.at(-1)!;
      expect(part[0]![0]).toBeCloseTo(before[0], 9);
      expect(part[0]![1]).toBeCloseTo(before[1], 9);
    });
    expect(parts.flat().some(([x, y]) => x === 60 && y === 0)).toBe(true);
  });

  it('draws strip of no length as a point, not as nothing', () => {
    expect(
      stretches(
        [
          [3, 4],
          [3, 4],
        ],
        2,
      ).every((part) => part.every(([x, y]) => x === 3 && y === 4)),
    ).toBe(true);
  });

  it('holds points of a segment a little way in, so that both ends of a ring can be taken', () => {
    const places = placesOf(drawing, 8);
    expect(places.get('start-1')).toEqual([8, 0]);
    expect(places.get('end-1')).toEqual([60, 32]);
    expect(places.get('start-4')).toEqual([108, 0]);
    expect(places.get('end-4')).toEqual([100, 8]);
    // Never past the middle of its half, however short it is.
    expect(placesOf(drawing, 500).get('start-4')).toEqual([120, 0]);
  });

  it('leaves the lead’s end where it is, and shows nothing that lies outside of the sign', () => {
    const places = placesOf(drawing, 8);
    expect(places.get('entry-1')).toEqual([-50, -10]);
    expect(places.has('supply-1')).toBe(false);
  });
});
