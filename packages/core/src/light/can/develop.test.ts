import { describe, expect, it } from '@jest/globals';
import { ellipseRing } from '../../base/curves/index.js';
import { offset, rectRing, type Ring } from '../../base/outlines/index.js';
import { developReturn } from './index.js';

const square = (side: number): Ring => rectRing({ x: 0, y: 0, width: side, height: side });

describe('returns rolled out flat', () => {
  it('of a square are as long as its middle line, with four folds of 90°', () => {
    const { lengthMm, bends } = developReturn(square(100), 2);
    expect(lengthMm).toBeCloseTo(4 * 98, 6);
    expect(bends.map(({ kind }) => kind)).toEqual(['fold', 'fold', 'fold', 'fold']);
    for (const { turnDeg } of bends) expect(turnDeg).toBeCloseTo(90, 0);
    const places = bends.map(({ atMm }) => atMm);
    places.slice(1).forEach((place, at) => expect(Math.abs(place - places[at]! - 98)).toBeLessThan(2.5));
  });

  it('of a circle are one roll of its middle radius all round', () => {
    const { lengthMm, bends } = developReturn(ellipseRing([0, 0], 50, 50, 0, 0.01), 1);
    expect(Math.abs(lengthMm - 2 * Math.PI * 49.5)).toBeLessThan(0.2);
    const rolls = bends.filter(({ kind }) => kind === 'roll');
    expect(rolls.length).toBeGreaterThan(0);
    expect(rolls.reduce((sum, { turnDeg }) => sum + turnDeg, 0)).toBeCloseTo(360, -1);
    for (const { radiusMm } of rolls) expect(Math.abs(radiusMm - 49.5)).toBeLessThan(4);
  });

  it('of a rounded plate roll at the corners and are straight between', () => {
    const [rounded] = offset([square(120)], 20);
    const { lengthMm, bends } = developReturn(rounded!, 1);
    expect(Math.abs(lengthMm - (4 * 120 + 2 * Math.PI * 19.5))).toBeLessThan(0.5);
    const rolls = bends.filter(({ kind }) => kind === 'roll');
    expect(rolls.reduce((sum, { turnDeg }) => sum + turnDeg, 0)).toBeCloseTo(360, -1);
    const rolled = rolls.reduce((sum, { atMm, toMm }) => sum + toMm - atMm, 0);
    expect(Math.abs(rolled - 2 * Math.PI * 19.5)).toBeLessThan(12);
  });

  it('of a counter lie outside it and bend the other way', () => {
    const counter = [...square(60)].reverse();
    const { lengthMm, bends } = developReturn(counter, 2);
    // Corners of the middle line are rounded on the far side of the bend.
    expect(lengthMm).toBeGreaterThan(4 * 60);
    expect(lengthMm).toBeLessThan(4 * 62);
    expect(bends.reduce((sum, { turnDeg }) => sum + turnDeg, 0)).toBeCloseTo(-360, -1);
  });
});
