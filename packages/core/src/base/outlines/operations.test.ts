import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  bandAlong,
  besideCut,
  intersect,
  mapOutline,
  measureLine,
  offset,
  outlineArea,
  outlineCentroid,
  rectRing,
  ringArea,
  ringLength,
  simplify,
  subtract,
  unite,
  type BandStyle,
  type Outline,
} from './index.js';

const rect = (x: number, y: number, width: number, height: number): Outline => [rectRing({ x, y, width, height })];
const size = fc.integer({ min: 20, max: 300 });
const shift = fc.integer({ min: -150, max: 150 });
const someRect = fc.tuple(shift, shift, size, size).map(([x, y, width, height]) => rect(x, y, width, height));
/** Of several rectangles: an outline with corners in and out, and often holes. */
const someOutline = fc.array(someRect, { minLength: 1, maxLength: 6 }).map((parts) => unite(parts.flat()));
const runs = { seed: 21, numRuns: 60 };

describe('outlines put together', () => {
  it('hold to the identities of areas', () => {
    fc.assert(
      fc.property(someOutline, someOutline, (a, b) => {
        const [both, either, left] = [intersect(a, b), unite([...a, ...b]), subtract(a, b)].map(outlineArea) as [
          number,
          number,
          number,
        ];
        expect(either + both).toBeCloseTo(outlineArea(a) + outlineArea(b), 3);
        expect(left + both).toBeCloseTo(outlineArea(a), 3);
      }),
      runs,
    );
  });

  it('run anticlockwise outside and clockwise round holes', () => {
    const ring = subtract(rect(0, 0, 100, 100), rect(20, 20, 40, 40));
    expect(ring.map((each) => Math.sign(ringArea(each))).sort()).toEqual([-1, 1]);
    expect(outlineArea(ring)).toBe(8400);
  });

  it('by even-odd leave out what is covered twice', () => {
    const twice = [...rect(0, 0, 100, 100), ...rect(50, 0, 100, 100)];
    expect(outlineArea(unite(twice, 'evenodd'))).toBe(10_000);
    expect(outlineArea(unite(twice))).toBe(15_000);
  });
});

describe('an offset', () => {
  it('out adds the band along the outline and a disc of corners', () => {
    fc.assert(
      fc.property(size, size, fc.integer({ min: 1, max: 40 }), (width, height, mm) => {
        const grown = outlineArea(offset(rect(0, 0, width, height), mm));
        const exact = width * height + 2 * (width + height) * mm + Math.PI * mm * mm;
        expect(Math.abs(grown - exact)).toBeLessThan(2 * Math.PI * mm * 0.006 + 0.01);
      }),
      runs,
    );
  });

  it('out and in again never loses what was there, and in and out again never adds', () => {
    fc.assert(
      fc.property(someOutline, fc.integer({ min: 1, max: 15 }), (outline, mm) => {
        const closed = offset(offset(outline, mm), -mm);
        const opened = offset(offset(outline, -mm), mm);
        expect(outlineArea(subtract(outline, offset(closed, 0.02)))).toBeLessThan(0.01);
        expect(outlineArea(subtract(opened, offset(outline, 0.02)))).toBeLessThan(0.01);
      }),
      runs,
    );
  });

  it('in by half its width leaves nothing, and by nothing leaves all', () => {
    expect(offset(rect(0, 0, 30, 100), -15.001)).toEqual([]);
    expect(offset(rect(0, 0, 30, 100), 0)).toEqual(rect(0, 0, 30, 100));
  });

  it('of a line is a band with round ends', () => {
    const band = bandAlong(
      [
        [
          [0, 0],
          [100, 0],
        ],
      ],
      10,
    );
    expect(Math.abs(outlineArea(band) - (1000 + Math.PI * 25))).toBeLessThan(0.2);
  });

  it('of a line ends and turns as it is told', () => {
    const ell = [
      [0, 0],
      [100, 0],
      [100, 60],
    ] as const;
    const area = (ends: BandStyle['ends'], corners: BandStyle['corners'], closed = false): number =>
      outlineArea(bandAlong([ell], 10, closed, { ends, corners }));
    // Two legs that share a square half as wide as the band at their corner, and what each corner adds outside it.
    expect(area('flat', 'sharp')).toBeCloseTo(1000 + 600 - 25 + 25, 1);
    expect(area('flat', 'cut')).toBeCloseTo(1000 + 600 - 25 + 12.5, 1);
    expect(area('square', 'sharp')).toBeCloseTo(1600 + 2 * 50, 1);
    const quarter = 25 * (Math.PI / 4);
    expect(Math.abs(area('flat', 'round') - (1000 + 600 - 25 + quarter))).toBeLessThan(0.2);
    expect(area('flat', 'sharp', true)).toBeGreaterThan(area('flat', 'sharp') + 10 * 90);
  });

  it('beside a cut leaves what was drawn, once the cut is taken off', () => {
    fc.assert(
      fc.property(someOutline, fc.double({ min: 0.1, max: 4, noNaN: true }), (outline, cutMm) => {
        const path = besideCut(outline, cutMm);
        // The cut takes half its width from what lies inside its middle.
        const left = offset(path, -cutMm / 2);
        return outlineArea(subtract(outline, left)) < 0.02 * cutMm ** 2 * outline.flat().length + 0.1;
      }),
      runs,
    );
    const plate = subtract(rect(0, 0, 100, 80), rect(40, 30, 20, 20));
    const path = besideCut(plate, 3);
    expect(path.map((ring) => Math.sign(ringArea(ring)))).toEqual([1, -1]);
    expect(Math.abs(ringArea(path.find((ring) => ringArea(ring) < 0)!))).toBeCloseTo(17 * 17, 6);
    expect(besideCut(plate, 0)).toEqual(plate);
    expect(besideCut(subtract(rect(0, 0, 100, 80), rect(40, 30, 2, 20)), 3)).toHaveLength(1);
  });
});

