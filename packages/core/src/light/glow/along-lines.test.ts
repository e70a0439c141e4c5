import { describe, expect, it } from '@jest/globals';
import { ellipseRing } from '../../base/curves/index.js';
import { measureLine, rectRing, type Point } from '../../base/outlines/index.js';
import { strongestRipple, type RippleLine } from './along-lines.js';

const straight = (lengthMm: number): RippleLine => ({
  line: measureLine(
    [
      [0, 0],
      [lengthMm, 0],
    ],
    false,
  ),
  closed: false,
});

/** Light along x: a mean with a ripple of a given contrast at a pitch, on a slope. */
const rippled =
  (contrast: number, pitchMm: number, slope = 0) =>
  ([x]: Point): number =>
    100 * (1 + slope * x) * (1 + contrast * Math.cos((2 * Math.PI * x) / pitchMm));

const ripple = (lines: readonly RippleLine[], directAt: (at: Point) => number, pitchMm = 20, allAt = directAt) =>
  strongestRipple(lines, { pitchMm, directAt, allAt });

describe('the ripple along lines', () => {
  it.each([0.5, 0.1, 0.01])('of contrast %d at the pitch is found as that', (contrast) => {
    const found = ripple([straight(600)], rippled(contrast, 20), 20, () => 100);
    // Eight samples over a pitch see the peaks; the running mean of a wave over its own length is nothing.
    expect(Math.abs(found.contrast / contrast - 1)).toBeLessThan(0.02);
  });

  it('is none where light only slopes or bows', () => {
    expect(ripple([straight(600)], rippled(0, 20, 0.004)).contrast).toBeLessThan(1e-9);
    const bow = ([x]: Point): number => 100 + 0.0002 * (x - 300) ** 2;
    expect(ripple([straight(600)], bow).contrast).toBeLessThan(1e-9);
  });

  it('is held against all the light there is, of which the straight may be a part', () => {
    const direct = rippled(0.2, 20);
    const half = ripple([straight(600)], direct, 20, () => 200).contrast;
    expect(Math.abs(half - 0.1)).toBeLessThan(0.004);
  });

  it('is passed over at corners, where LEDs of two sides meet, when there is enough else', () => {
    const square: RippleLine = {
      line: measureLine(rectRing({ x: 0, y: 0, width: 400, height: 400 }), true),
      closed: true,
    };
    // Bright spots at the corners alone.
    const atCorners = ([x, y]: Point): number =>
      100 + 80 * Math.exp(-((Math.min(x, 400 - x) ** 2 + Math.min(y, 400 - y) ** 2) / 200));
    expect(ripple([square], atCorners).contrast).toBeLessThan(0.02);
  });

  it('is the strongest of several lines, and says where', () => {
    const other: RippleLine = {
      line: measureLine(
        [
          [0, 500],
          [600, 500],
        ],
        false,
      ),
      closed: false,
    };
    const found = ripple(
      [straight(600), other],
      ([x, y]) => rippled(y > 250 ? 0.3 : 0.05, 20)([x, y]),
      20,
      () => 100,
    );
    expect(found.at[1]).toBe(500);
    expect(Math.abs(found.contrast - 0.3)).toBeLessThan(0.01);
  });

  it('is seen on a bow too, and on lines shorter than a few pitches', () => {
    const ring = ellipseRing([0, 0], 200, 200, 0, 0.01);
    const round: RippleLine = { line: measureLine(ring, true), closed: true };
    const turns = Math.round((2 * Math.PI * 200) / 20);
    const light = ([x, y]: Point): number => 100 * (1 + 0.2 * Math.cos(turns * Math.atan2(y, x)));
    expect(Math.abs(ripple([round], light, 20, () => 100).contrast - 0.2)).toBeLessThan(0.01);
    expect(ripple([straight(30)], rippled(0.4, 20)).contrast).toBeGreaterThan(0.1);
  });

  it('is none on no lines, and in the dark', () => {
    expect(ripple([], () => 1)).toEqual({ contrast: 0, at: [0, 0] });
    expect(ripple([straight(600)], () => 0).contrast).toBe(0);
  });
});
