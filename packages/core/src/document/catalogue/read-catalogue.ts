import type { Problem } from '../../base/result.js';
import { catalogueSchemas, ratesSchema } from './schema.js';
import { shippedCatalogue } from './shipped.js';
import type { Catalogue, CatalogueKind } from './types.js';

/** An item as a shop’s store has it: of which list, its place in it, and whatever was written there, by any version. */
export interface StoredItem {
  readonly kind: string;
  readonly id: string;
  readonly data: unknown;
}

/** A catalogue, and what of the store could not be used, each with its place. */
export interface ReadCatalogue {
  readonly catalogue: Catalogue;
  readonly problems: readonly Problem[];
}

/** The lists of a catalogue. */
export const catalogueKinds = Object.keys(catalogueSchemas) as readonly CatalogueKind[];

const fieldsOf = (data: unknown): Readonly<Record<string, unknown>> =>
  typeof data === 'object' && data !== null ? (data as Readonly<Record<string, unknown>>) : {};

/**
 * An item as this version has it. What the store says of it counts; fields that an older version did not have come from
 * the item of the same id that ships. One that still lacks something gives way to the shipped item, and is told.
 */
const readItem = (kind: CatalogueKind, { id, data }: StoredItem, problems: Problem[]): readonly unknown[] => {
  const shipped = shippedCatalogue[kind].find((item) => item.id === id);
  const own = fieldsOf(data);
  // What the shop has changed is as the shop wrote it: figures that it took away do not come back from what ships.
  const asStored = own['editedOn'] === undefined ? null : catalogueSchemas[kind].safeParse(own);
  const read = asStored?.success === true ? asStored : catalogueSchemas[kind].safeParse({ ...shipped, ...own });
  if (read.success) return [read.data];
  problems.push(
    ...read.error.issues.map(({ path, message }) => ({ path: `${kind}.${id}.${path.join('.')}`, message })),
  );
  return shipped === undefined ? [] : [shipped];
};

/** A shop’s catalogue from what it stored, in the order given, whichever version wrote it; a list that it knew nothing of ships. */
export const readCatalogue = (items: readonly StoredItem[]): ReadCatalogue => {
  const problems: Problem[] = [];
  const lists = Object.fromEntries(
    catalogueKinds.map((kind) => [
      kind,
      items.some((item) => item.kind === kind)
        ? items.filter((item) => item.kind === kind).flatMap((item) => readItem(kind, item, problems))
        : shippedCatalogue[kind],
    ]),
  );
  const stored = items.find(({ kind }) => kind === 'rates');
  const rates = ratesSchema.safeParse({ ...shippedCatalogue.rates, ...fieldsOf(stored?.data) });
  if (!rates.success)
    problems.push(...rates.error.issues.map(({ path, message }) => ({ path: `rates.${path.join('.')}`, message })));
  return {
    // Each list was read by the schema of its own items.
    catalogue: { ...lists, rates: rates.success ? rates.data : shippedCatalogue.rates } as unknown as Catalogue,
    problems,
  };
};
