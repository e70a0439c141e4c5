import { describe, expect, it } from '@jest/globals';
import { polarCurve } from './polar-curve';

describe('a polar drawing', () => {
  it('runs from the far left over straight ahead to the far right, in candela for a kilolumen', () => {
    const round = { kind: 'table', polarDeg: [0, 45, 90], azimuthDeg: [0], candela: [[0.3, 0.2, 0]] } as const;
    expect(polarCurve(round, 0)).toEqual([
      [-90, 0],
      [-45, 200],
      [-0, 300],
      [0, 300],
      [45, 200],
      [90, 0],
    ]);
  });

  it('takes the opposite azimuth on the left', () => {
    const lopsided = {
      kind: 'table',
      polarDeg: [0, 60],
      azimuthDeg: [0, 180, 360],
      candela: [
        [0.3, 0.1],
        [0.3, 0.2],
        [0.3, 0.1],
      ],
    } as const;
    const curve = polarCurve(lopsided, 0);
    expect(curve[0]).toEqual([-60, 200]);
    expect(curve.at(-1)).toEqual([60, 100]);
  });
});
