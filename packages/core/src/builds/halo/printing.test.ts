import { describe, expect, it } from '@jest/globals';
import { curlew } from '../../testing/harness.js';
import { only } from '../../testing/only.js';
import type { HaloAssembly } from './schema.js';
import { plasticOf, printOf } from './printing.js';

const { letters }: HaloAssembly = only(curlew.assemblies);
const printed = { stuff: 'printed', thicknessMm: 3 } as const;
const plasticIn = (change: Partial<typeof letters>) => plasticOf({ ...letters, ...change }, printed);

describe('plastic that light must pass', () => {
  it('is all of a thin wall, and what perimeters and loose filling make of a thick one', () => {
    expect(plasticIn({ wallMm: 1.2, perimeters: 3 }).returnMm).toBe(1.2);
    // Two of 0.45 less 0.2 (1 − π/4) from each side, the rest filled to 15 %.
    const each = 0.45 - 0.2 * (1 - Math.PI / 4);
    expect(plasticIn({ wallMm: 4, perimeters: 2, layerMm: 0.2 }).returnMm).toBeCloseTo(
      4 * each + 0.15 * (4 - 4 * each),
      12,
    );
    expect(plasticIn({ solidLayers: 5, layerMm: 0.2 }).frontMm).toBeCloseTo(2 + 0.15, 12);
  });

  it('grows with perimeters, with solid layers, and in lower layers', () => {
    const wallMm = 6;
    const returns = [1, 2, 3, 5].map((perimeters) => plasticIn({ wallMm, perimeters }).returnMm);
    expect([...returns].sort((a, b) => a - b)).toEqual(returns);
    expect(plasticIn({ wallMm, layerMm: 0.1 }).returnMm).toBeGreaterThan(plasticIn({ wallMm, layerMm: 0.3 }).returnMm);
    expect(plasticIn({ solidLayers: 8 }).frontMm).toBeGreaterThan(plasticIn({ solidLayers: 3 }).frontMm);
  });

  it('is the thickness itself of what is cut from a sheet', () =>
    expect(plasticOf({ ...letters, wallMm: 1 }, { stuff: 'metal', thicknessMm: 2 })).toEqual({
      returnMm: 1,
      frontMm: 2,
    }));

  it('is printed as usual where a design does not say', () =>
    expect(printOf({ ...letters, perimeters: 4 })).toEqual({ perimeters: 4, solidLayers: 5, layerMm: 0.2 }));
});
