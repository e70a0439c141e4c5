import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { seededRandom } from '../../base/maths/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { changed, evaluatedCoarsely, lateSoup, testFonts } from '../../testing/harness.js';
import { mendedBy } from '../../testing/mended.js';
import { groupUp, matchOf } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const strip = shippedCatalogue.strips.find(({ id }) => id === 'continuous-24v-320')!;
const segments = (...cuts: readonly number[]) => cuts.map((count) => ({ strip, lengthMm: count * strip.cutPitchMm }));

/** The smallest difference that any two groups have, by trying all. */
const least = (cuts: readonly number[]): number => {
  const total = cuts.reduce((sum, each) => sum + each, 0);
  let best = Infinity;
  for (let mask = 0; mask < 1 << cuts.length; mask += 1) {
    const one = cuts.reduce((sum, each, at) => sum + ((mask >> at) & 1 ? each : 0), 0);
    best = Math.min(best, Math.abs(total - 2 * one));
  }
  return best;
};

describe('segments in two groups in series', () => {
  it('are as equal as any two groups of them can be, for lengths by chance', () => {
    const random = seededRandom(5);
    for (let turn = 0; turn < 60; turn += 1) {
      const cuts = Array.from({ length: 2 + Math.floor(9 * random()) }, () => 1 + Math.floor(14 * random()));
      const groups = groupUp(segments(...cuts));
      expect([...groups[0], ...groups[1]].sort((a, b) => a - b)).toEqual(cuts.map((_, at) => at));
      expect(Math.abs(matchOf(segments(...cuts), groups).overCuts)).toBe(least(cuts));
    }
  });

  it('of one long and one short come to the same by one cut at a mark', () => {
    const all = segments(10, 4);
    const match = matchOf(all, groupUp(all));
    expect(match).toMatchObject({ totalCuts: 14, cut: { atMm: 7 * strip.cutPitchMm } });
    expect(matchOf(segments(5, 4), groupUp(segments(5, 4))).cut).toBeNull();
  });

  it('share the double voltage evenly where they are alike, in the network as it is solved', () => {
    const series = changed(lateSoup, { 'power.arrangement': 'series-groups', 'power.joint': 'solder' });
    const { circuit } = evaluatedCoarsely(series, fonts);
    expect(circuit.voltageV).toBe(48);
    const [pair] = circuit.pairs;
    expect(circuit.pairs).toHaveLength(1);
    expect(pair!.groups.flat().sort((a, b) => a - b)).toEqual(circuit.segments.map((_, at) => at));
    expect(Math.abs(pair!.lengthsMm[0] - pair!.lengthsMm[1])).toBeLessThanOrEqual(strip.cutPitchMm);
    for (const volts of pair!.volts) expect(Math.abs(volts - 24)).toBeLessThan(24 * 0.05);
    // Half the current of all in parallel.
    const parallel = evaluatedCoarsely(changed(lateSoup, { 'power.joint': 'solder' }), fonts);
    expect(circuit.amps / parallel.circuit.amps).toBeCloseTo(0.5, 1);
    expect(circuit.settled).toBe(true);
  });

  it('unlike in length are found, and mended by one cut', () => {
    const bars = (...lengths: readonly number[]) => ({
      'assemblies.0.lines.drawn': {
        name: 'bars',
        scale: 1,
        lines: lengths.map((mm, at) => ({ points: [-mm / 2, 40 * at, mm / 2, 40 * at], closed: false })),
      },
      'assemblies.0.lines.ends': [],
      'assemblies.0.carrier.shape': 'margin',
      'assemblies.0.artwork.toolId': 'bit-3',
      'power.joint': 'solder',
      'power.arrangement': 'series-groups',
    });
    const uneven = changed(lateSoup, bars(500, 200));
    expect(mendedBy(uneven, fonts, 'unequal-series', 'cut-for-groups').gone).toBe(true);
    const odd = evaluatedCoarsely(changed(lateSoup, bars(500, 475)), fonts);
    expect(odd.findings.find(({ rule }) => rule === 'odd-total')).toMatchObject({ severity: 'note' });
  });
});
