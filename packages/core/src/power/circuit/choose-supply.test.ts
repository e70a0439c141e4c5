import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { hardestUsed, ratingShare, trackRatedA } from './carriers.js';
import { chooseFuse, chooseSupply, chooseWire, fittingSupplies, pairOhm } from './choose-supply.js';
import type { Carrier } from './types.js';

const { wires } = shippedCatalogue;
const { brief, power } = demoDesigns.dispensary;

describe('the wire for a current', () => {
  it('is the thinnest within four fifths of its ampacity, safe behind its fuse, and within the drop', () => {
    for (const amps of [0.2, 1, 2.5, 5, 9])
      for (const lengthMm of [200, 2000, 12_000]) {
        const wire = chooseWire(wires, 'auto', amps, lengthMm, 0.72);
        const fits = ({ ampacityA, areaMm2 }: typeof wire): boolean =>
          amps <= 0.8 * ampacityA &&
          chooseFuse(amps) <= ampacityA &&
          amps * pairOhm({ ...wire, areaMm2 }, lengthMm) <= 0.72;
        const thinner = wires.filter(({ areaMm2 }) => areaMm2 < wire.areaMm2);
        expect(thinner.some(fits)).toBe(false);
        // When nothing will do, it is the thickest there is.
        if (!fits(wire)) expect(wires.every(({ areaMm2 }) => areaMm2 <= wire.areaMm2)).toBe(true);
      }
  });

  it('is the one that was chosen by hand, whatever it carries', () => {
    expect(chooseWire(wires, 'pair-0.35', 20, 5000, 0.1).id).toBe('pair-0.35');
  });

  it('has the resistance of copper out and back', () => {
    // 1.7241e-8 Ω·m, 2 × 10 m of 1 mm².
    expect(pairOhm({ ...wires[0]!, areaMm2: 1 }, 10_000)).toBeCloseTo(0.3448, 4);
    expect(pairOhm({ ...wires[0]!, areaMm2: 2 }, 10_000)).toBeCloseTo(0.1724, 4);
  });
});

describe('the supply', () => {
  it('is the smallest of its voltage that carries what is needed, sealed where it is wet', () => {
    for (const exposure of ['indoors', 'damp', 'outdoors'] as const)
      for (const watts of [5, 30, 80]) {
        const found = chooseSupply(shippedCatalogue, power, 24, watts, { ...brief, exposure });
        if (found === null) continue;
        expect(found.watts).toBeGreaterThanOrEqual(watts);
        expect(found.weatherproof || exposure === 'indoors').toBe(true);
        const smaller = fittingSupplies(shippedCatalogue, 24, { ...brief, exposure }).filter(
          (each) => each.watts >= watts && each.watts < found.watts,
        );
        expect(smaller).toEqual([]);
      }
  });

  it('is none when none is large enough, and by hand whatever was said', () => {
    expect(chooseSupply(shippedCatalogue, power, 24, 1e5, brief)).toBeNull();
    const { id } = shippedCatalogue.supplies[0]!;
    expect(chooseSupply(shippedCatalogue, { ...power, supplyId: id }, 24, 1e5, brief)?.id).toBe(id);
    expect(chooseSupply(shippedCatalogue, { ...power, supplyId: 'no-such' }, 24, 5, brief)).toBeNull();
  });
});

describe('the fuse', () => {
  it.each([
    [0.1, 0.5],
    [0.4, 0.5],
    [0.41, 1],
    [3.2, 4],
    [6, 7.5],
    [24, 30],
    [40, 50],
  ])('for %d A is %d A: a quarter more, the next usual size', (amps, size) => expect(chooseFuse(amps)).toBe(size));
});

describe('carriers', () => {
  const carrier = (amps: number, ratedA: number): Carrier => ({
    kind: 'wire',
    name: `${amps}`,
    amps,
    ratedA,
    at: null,
  });

  it('are ranked by the share of their rating, not by current', () => {
    const all = [carrier(5, 10), carrier(2, 3), carrier(9, 20)];
    expect(hardestUsed(all)).toBe(all[1]);
    expect(ratingShare(all[0]!)).toBe(0.5);
    expect(hardestUsed([])).toBeNull();
  });

  it('of a strip’s copper are rated for its longest run', () => {
    const strip = shippedCatalogue.strips[0]!;
    expect(trackRatedA({ ...strip, maxRunMm: 5000, wattsPerM: 9.6, voltageV: 12 })).toBeCloseTo(4, 9);
  });
});
