import type { CatalogueKind } from '../../document/catalogue/index.js';
import type { Lot } from './types.js';

const sheets: ReadonlySet<CatalogueKind> = new Set(['boards', 'faces', 'panes']);
const units: Partial<Readonly<Record<CatalogueKind, string>>> = {
  paints: 'L',
  glues: 'ml',
  films: 'm²',
  linings: 'm²',
  coatings: 'm²',
  wires: 'm',
  covers: 'm',
};

/** How things of a list lie in the shop: lengths that are not joined, sheets by their sizes, or an amount. */
export const stockForm = (kind: CatalogueKind): Lot['form'] =>
  kind === 'strips' ? 'lengths' : sheets.has(kind) ? 'sheets' : 'amount';

/** What an amount of a list is counted in. */
export const stockUnit = (kind: CatalogueKind): string =>
  kind === 'strips' ? 'mm' : sheets.has(kind) ? 'sheet' : (units[kind] ?? 'piece');
