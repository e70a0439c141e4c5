import { isCurrent, type Catalogue, type CatalogueKind, type ShelfItem } from '../../document/catalogue/index.js';
import { cutReels } from '../../making/packing/index.js';
import { layOnBought, partsOf } from './laid.js';
import type { Short } from './types.js';

/** What is to be bought of one thing, for all jobs that are short of it. */
export interface ShoppingLine {
  readonly kind: CatalogueKind;
  readonly itemId: string;
  readonly lineId: string;
  readonly name: string;
  /** Short of so much, in what unit. */
  readonly amount: number;
  readonly unit: string;
  /** Reels, sheets, tins; packs where it comes in packs; and what they cost. */
  readonly pieces: number;
  readonly packs: number;
  readonly packOf: number;
  readonly price: number;
  readonly supplier: string;
  /** From ordering until it is there; null where the shelf does not say. */
  readonly leadDays: number | null;
  readonly pricedOn: string | null;
  readonly jobIds: readonly string[];
}

/** More parts are counted by the sheets that each job lacks. */
const mostPacked = 120;

/** How many reels, sheets or tins make up what jobs are short of, all together. */
const piecesFor = (shorts: readonly Short[], cutPitchMm: number): number => {
  const [first] = shorts;
  if (first === undefined) return 0;
  if (first.form === 'lengths') {
    const lengths = shorts.flatMap(({ lengthsMm }) => lengthsMm ?? []);
    const { reels } = cutReels(
      lengths.map((lengthMm, at) => ({ label: `${at}`, lengthMm })),
      first.each,
      cutPitchMm,
    );
    return reels.length;
  }
  if (first.form === 'sheets') {
    const parts = shorts.flatMap(({ partsMm }) => partsMm ?? []);
    const apart = shorts.reduce((sum, { amount }) => sum + amount, 0);
    if (parts.length === 0 || parts.length > mostPacked || shorts.some(({ partsMm }) => partsMm === undefined))
      return apart;
    const { sheets, tooLarge } = layOnBought(shorts.flatMap(partsOf), first);
    // Together they never take more than each by itself.
    return Math.min(apart, sheets + tooLarge.length);
  }
  const amount = shorts.reduce((sum, short) => sum + short.amount, 0);
  return Math.ceil(amount / first.each - 1e-9);
};

/** One list of what is short for several jobs, by supplier, then by name: pieces, packs, price, how long it takes. */
export const shoppingList = (
  jobs: readonly { readonly jobId: string; readonly shorts: readonly Short[] }[],
  catalogue: Catalogue,
): readonly ShoppingLine[] => {
  const byLine = new Map<string, { readonly short: Short; readonly jobId: string }[]>();
  for (const { jobId, shorts } of jobs)
    for (const short of shorts) {
      const key = `${short.kind} ${short.lineId}`;
      const own = byLine.get(key);
      if (own === undefined) byLine.set(key, [{ short, jobId }]);
      else own.push({ short, jobId });
    }
  return [...byLine.values()]
    .map((found): ShoppingLine => {
      const { short } = found[0]!;
      const list = catalogue[short.kind] as readonly ShelfItem[];
      const item =
        list.find((each) => (each.lineId ?? each.id) === short.lineId && isCurrent(each)) ??
        list.find(({ id }) => id === short.itemId);
      const pitch = (item as { readonly cutPitchMm?: number } | undefined)?.cutPitchMm ?? 1;
      const pieces = piecesFor(
        found.map((each) => each.short),
        pitch,
      );
      const packOf = item?.packOf ?? 1;
      const packs = Math.ceil(pieces / packOf - 1e-9);
      // Paint is priced by the can, film by the square metre: by what one piece is.
      return {
        kind: short.kind,
        itemId: item?.id ?? short.itemId,
        lineId: short.lineId,
        name: item?.name ?? short.name,
        // Parts of several jobs share sheets.
        amount: short.form === 'sheets' ? pieces : found.reduce((sum, each) => sum + each.short.amount, 0),
        unit: short.unit,
        pieces,
        packs,
        packOf,
        price: packs * packOf * (item?.price ?? 0),
        supplier: item?.supplier ?? '',
        leadDays: item?.leadDays ?? null,
        pricedOn: item?.pricedOn ?? null,
        jobIds: [...new Set(found.map(({ jobId }) => jobId))],
      };
    })
    .sort((a, b) => a.supplier.localeCompare(b.supplier) || a.name.localeCompare(b.name));
};
