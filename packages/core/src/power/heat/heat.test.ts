import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { airRise, stackFlow } from './vents.js';
import { changed, dispensary, inAssembly, evaluated, testFonts } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const evaluate = (change: Readonly<Record<string, unknown>>) => evaluated(changed(dispensary, change), fonts);

describe('heat in the case', () => {
  it('is what is drawn less what leaves as light', () => {
    const { heat, circuit, glow } = evaluate({});
    // What the lead loses, it loses outside.
    expect(heat.watts).toBeCloseTo(circuit.watts - circuit.leadWatts - glow.balance.outLm / 300, 9);
  });

  it('raises the air by P (1/hA + 1/hA), between the kind and the harsh film', () => {
    const { heat } = evaluate({});
    const area = (900 * 300 * 1.5 + 2 * 90 * 1200) / 1e6;
    expect(heat.airInsideC.low - heat.surroundingC).toBeCloseTo((2 * heat.watts) / (10 * area), 6);
    expect(heat.airInsideC.high - heat.surroundingC).toBeCloseTo((2 * heat.watts) / (5 * area), 6);
  });

  it('orders strip above air above face above the room', () => {
    const { stripC, airInsideC, faceC, surroundingC } = evaluate(inAssembly({ 'light.rowCount': 6 })).heat;
    expect(stripC.low).toBeGreaterThan(airInsideC.low);
    expect(airInsideC.low).toBeGreaterThan(faceC.low);
    expect(faceC.low).toBeGreaterThan(surroundingC);
  });

  it('at the wattage that can be shed, the strip is just at its limit', () => {
    const { heat, geometry, materials } = evaluate(inAssembly({ 'light.rowCount': 5 }));
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
      ...inAssembly({ 'light.stripId': 'rgb-12v-60' }),
    });
    expect(Number.isFinite(heat.stripC.high)).toBe(true);
  });

  it('is cooler with vents, the more the wider and the farther apart, and they leak what falls on them', () => {
    const hot = inAssembly({ 'light.rowCount': 6 });
    const closed = evaluate(hot);
    const vented = (count: number, diameterMm: number) =>
      evaluate({ ...hot, ...inAssembly({ 'case.vents': { count, diameterMm } }) });
    const [few, many] = [vented(4, 6), vented(12, 10)];
    expect(few.heat.airInsideC.high).toBeLessThan(closed.heat.airInsideC.high);
    expect(many.heat.airInsideC.high).toBeLessThan(few.heat.airInsideC.high);
    expect(many.heat.sheddableWatts).toBeGreaterThan(closed.heat.sheddableWatts);
    const { incidentLm } = many.glow;
    const share = (12 * Math.PI * 25) / (many.geometry.inside.widthMm * many.geometry.lightDepthMm);
    expect(many.heat.vents!.leakLm).toBeCloseTo(share * (incidentLm.top + incidentLm.bottom), 6);
    expect(closed.heat.vents).toBeNull();
    // They are drilled in both returns.
    const holes = (id: string): number =>
      many.parts.cut
        .find((part) => part.id === id)!
        .layers.flatMap(({ shapes }) => shapes)
        .filter((shape) => shape.kind === 'hole' && shape.diameterMm === 10).length;
    expect([holes('top'), holes('bottom'), holes('left')]).toEqual([12, 12, 0]);
  });

  it('of a supply inside the sign counts what it loses', () => {
    const [outside, inside] = (['outside', 'inside'] as const).map((place) => evaluate({ 'power.supplyPlace': place }));
    expect(outside!.heat.supplyWatts).toBe(0);
    expect(inside!.heat.watts - outside!.heat.watts).toBeCloseTo(inside!.circuit.watts * (1 / 0.87 - 1), 9);
  });
});

describe('air that rises through vents', () => {
  const vents = { areaMm2: 600, riseMm: 300, insideLux: 1000 };

  it('carries off what the walls do not: the balance holds at the root', () => {
    for (const watts of [2, 20, 200]) {
      const rise = airRise(watts, 1.5, vents, 0.6, 25);
      const carried = 1.2 * 1005 * stackFlow(vents, 0.6, rise, 25) * rise;
      expect(carried + 1.5 * rise).toBeCloseTo(watts, 6);
    }
  });

  it('by vents alone follows the two-thirds power of the heat', () => {
    // watts ∝ rise^1.5.
    const [one, eight] = [10, 80].map((watts) => airRise(watts, 1e-9, vents, 0.6, 25));
    expect(eight! / one!).toBeCloseTo(4, 6);
  });

  it('without them, or without heat, is as of a closed case', () => {
    expect(airRise(30, 1.5, null, 0.6, 25)).toBe(20);
    expect(airRise(0, 1.5, vents, 0.6, 25)).toBe(0);
    expect(stackFlow(vents, 0.6, -5, 25)).toBe(0);
  });
});
