import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../artwork/index.js';
import { changed, dispensary, inBox, look, testFonts } from '../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const evaluate = (change: Readonly<Record<string, unknown>>) => look(changed(dispensary, change), fonts);

describe('heat in the case', () => {
  it('is what is drawn less what leaves as light', () => {
    const { heat, circuit, glow } = evaluate({});
    expect(heat.watts).toBeCloseTo(circuit.watts - glow.balance.outLm / 300, 9);
  });

  it('raises the air by P (1/hA + 1/hA), between the kind and the harsh film', () => {
    const { heat } = evaluate({});
    const area = (900 * 300 * 1.5 + 2 * 90 * 1200) / 1e6;
    expect(heat.airInsideC.low - heat.surroundingC).toBeCloseTo((2 * heat.watts) / (10 * area), 6);
    expect(heat.airInsideC.high - heat.surroundingC).toBeCloseTo((2 * heat.watts) / (5 * area), 6);
  });

  it('orders strip above air above face above the room', () => {
    const { stripC, airInsideC, faceC, surroundingC } = evaluate(inBox({ 'light.rowCount': 6 })).heat;
    expect(stripC.low).toBeGreaterThan(airInsideC.low);
    expect(airInsideC.low).toBeGreaterThan(faceC.low);
    expect(faceC.low).toBeGreaterThan(surroundingC);
  });

  it('at the wattage that can be shed, the strip is just at its limit', () => {
    const { heat, geometry, materials } = evaluate(inBox({ 'light.rowCount': 5 }));
    const area =
      (geometry.outside.widthMm * geometry.outside.heightMm * 1.5 +
        2 * geometry.outside.depthMm * (geometry.outside.widthMm + geometry.outside.heightMm)) /
      1e6;
    const stripAboveAir = heat.stripC.low - heat.airInsideC.low;
    expect(heat.surroundingC + (2 * heat.sheddableWatts) / (10 * area) + stripAboveAir).toBeCloseTo(
      materials.strip.maxBoardC,
      0,
    );
  });

  it('is nothing, and finite, with no light at all', () => {
    const { heat } = evaluate({
      'brief.light': { kind: 'rgb', colour: '#000000' },
      ...inBox({ 'light.stripId': 'rgb-12v-60' }),
    });
    expect(Number.isFinite(heat.stripC.high)).toBe(true);
  });
});
