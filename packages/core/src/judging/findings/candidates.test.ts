import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { suitableStrips } from './candidates.js';

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
