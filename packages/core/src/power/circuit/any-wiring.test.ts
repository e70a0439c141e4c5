import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import type { PowerDesign } from '../../document/design/index.js';
import { inRows, rowsOfStrip, signOfRuns } from '../../testing/rows-of-strip.js';
import { solveCircuit } from './index.js';

const segment = fc.integer({ min: 1, max: 9 }).map(inRows);
const segments = fc.uniqueArray(segment, { maxLength: 4, selector: (each) => each.segment });
/** Any wishes for the wiring, sensible or not. */
const wishes: fc.Arbitrary<Partial<PowerDesign>> = fc.record({
  feed: fc.constantFrom('one-end', 'both-ends'),
  supplyCount: fc.integer({ min: 1, max: 3 }),
  joint: fc.constantFrom('solder', 'clip', 'plug', 'lever', 'screw'),
  chainsBegin: segments,
  chainsCarryOn: segments,
  fedBackward: segments,
  injections: fc.array(
    fc.tuple(segment, fc.constantFrom('start' as const, 'end' as const)).map(([ref, end]) => ({ ...ref, end })),
    { maxLength: 4 },
  ),
  zones: fc.array(fc.record({ segments, level: fc.double({ min: 0, max: 1, noNaN: true }) }), { maxLength: 3 }),
  arrangement: fc.constantFrom('parallel', 'parallel', 'series-pairs'),
  seriesPairs: fc.array(fc.record({ first: segment, second: segment }), { maxLength: 3 }),
  controllerId: fc.constantFrom('auto', 'none', 'rgbw-radio-4', 'pixel-radio'),
  controllerPlace: fc.constantFrom('supply', 'inside'),
  level: fc.double({ min: 0, max: 1, noNaN: true }),
});
const stripIds = ['white-24v-120', 'zigzag-12v-120', 'rgb-12v-60', 'rgbw-24v-60', 'pixels-5v-60'] as const;

describe('any wiring', () => {
  it('feeds every segment, balances its currents, and says nothing that is no number', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...stripIds),
        fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 6 }),
        wishes,
        (stripId, hundreds, wish) => {
          const strip = shippedCatalogue.strips.find(({ id }) => id === stripId)!;
          const lengths = hundreds.map((length) => Math.round((100 * length) / strip.cutPitchMm) * strip.cutPitchMm);
          const runs = rowsOfStrip(
            lengths.map((length) => Math.max(strip.cutPitchMm, length)),
            80,
            1000 / strip.ledsPerM,
          );
          const { brief, power } = demoDesigns.slipway;
          const circuit = solveCircuit(
            brief,
            { ...power, ...wish },
            shippedCatalogue,
            signOfRuns(runs, strip, [0, -40, 0]),
          );
          expect(circuit.settled).toBe(true);
          expect(circuit.residualA).toBeLessThan(1e-6);
          // Each segment hangs in one chain, and each chain stays in its zone.
          const inChains = circuit.chains.flatMap((chain) => chain.segments);
          expect([...inChains].sort((a, b) => a - b)).toEqual([...runs.segments.keys()]);
          // All of it conducts.
          expect(Math.min(...circuit.groups.volts)).toBeGreaterThan(0.3 * strip.forwardV);
          for (const share of circuit.shares[0]!.fluxShare) expect(share >= 0 && Number.isFinite(share)).toBe(true);
          for (const { amps, ratedA } of circuit.carriers)
            expect(Number.isFinite(amps) && amps >= -1e-9 && ratedA > 0).toBe(true);
          // What goes in by the leads is what the groups and the copper take.
          const inGroups = circuit.groups.amps.reduce((sum, amps) => sum + amps, 0);
          const series = circuit.pairs.length > 0;
          if (!series) expect(circuit.amps).toBeCloseTo(inGroups, 5);
          for (const { cores, coreAmps, carries } of circuit.wires)
            expect(coreAmps.length).toBe(carries === 'data' ? 0 : cores.filter(({ name }) => name !== 'data').length);
        },
      ),
      { numRuns: 150, seed: 11 },
    );
  });
});
