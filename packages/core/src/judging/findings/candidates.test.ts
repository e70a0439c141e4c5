import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { evenlyOver, higherVoltage, moreSupplies, suitableStrips } from './candidates.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const proposedFor = (design: typeof dispensary) => suitableStrips(evaluatedCoarsely(design, fonts), shippedCatalogue);

describe('strips that are proposed', () => {
  it('give the light of the brief and stand the place', () => {
    const outdoors = proposedFor(changed(dispensary, { 'brief.exposure': 'outdoors' }));
    expect(outdoors.length).toBeGreaterThan(0);
    expect(outdoors.every(({ protection, whitesK }) => protection !== 'bare' && whitesK.includes(4000))).toBe(true);
    expect(proposedFor(demoDesigns.slipway).every(({ colour }) => colour !== 'white')).toBe(true);
  });

  it('are pixels only in place of pixels, and of 5 V only in place of 5 V', () => {
    expect(proposedFor(demoDesigns.slipway).some(({ addressable }) => addressable === true)).toBe(false);
    expect(proposedFor(demoDesigns['net-loft']).every(({ addressable }) => addressable === true)).toBe(true);
    const indoors = changed(dispensary, { 'brief.exposure': 'indoors' });
    expect(proposedFor(indoors).every(({ voltageV }) => voltageV >= 12)).toBe(true);
    const small = proposedFor(changed(indoors, inAssembly({ 'light.stripId': 'white-5v-60' })));
    expect(small.map(({ voltageV }) => voltageV)).toContain(5);
  });
});

describe('kinds that are tried one by one', () => {
  it('are at most eight, evenly over the list, its ends among them', () => {
    const many = Array.from({ length: 30 }, (_, index) => index);
    const tried = evenlyOver(many);
    expect(tried).toHaveLength(8);
    expect([tried[0], tried.at(-1)]).toEqual([0, 29]);
    expect(evenlyOver(many.slice(0, 5))).toEqual([0, 1, 2, 3, 4]);
    const steps = tried.slice(1).map((value, index) => value - tried[index]!);
    expect(Math.max(...steps) - Math.min(...steps)).toBeLessThanOrEqual(1);
  });
});

describe('less current for the same light', () => {
  it('comes from strip of a higher voltage and like light, the likest first', () => {
    const results = evaluatedCoarsely(
      changed(dispensary, { 'brief.exposure': 'indoors', ...inAssembly({ 'light.stripId': 'white-12v-60' }) }),
      fonts,
    );
    const [remedy] = higherVoltage({ ...results, assemblies: [results] }, shippedCatalogue);
    const strips = remedy!.candidates.map(({ change }) =>
      shippedCatalogue.strips.find(({ id }) => id === change[0]!.value)!,
    );
    expect(strips.length).toBeGreaterThan(1);
    const off = strips.map(({ lumensPerM }) => Math.abs(lumensPerM - 600));
    expect(off).toEqual([...off].sort((a, b) => a - b));
    expect(strips.every(({ voltageV, lumensPerM }) => voltageV === 24 && Math.abs(lumensPerM / 600 - 1) < 0.35)).toBe(
      true,
    );
  });

  it('is none where there is no higher voltage, nor for a sign of several assemblies', () => {
    const results = evaluatedCoarsely(dispensary, fonts);
    expect(higherVoltage({ ...results, assemblies: [results] }, shippedCatalogue)).toEqual([]);
    expect(higherVoltage({ ...results, assemblies: [results, results] }, shippedCatalogue)).toEqual([]);
  });

  it('comes from more supplies, one and two more', () => {
    const { candidates } = moreSupplies(evaluatedCoarsely(changed(dispensary, { 'power.supplyCount': 2 }), fonts));
    expect(candidates.map(({ change }) => change[0]!.value)).toEqual([3, 4]);
  });
});