describe('measures of an outline', () => {
  it('centroid moves with it, and is the middle of a rectangle less its hole’s share', () => {
    expect(outlineCentroid(rect(10, 20, 40, 60))).toEqual([30, 50]);
    const [x] = outlineCentroid(subtract(rect(0, 0, 100, 100), rect(60, 40, 20, 20)))!;
    expect(x).toBeCloseTo((10_000 * 50 - 400 * 70) / 9600, 9);
    expect(outlineCentroid([])).toBeNull();
  });

  it('area grows by the determinant of a map, length by its scale', () => {
    const shape = subtract(rect(0, 0, 100, 100), rect(20, 20, 40, 40));
    expect(outlineArea(mapOutline(shape, [2, 1, 0, 3, 5, 5]))).toBeCloseTo(6 * 8400, 6);
    expect(ringLength(mapOutline(rect(0, 0, 30, 40), [2, 0, 0, 2, 0, 0])[0]!)).toBe(280);
  });

  it('simplified keeps its corners and drops points on the way', () => {
    const dotted: Outline = [
      [
        [0, 0],
        [25, 0.001],
        [50, 0],
        [50, 50],
        [0, 50],
      ],
    ];
    expect(simplify(dotted, 0.01)[0]).toHaveLength(4);
  });
});

describe('places along a line', () => {
  const line = measureLine(rectRing({ x: 0, y: 0, width: 30, height: 10 }), true);

  it('are as far along as asked, round and round', () => {
    expect(line.lengthMm).toBe(80);
    expect(line.station(35)).toEqual({ at: [30, 5], along: [0, 1] });
    expect(line.station(80 + 35)).toEqual(line.station(35));
    expect(line.station(-5)).toEqual({ at: [0, 5], along: [0, -1] });
  });

  it('on an open one stop at its ends', () => {
    const open = measureLine(
      [
        [0, 0],
        [3, 4],
      ],
      false,
    );
    expect(open.station(99).at).toEqual([3, 4]);
    expect(open.station(-1).at).toEqual([0, 0]);
    expect(open.station(2.5)).toEqual({ at: [1.5, 2], along: [0.6, 0.8] });
  });

  it('on none stand still', () => {
    expect(measureLine([], true).lengthMm).toBe(0);
    expect(measureLine([], true).station(5)).toEqual({ at: [0, 0], along: [1, 0] });
    expect(measureLine([[2, 3]], false).station(5).at).toEqual([2, 3]);
  });
});
