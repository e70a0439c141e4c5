import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { changed, dispensary, inAssembly, evaluated, testFonts } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

describe('the bill', () => {
  it('adds up: lines to materials, hours to labour, both to the sign, signs to the order', () => {
    const { cost, buildList: plan } = evaluated(changed(dispensary, { 'brief.quantity': 3 }), fonts);
    const sum = cost.lines.reduce((all, { price }) => all + price, 0);
    expect(cost.materials).toBeCloseTo(sum, 9);
    expect(cost.hours).toBeCloseTo(plan.workMinutes / 60, 9);
    expect(cost.labour).toBeCloseTo(cost.hours * shippedCatalogue.rates.labourPerHour, 9);
    expect(cost.perSign).toBeCloseTo(cost.materials + cost.labour, 9);
    expect(cost.order).toBeCloseTo(3 * cost.perSign, 9);
  });

  it('has a line for everything bought, and none without a price or a name', () => {
    const { cost, parts } = evaluated(dispensary, fonts);
    for (const { name, quantity, unitPrice } of parts.bought)
      expect(cost.lines).toContainEqual(expect.objectContaining({ name, quantity, price: quantity * unitPrice }));
    for (const { name, quantity, price } of cost.lines) {
      expect(name).not.toBe('');
      expect(quantity).toBeGreaterThan(0);
      expect(price).toBeGreaterThan(0);
    }
  });

  it('takes sheets by the area used and the shop’s waste', () => {
    const { cost, packing } = evaluated(dispensary, fonts);
    const [sheet] = packing.sheets;
    const line = cost.lines.find(({ name }) => name === sheet!.materialName)!;
    expect(line.quantity).toBeCloseTo(sheet!.usedM2 * (1 + shippedCatalogue.rates.wasteShare), 9);
    const perM2 = (sheet!.sheetPrice * 1e6) / (sheet!.sheetWidthMm * sheet!.sheetHeightMm);
    expect(line.price).toBeCloseTo(line.quantity * perM2, 9);
  });

  it('grows with the box, with rows and with the hour', () => {
    const small = evaluated(dispensary, fonts).cost.perSign;
    expect(evaluated(changed(dispensary, inAssembly({ 'case.widthMm': 1100 })), fonts).cost.perSign).toBeGreaterThan(
      small,
    );
    expect(evaluated(changed(dispensary, inAssembly({ 'light.rowCount': 4 })), fonts).cost.perSign).toBeGreaterThan(
      small,
    );
  });

  it('says by how much it is over budget, and nothing without one', () => {
    const over = (budget: number | null) => evaluated(changed(dispensary, { 'brief.budget': budget }), fonts).cost;
    expect(over(null).overBudget).toBeNull();
    expect(over(100).overBudget).toBeCloseTo(over(100).perSign - 100, 9);
    expect(over(100_000).overBudget).toBe(0);
  });
});
