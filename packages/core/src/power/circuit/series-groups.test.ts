import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { seededRandom } from '../../base/maths/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { changed, evaluatedCoarsely, lateSoup, testFonts } from '../../testing/harness.js';
import { mendedBy } from '../../testing/mended.js';
import { groupUp, matchOf, pairsOfGroups } from './index.js';

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

  it('are in as many pairs as asked for: neighbours together, parted where the groups of each come out most alike', () => {
    const random = seededRandom(11);
    const overOf = (cuts: readonly number[], from: number, to: number): number => least(cuts.slice(from, to));
    for (let turn = 0; turn < 40; turn += 1) {
      const cuts = Array.from({ length: 6 + Math.floor(6 * random()) }, () => 3 + Math.floor(6 * random()));
      const { pairs, alone } = pairsOfGroups(segments(...cuts), 2);
      expect(alone).toEqual([]);
      expect(pairs).toHaveLength(2);
      const [first, second] = pairs.map((pair) => pair.flat().sort((a, b) => a - b)) as [number[], number[]];
      expect([...first, ...second]).toEqual(cuts.map((_, at) => at));
      const total = cuts.reduce((sum, each) => sum + each, 0);
      // Of all places where the row may be parted near its middle, none makes groups that are more alike.
      const ways = cuts.flatMap((_, at) => {
        const before = cuts.slice(0, at).reduce((sum, each) => sum + each, 0);
        return at > 1 && at < cuts.length - 1 && Math.abs(before / total - 0.5) < 0.14
          ? [overOf(cuts, 0, at) + overOf(cuts, at, cuts.length)]
          : [];
      });
      if (ways.length === 0) continue;
      const made = pairs.reduce((sum, pair) => sum + Math.abs(matchOf(segments(...cuts), pair).overCuts), 0);
      expect(made).toBeLessThanOrEqual(Math.min(...ways));
    }
  });

  it('keep strip of unlike kinds apart, and leave the only one of its kind alone', () => {
    const other = shippedCatalogue.strips.find(({ id }) => id === 'white-24v-60')!;
    const mixed = [...segments(4, 4, 6), ...segments(5, 5).map((each) => ({ ...each, strip: other }))];
    const { pairs, alone } = pairsOfGroups(mixed, 1);
    expect(pairs.map((pair) => pair.flat().sort((a, b) => a - b))).toEqual([
      [0, 1, 2],
      [3, 4],
    ]);
    expect(alone).toEqual([]);
    expect(pairsOfGroups(mixed.slice(0, 4), 1).alone).toEqual([3]);
    // No more pairs than two segments each make.
    expect(pairsOfGroups(segments(4, 4, 4, 4, 4), 9).pairs).toHaveLength(2);
  });

  it('carry less in more pairs: too much for a connector is mended by it', () => {
    const thin = changed(lateSoup, {
      'assemblies.0.light.stripId': 'zigzag-12v-120',
      'assemblies.0.groove.coverId': null,
      'assemblies.0.artwork.toolId': 'bit-3',
      'power.arrangement': 'series-groups',
      'power.level': 1,
    });
    const circuitOf = (groupPairs: number) =>
      evaluatedCoarsely(changed(thin, { 'power.groupPairs': groupPairs }), fonts).circuit;
    const [one, three] = [circuitOf(1), circuitOf(3)];
    expect(three.pairs).toHaveLength(3);
    // Less is lost on the way, so a little more is drawn.
    expect(three.amps / one.amps).toBeGreaterThan(0.98);
    expect(three.amps / one.amps).toBeLessThan(1.1);
    expect(Math.max(...three.chains.map(({ amps }) => amps)) / one.chains[0]!.amps).toBeLessThan(0.5);
    expect(mendedBy(thin, fonts, 'over-rating', 'more-group-pairs').gone).toBe(true);
    for (const { volts } of three.pairs) for (const each of volts) expect(Math.abs(each - 12)).toBeLessThan(1.8);
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
