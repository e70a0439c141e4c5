import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { applyChange } from '../../sign/design/index.js';
import {
  changed,
  dispensary,
  evaluatedCoarsely,
  inAssembly,
  evaluatedWithFixes,
  testFonts,
} from '../../testing/harness.js';
import { rowsOfStrip } from '../../testing/rows-of-strip.js';
import { groupChains } from './chains.js';
import { assignSupplies } from './assign-supplies.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

describe('chains handed out to supplies', () => {
  it('go to the one that carries least, in their order where all are alike', () => {
    expect(assignSupplies([1, 1, 1, 1, 1], 2)).toEqual({ supplyOf: [1, 2, 1, 2, 1], amps: [3, 2] });
    expect(assignSupplies([3, 1, 1, 1], 2)).toEqual({ supplyOf: [1, 2, 2, 2], amps: [3, 3] });
    expect(assignSupplies([], 2)).toEqual({ supplyOf: [], amps: [0, 0] });
  });

  it('leave no supply with more than its even share and one chain', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 4, noNaN: true }), { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 1, max: 5 }),
        (chains, count) => {
          const { amps, supplyOf } = assignSupplies(chains, count);
          const whole = chains.reduce((sum, own) => sum + own, 0);
          expect(amps.reduce((sum, own) => sum + own, 0)).toBeCloseTo(whole, 9);
          expect(Math.max(...amps)).toBeLessThanOrEqual(whole / count + Math.max(...chains) + 1e-9);
          expect(supplyOf.every((supply) => supply >= 1 && supply <= count)).toBe(true);
        },
      ),
    );
  });

  it.each([
    [4, 2, [2, 2]],
    [6, 3, [2, 2, 2]],
    [5, 2, [3, 2]],
    [2, 3, [1, 1]],
  ])('%d rows for %d supplies are so many chains though one would do', (count, supplies, sizes) => {
    const { segments } = rowsOfStrip(
      Array.from({ length: count }, () => 800),
      80,
      16,
    );
    const none = { begin: new Set<number>() };
    const lengths = segments.map(({ lengthMm }) => lengthMm);
    expect(groupChains(lengths, 100_000, none, supplies).map((chain) => chain.length)).toEqual(sizes);
  });
});

describe('a box on two supplies', () => {
  const two = changed(dispensary, { ...inAssembly({ 'light.rowCount': 5 }), 'power.supplyCount': 2 });

  it('is sized by the one that carries more', () => {
    const { circuit } = evaluatedCoarsely(two, fonts);
    const [first, second] = circuit.supplyAmps;
    expect(first! / second!).toBeCloseTo(3 / 2, 1);
    expect(circuit.neededWatts).toBeCloseTo((3 / 5) * circuit.nominalWatts * 1.2, 6);
    expect(circuit.supply!.watts).toBeGreaterThanOrEqual(circuit.neededWatts);
    // Both really feed something.
    expect(new Set(circuit.chains.map(({ supply }) => supply)).size).toBe(2);
  });

  it('has leads that each carry their own, and lose by it', () => {
    const { circuit } = evaluatedCoarsely(two, fonts);
    const leads = circuit.carriers.filter(({ kind }) => kind === 'lead').map(({ amps }) => amps);
    expect(leads).toEqual([...circuit.supplyAmps]);
    const ohm = circuit.leadDropV / Math.max(...circuit.supplyAmps);
    expect(circuit.leadWatts).toBeCloseTo(
      circuit.supplyAmps.reduce((sum, amps) => sum + amps * amps * ohm, 0),
      9,
    );
  });

  it('stays within every rating when several small supplies are taken for one of more than limited power', () => {
    const one = evaluatedWithFixes(
      changed(dispensary, { ...inAssembly({ 'light.rowCount': 8 }), 'brief.exposure': 'indoors' }),
      fonts,
      'not-limited-power',
    );
    const fix = one.findings.find(({ id }) => id === 'not-limited-power')!.fixes[0]!;
    const applied = applyChange(one.design, fix.change);
    if (!applied.ok) throw new Error(applied.problems[0]!.message);
    const { circuit } = evaluatedCoarsely(applied.value, fonts);
    const supplies = circuit.carriers.filter(({ kind }) => kind === 'supply');
    expect(supplies.length).toBeGreaterThan(1);
    for (const { amps, ratedA } of supplies) expect(amps).toBeLessThanOrEqual(ratedA);
    expect(circuit.supply!.watts).toBeLessThanOrEqual(60);
  });
});

describe('the lead of three colours', () => {
  it('loses on plus what all draw, and on each return what its own colour does', () => {
    const { circuit } = evaluatedCoarsely(demoDesigns.slipway, fonts);
    const [amps] = circuit.supplyAmps;
    const most = Math.max(...circuit.groups.shares.map((_, channel) => circuit.wires[0]!.coreAmps[1 + channel]!));
    const pair = circuit.wiring.leadOhm;
    expect(circuit.leadDropV).toBeCloseTo(((amps! + most) * pair) / 2, 9);
    expect(circuit.leadDropV).toBeLessThan(0.75 * amps! * pair);
    // Switched inside the sign, one core brings all of it back.
    const inside = evaluatedCoarsely(
      changed(demoDesigns.slipway, { 'power.controllerPlace': 'inside' }),
      fonts,
    ).circuit;
    expect(inside.leadDropV).toBeCloseTo(inside.supplyAmps[0]! * inside.wiring.leadOhm, 9);
  });
});
