import type { Catalogue } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import type { Packing } from '../packing/index.js';
import type { Parts } from '../parts/index.js';
import type { BuildList } from '../steps/index.js';

/** One line of the bill, for one sign. */
export interface CostLine {
  readonly name: string;
  readonly quantity: number;
  readonly unit: string;
  readonly price: number;
}

/** What one sign costs the shop. */
export interface Cost {
  readonly currency: string;
  readonly lines: readonly CostLine[];
  /** What is used up, waste counted; the rest goes back on the shelf. */
  readonly materials: number;
  readonly hours: number;
  readonly labour: number;
  readonly perSign: number;
  readonly order: number;
  /** What another shop asks, per sign. */
  readonly outsideQuote: number | null;
  readonly overBudget: number | null;
}

/** The cost stage: sheets by the area used plus waste, the rest by quantity, and the shop's hours. */
export const costOf = (brief: Brief, parts: Parts, packing: Packing, plan: BuildList, catalogue: Catalogue): Cost => {
  const { rates } = catalogue;
  const sheetLines = packing.sheets.map(
    ({ materialName, usedM2, sheetPrice, sheetWidthMm, sheetHeightMm }): CostLine => {
      const quantity = usedM2 * (1 + rates.wasteShare);
      return {
        name: materialName,
        quantity,
        unit: 'm²',
        price: (quantity * sheetPrice * 1e6) / (sheetWidthMm * sheetHeightMm),
      };
    },
  );
  const filmLines = parts.cut
    .filter(({ stock }) => stock === 'film')
    .map(({ materialId, materialName, widthMm, heightMm }): CostLine => {
      const m2 = (widthMm * heightMm) / 1e6;
      const price = catalogue.films.find(({ id }) => id === materialId)?.price ?? 0;
      return { name: materialName, quantity: m2, unit: 'm²', price: m2 * price };
    });
  const boughtLines = parts.bought.map(({ name, quantity, unit, unitPrice }): CostLine => ({
    name,
    quantity,
    unit,
    price: quantity * unitPrice,
  }));
  const returnLines = parts.cut
    .filter(({ stock }) => stock === 'return')
    .map(({ name, materialId, widthMm, heightMm, count }): CostLine => {
      const board = catalogue.boards.find(({ id }) => id === materialId);
      const m2 = ((widthMm * heightMm * count) / 1e6) * (1 + rates.wasteShare);
      const perM2 = board === undefined ? 0 : (board.price * 1e6) / (board.sheetWidthMm * board.sheetHeightMm);
      return { name, quantity: m2, unit: 'm²', price: m2 * perM2 };
    });
  const lines = [...sheetLines, ...returnLines, ...filmLines, ...boughtLines];
  const materials = lines.reduce((sum, { price }) => sum + price, 0);
  const hours = plan.workMinutes / 60;
  const labour = hours * rates.labourPerHour;
  const perSign = materials + labour;
  return {
    currency: rates.currency,
    lines,
    materials,
    hours,
    labour,
    perSign,
    order: perSign * brief.quantity,
    outsideQuote: brief.outsideQuote,
    overBudget: brief.budget === null ? null : Math.max(0, perSign - brief.budget),
  };
};
