import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { inRows } from '../../testing/rows-of-strip.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { runTimeOf } from './battery.js';
import { supplyChoices } from './choose-supply.js';
import { pairUp } from './series-pairs.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const segments = (...lengths: readonly number[]) =>
  lengths.map((lengthMm, index) => ({ ref: inRows(index + 1), label: `${index + 1}`, lengthMm }));

describe('pairs in series', () => {
  it('are as equal as may be, and the shortest of an odd number stays alone', () => {
    expect(pairUp(segments(500, 800, 510, 790, 300), [])).toEqual({
      pairs: [
        [1, 3],
        [0, 2],
      ],
      alone: [4],
      contradictions: [],
    });
  });

  it('are as asked for where that can be, and name what cannot', () => {
    const { pairs, contradictions } = pairUp(segments(500, 800, 510, 790), [
      { first: inRows(1), second: inRows(2) },
      { first: inRows(2), second: inRows(3) },
      { first: inRows(4), second: inRows(4) },
      { first: inRows(9), second: inRows(3) },
    ]);
    expect(pairs).toEqual([
      [0, 1],
      [2, 3],
    ]);
    expect(contradictions.map(({ why }) => why)).toEqual([
      'segment 2 is in another pair already',
      'segment 4 cannot be in series with itself',
      'there is no segment 9',
    ]);
  });

  it('share double voltage evenly when they are equal, and their wires have one core each', () => {
    const { circuit, materials } = evaluatedCoarsely(
      changed(dispensary, { ...inAssembly({ 'light.rowCount': 4 }), 'power.arrangement': 'series-pairs' }),
      fonts,
    );
    const { voltageV } = materials.strip;
    expect(circuit.voltageV).toBe(2 * voltageV);
    for (const { volts } of circuit.pairs) {
      expect(Math.abs(volts[0] / volts[1] - 1)).toBeLessThan(0.01);
      expect(volts[0]).toBeGreaterThan(0.95 * voltageV);
    }
    expect(circuit.wires.map(({ carries }) => carries)).toEqual(['plus', 'link', 'minus', 'plus', 'link', 'minus']);
    // One current goes through both: half of what the same segments take in parallel.
    const parallel = evaluatedCoarsely(changed(dispensary, inAssembly({ 'light.rowCount': 4 })), fonts).circuit;
    expect(circuit.amps / parallel.amps).toBeCloseTo(0.5, 1);
  });

  it('give the shorter one more voltage than it may have, as linear groups share it', () => {
    const uneven = changed(dispensary, {
      ...inAssembly({
        'light.rowCount': 2,
        'case.block': { widthMm: 240, heightMm: 60, depthMm: 30, offsetXMm: 250, offsetYMm: 70 },
      }),
      'power.arrangement': 'series-pairs',
      'power.seriesPairs': [{ first: inRows(1), second: inRows(2) }],
    });
    const { circuit, materials } = evaluatedCoarsely(uneven, fonts);
    const { strip } = materials;
    const [{ lengthsMm, volts }] = circuit.pairs as [(typeof circuit.pairs)[0]];
    expect(lengthsMm[0]).not.toBe(lengthsMm[1]);
    // Without copper: lengths × (V − Vf) are the same for both.
    const above = 2 * (strip.voltageV - strip.forwardV);
    const expected = strip.forwardV + (above * lengthsMm[1]) / (lengthsMm[0] + lengthsMm[1]);
    expect(volts[0] / expected).toBeGreaterThan(0.97);
    expect(volts[0] / expected).toBeLessThan(1.01);
  });
});

describe('a battery', () => {
  const battery = { ampHours: 10, fullV: 13, cutOffV: 11, usableShare: 0.8 };

  it('of a constant current lasts as long as its charge', () =>
    expect(runTimeOf(battery, () => ({ amps: 2, light: 1 }))).toEqual({ hours: 4, lightAtEnd: 1 }));

  it('lasts as the integral of charge over current where current follows voltage', () => {
    // I = V / R: hours = Q·R / (V₁ − V₀) · ln(V₁ / V₀).
    const { hours, lightAtEnd } = runTimeOf(battery, (volts) => ({ amps: volts / 6, light: volts }));
    expect(hours / (((10 * 0.8 * 6) / 2) * Math.log(13 / 11))).toBeCloseTo(1, 3);
    expect(lightAtEnd).toBeCloseTo(11 / 13, 9);
  });

  it('feeds a box when the brief has no socket, and the circuit says how long', () => {
    const box = changed(dispensary, {
      ...inAssembly({ 'light.stripId': 'zigzag-12v-120' }),
      'brief.exposure': 'indoors',
      'power.source': 'battery',
    });
    const { circuit } = evaluatedCoarsely(box, fonts);
    expect(circuit.supply).toMatchObject({ source: 'battery', voltageV: 12 });
    const rough = (20 * 0.85) / circuit.amps;
    expect(circuit.runTime!.hours / rough).toBeGreaterThan(0.8);
    expect(circuit.runTime!.hours / rough).toBeLessThan(1.25);
    expect(circuit.runTime!.lightAtEnd).toBeLessThan(1);
    expect(evaluatedCoarsely(dispensary, fonts).circuit.runTime).toBeNull();
  });
});

describe('a supply of another voltage than the circuit’s', () => {
  it('has no run time, battery or not, and is found', () => {
    const odd = changed(dispensary, { 'power.supplyId': 'battery-5v-20', 'brief.exposure': 'indoors' });
    const { circuit, findings } = evaluatedCoarsely(odd, fonts);
    expect(circuit.supply!.voltageV).not.toBe(circuit.voltageV);
    expect(circuit.runTime).toBeNull();
    const found = findings.find(({ id }) => id === 'supply-too-small')!;
    expect(found.what).toContain('wrong voltage');
  });
});

describe('ways to feed a load', () => {
  it('are of the source that was asked for, and none where none suits', () => {
    const of = (source: 'mains' | 'usb' | 'battery', voltageV: number, watts: number) =>
      supplyChoices(
        shippedCatalogue,
        { ...dispensary.brief, exposure: 'indoors' },
        { ...dispensary.power, source },
        voltageV,
        watts,
        9,
      );
    expect(of('usb', 5, 8).every(({ supply }) => supply.source === 'usb')).toBe(true);
    expect(of('usb', 5, 8).length).toBeGreaterThan(0);
    expect(of('usb', 24, 8)).toEqual([]);
    expect(of('battery', 12, 20).every(({ supply }) => supply.battery !== undefined)).toBe(true);
    // More than four of the largest would be asked for.
    expect(of('mains', 12, 900)).toEqual([]);
  });

  it('carry it with headroom, each at the least price, cheapest first', () => {
    const choices = supplyChoices(
      shippedCatalogue,
      { ...dispensary.brief, exposure: 'indoors' },
      dispensary.power,
      24,
      80,
      9,
    );
    expect(choices.length).toBeGreaterThan(1);
    choices.forEach(({ supply, count, price, limitedPower }, index) => {
      expect(supply.watts * count).toBeGreaterThanOrEqual(80 * 1.2);
      expect(price).toBeCloseTo(count * supply.price, 9);
      expect(limitedPower).toBe(supply.watts <= 60);
      if (index > 0) expect(price).toBeGreaterThanOrEqual(choices[index - 1]!.price);
    });
    expect(choices.some(({ limitedPower }) => limitedPower)).toBe(true);
  });
});
