import { catalogueSchemas } from './schema.js';
import type { Catalogue, CatalogueKind, ShelfItem } from './types.js';

const kinds = Object.keys(catalogueSchemas) as readonly CatalogueKind[];

/** Whether an item is offered: neither retired nor followed by a newer one. */
export const isCurrent = ({ retiredOn, newerId }: Pick<ShelfItem, 'retiredOn' | 'newerId'>): boolean =>
  retiredOn === undefined && newerId === undefined;

/** Items by their ids that are no longer offered. */
const oldIds = new WeakMap<Catalogue, ReadonlySet<string>>();

const oldIdsOf = (catalogue: Catalogue): ReadonlySet<string> => {
  const known = oldIds.get(catalogue);
  if (known !== undefined) return known;
  const found = new Set(
    kinds.flatMap((kind) => catalogue[kind].filter((item) => !isCurrent(item)).map(({ id }) => id)),
  );
  oldIds.set(catalogue, found);
  return found;
};

const noted = new WeakMap<object, WeakMap<ReadonlySet<string>, readonly string[]>>();

/** Which of these ids a part of a design names, anywhere; parts that were looked through once are known. */
const namedIn = (part: unknown, ids: ReadonlySet<string>): readonly string[] => {
  if (typeof part === 'string') return ids.has(part) ? [part] : [];
  if (typeof part !== 'object' || part === null) return [];
  const known = noted.get(part)?.get(ids);
  if (known !== undefined) return known;
  // Long lists of numbers are drawings.
  const found =
    Array.isArray(part) && typeof part[0] === 'number' ? [] : Object.values(part).flatMap((each) => namedIn(each, ids));
  const byIds = noted.get(part) ?? new WeakMap<ReadonlySet<string>, readonly string[]>();
  byIds.set(ids, found);
  noted.set(part, byIds);
  return found;
};

/** The ids, of those given, that a design names, from its text: every short word in quotes is looked up. */
export const itemsIn = (designText: string, ids: ReadonlySet<string>): readonly string[] => {
  const found = new Set<string>();
  for (const [, word] of designText.matchAll(/"([^"\\]{1,120})"/g)) if (ids.has(word!)) found.add(word!);
  return [...found].sort();
};

/** The ids of items that a design names and the shelf no longer offers, in order. */
export const oldItemsOf = (design: object, catalogue: Catalogue): readonly string[] => {
  const ids = oldIdsOf(catalogue);
  return ids.size === 0 ? [] : [...new Set(namedIn(design, ids))].sort();
};

const shelves = new WeakMap<Catalogue, Map<string, Catalogue>>();

/**
 * The shelf as a design may choose from it: what is offered, and what the design has though it is no longer offered. The
 * same object for the same such items.
 */
export const shelfFor = (design: object, catalogue: Catalogue): Catalogue => {
  if (oldIdsOf(catalogue).size === 0) return catalogue;
  const had = oldItemsOf(design, catalogue);
  const key = had.join('\n');
  const known = shelves.get(catalogue)?.get(key);
  if (known !== undefined) return known;
  const kept = new Set(had);
  const lists = Object.fromEntries(
    kinds.map((kind) => [kind, catalogue[kind].filter((item) => isCurrent(item) || kept.has(item.id))]),
  );
  // Lists of the same kinds with fewer items.
  const shelf = { ...catalogue, ...lists };
  const byKey = shelves.get(catalogue) ?? new Map<string, Catalogue>();
  byKey.set(key, shelf);
  shelves.set(catalogue, byKey);
  return shelf;
};

/** An item that is no longer offered, and of which list it is; null where there is none of that id. */
export const findOldItem = (
  catalogue: Catalogue,
  id: string,
): { readonly kind: CatalogueKind; readonly item: ShelfItem } | null => {
  for (const kind of kinds) {
    const item = catalogue[kind].find((each) => each.id === id && !isCurrent(each));
    if (item !== undefined) return { kind, item };
  }
  return null;
};

/** What stands on the shelf now in the place of an item that was changed; null where it was but retired, or all were. */
export const newestOf = (catalogue: Catalogue, kind: CatalogueKind, item: ShelfItem): ShelfItem | null => {
  const line = item.lineId ?? item.id;
  return item.newerId === undefined
    ? null
    : (catalogue[kind].find((each) => (each.lineId ?? each.id) === line && isCurrent(each)) ?? null);
};
