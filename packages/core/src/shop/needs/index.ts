import { catalogueKinds, type Catalogue, type CatalogueKind, type ShelfItem } from '../../document/catalogue/index.js';
import type { Evaluation } from '../../sign/evaluate/index.js';

/** What of one thing of the shelf a job takes. */
export interface Need {
  readonly kind: CatalogueKind;
  readonly itemId: string;
  /** What stock is kept under: an item and all that followed it. */
  readonly lineId: string;
  readonly name: string;
  /** Lengths come each from one piece, parts lie on sheets or bars; an amount is an amount. */
  readonly form: 'lengths' | 'sheets' | 'amount';
  /** Of `amount`: mm of lengths, whole sheets or bars, or as it is used. */
  readonly unit: string;
  readonly amount: number;
  /** How much of that one has that is bought: a reel, a sheet, a can. */
  readonly each: number;
  readonly lengthsMm?: readonly number[];
  readonly partsMm?: readonly (readonly [widthMm: number, heightMm: number])[];
  /** Size of a whole sheet or bar. */
  readonly sheetMm?: readonly [widthMm: number, heightMm: number];
  /** What each part is called, in the order of `partsMm`. */
  readonly partNames?: readonly string[];
  /** What the saw takes between parts; whether they may lie across the sheet. */
  readonly kerfMm?: number;
  readonly mayTurn?: true;
  /** Trimmed off what is bought: all round, of a bar off both ends (mm). */
  readonly trimMm?: number;
  readonly bar?: true;
}

/** Parts beyond this are counted by whole sheets, as they were packed. */
const mostParts = 60;
/** Metres of cover are bought by the piece, litres by the can. */
const mmPerM = 1000;

interface Found {
  readonly kind: CatalogueKind;
  readonly item: ShelfItem;
}

/** Bought parts name a wire by where it runs, and a joint with a word before it. */
const itemIdsOf = (id: string): readonly string[] => [
  id,
  ...(id.startsWith('joint-') ? [id.slice('joint-'.length)] : []),
  ...(/-(inside|lead)$/.test(id) ? [id.replace(/-(inside|lead)$/, '')] : []),
];

/** Solder comes off a roll that nobody counts; linings and coatings are paint, tape or a lamp’s work. */
const uncounted: ReadonlySet<CatalogueKind> = new Set(['strips', 'linings', 'coatings', 'tools', 'cutters', 'walls']);

const findFor = (id: string, unit: string, catalogue: Catalogue): Found | null => {
  for (const itemId of itemIdsOf(id)) {
    // A joint is named with a word before it: without one, a small part of the same id is meant.
    const kinds = catalogueKinds.filter((kind) => kind !== 'joints' || id.startsWith('joint-'));
    for (const kind of kinds) {
      const item = (catalogue[kind] as readonly ShelfItem[]).find((each) => each.id === itemId);
      if (item !== undefined && !uncounted.has(kind) && !(kind === 'joints' && itemId === 'solder') && unit !== 'm²')
        return { kind, item };
    }
  }
  return null;
};

/** What of an amount one has that is bought: a can its litres, a tube its millilitres, a cover its length. */
const eachOf = ({ kind, item }: Found): number => {
  const figures = item as unknown as Readonly<Record<string, number>>;
  if (kind === 'paints') return figures['canL'] ?? 1;
  if (kind === 'glues') return figures['ml'] ?? 1;
  if (kind === 'covers') return (figures['pieceMm'] ?? mmPerM) / mmPerM;
  return 1;
};

const lineOf = (item: ShelfItem): string => item.lineId ?? item.id;

/** What a sign takes from the shelf, for the whole order: strip by its pieces, sheets and bars by their parts, the rest by amount. */
export const needsOf = (
  { packing, parts, design }: Pick<Evaluation, 'packing' | 'parts' | 'design'>,
  catalogue: Catalogue,
): readonly Need[] => {
  const { quantity } = design.brief;
  const strips = packing.reels.map(({ stripId, stripName, reelMm, reels }): Need => {
    const item = catalogue.strips.find(({ id }) => id === stripId);
    const lengthsMm = reels.flatMap(({ pieces }) => pieces.map(({ lengthMm }) => lengthMm));
    return {
      kind: 'strips',
      itemId: stripId,
      lineId: item === undefined ? stripId : lineOf(item),
      name: stripName,
      form: 'lengths',
      unit: 'mm',
      amount: lengthsMm.reduce((sum, mm) => sum + mm, 0),
      each: reelMm,
      lengthsMm,
    };
  });
  const sheets = packing.sheets.map(
    ({
      materialId,
      materialName,
      form,
      sheetWidthMm,
      sheetHeightMm,
      placed,
      sheets: count,
      kerfMm,
      mayTurn,
      trimMm,
    }): Need => {
      const kind = (['boards', 'faces', 'panes'] as const).find((each) =>
        catalogue[each].some(({ id }) => id === materialId),
      );
      const item = kind === undefined ? undefined : catalogue[kind].find(({ id }) => id === materialId);
      return {
        kind: kind ?? 'boards',
        itemId: materialId,
        lineId: item === undefined ? materialId : lineOf(item),
        name: materialName,
        form: 'sheets',
        unit: form,
        amount: count,
        each: 1,
        sheetMm: [sheetWidthMm, sheetHeightMm],
        ...(form === 'bar' ? { bar: true as const } : {}),
        ...(placed.length <= mostParts
          ? {
              partsMm: placed.map(({ widthMm, heightMm }) => [widthMm, heightMm] as const),
              partNames: placed.map(({ label }) => label),
            }
          : {}),
        kerfMm,
        ...(mayTurn ? { mayTurn: true as const } : {}),
        ...(trimMm > 0 ? { trimMm } : {}),
      };
    },
  );
  const rolls = packing.rolls.flatMap(({ materialId, materialName, stock, widthMm, lengthMm }): readonly Need[] =>
    stock === 'film' && catalogue.films.some(({ id }) => id === materialId)
      ? [
          {
            kind: 'films',
            itemId: materialId,
            lineId: lineOf(catalogue.films.find(({ id }) => id === materialId)!),
            name: materialName,
            form: 'amount',
            unit: 'm²',
            amount: (widthMm * lengthMm) / 1e6,
            each: 1,
          },
        ]
      : [],
  );
  const amounts = new Map<string, Need>();
  for (const { id, quantity: one, unit } of parts.bought) {
    const found = findFor(id, unit, catalogue);
    if (found === null) continue;
    const key = `${found.kind} ${found.item.id}`;
    const known = amounts.get(key);
    amounts.set(key, {
      kind: found.kind,
      itemId: found.item.id,
      lineId: lineOf(found.item),
      name: found.item.name,
      form: 'amount',
      unit,
      each: eachOf(found),
      amount: (known?.amount ?? 0) + one * quantity,
    });
  }
  return [...strips, ...sheets, ...rolls, ...amounts.values()].filter(({ amount }) => amount > 0);
};
