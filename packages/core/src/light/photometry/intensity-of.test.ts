import { describe, expect, it } from '@jest/globals';
import { intensityAt, intensityOf, sourcesFrom, type Distribution } from './index.js';

const one = (distribution: Distribution) =>
  // One LED that looks along y, its strip along x.
  sourcesFrom([[0, 0, 0, 0, 1, 0, 1, 0, 0, 1]], distribution);

describe('intensities of sources', () => {
  it.each([0, 0.5, 1, 2.5, 8])('are those of the cosine law %f, by a table', (exponent) => {
    const distribution = { kind: 'cosine', exponent } as const;
    const intensity = intensityOf(one(distribution));
    for (const deg of [0, 7, 33, 58, 74]) {
      const turn = (deg * Math.PI) / 180;
      const exact = intensityAt(distribution, turn);
      expect(Math.abs(intensity(0, Math.cos(turn), 0, 0, 0) - exact)).toBeLessThan(2e-3 * exact + 1e-6);
    }
  });

  it('tell the way round the axis where a measured one is not round', () => {
    // Twice as much along the strip as across it.
    const table: Distribution = {
      kind: 'table',
      polarDeg: [0, 45, 90],
      azimuthDeg: [0, 90, 180, 270, 360],
      candela: [
        [0.4, 0.4, 0],
        [0.4, 0.2, 0],
        [0.4, 0.4, 0],
        [0.4, 0.2, 0],
        [0.4, 0.4, 0],
      ],
    };
    const intensity = intensityOf(one(table));
    const half = Math.SQRT1_2;
    // Along the strip, across it, and half-way between the two.
    expect(intensity(0, half, half, half, 0)).toBeCloseTo(0.4, 9);
    expect(intensity(0, half, 0, half, half)).toBeCloseTo(0.2, 9);
    expect(intensity(0, half, 0.5, half, 0.5)).toBeCloseTo(0.3, 9);
    expect(intensity(0, 1, 0, 1, 0)).toBeCloseTo(0.4, 9);
  });

  it('are the same all round where the table is', () => {
    const round: Distribution = { kind: 'table', polarDeg: [0, 60, 90], azimuthDeg: [0], candela: [[0.5, 0.25, 0]] };
    const intensity = intensityOf(one(round));
    const turn = Math.PI / 3;
    expect(intensity(0, Math.cos(turn), Math.sin(turn), Math.cos(turn), 0)).toBeCloseTo(0.25, 2);
    expect(intensity(0, Math.cos(turn), 0, Math.cos(turn), Math.sin(turn))).toBeCloseTo(0.25, 2);
  });
});
