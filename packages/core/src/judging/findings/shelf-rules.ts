import {
  findOldItem,
  itemDifferences,
  newestOf,
  oldItemsOf,
  type Catalogue,
  type CatalogueKind,
  type ShelfItem,
} from '../../document/catalogue/index.js';
import type { FieldChange } from '../../document/design/index.js';
import type { SignRule, WorkStep } from './types.js';

/** Every place in a design that names an item, with the id that it is to have there. */
const renamed = (part: unknown, from: string, to: string, path: readonly string[] = []): readonly FieldChange[] => {
  if (part === from) return [{ path: path.join('.'), value: to }];
  if (typeof part !== 'object' || part === null) return [];
  return Object.entries(part).flatMap(([key, value]) => renamed(value, from, to, [...path, key]));
};

const stepOf: Partial<Readonly<Record<CatalogueKind, WorkStep>>> = {
  strips: 'light',
  supplies: 'power',
  controllers: 'power',
  wires: 'power',
  joints: 'power',
  tools: 'artwork',
  fixings: 'hang',
};

interface Followed {
  readonly kind: CatalogueKind;
  readonly had: ShelfItem;
  readonly newer: ShelfItem;
}

/** Items of a design that the shop has changed since. */
const followed = (design: object, catalogue: Catalogue): readonly Followed[] =>
  oldItemsOf(design, catalogue).flatMap((id): readonly Followed[] => {
    const found = findOldItem(catalogue, id);
    const newer = found === null ? null : newestOf(catalogue, found.kind, found.item);
    return found === null || newer === null ? [] : [{ kind: found.kind, had: found.item, newer }];
  });

/** A design keeps an item as it was when the shop changes it; what came after is offered. */
export const newerOnShelf: SignRule = ({ results, catalogue }) => {
  const found = followed(results.design, catalogue);
  const [first] = found;
  if (first === undefined) return null;
  const { kind, had, newer } = first;
  const told = itemDifferences(kind, had, newer)
    .slice(0, 5)
    .map(
      ({ label, unit, before, after }) =>
        `${label.toLowerCase()} ${before} → ${after}${unit === '' || unit === 'money' ? '' : ` ${unit}`}`,
    );
  return {
    id: 'newer-on-shelf',
    severity: 'note',
    step: stepOf[kind] ?? 'case',
    what: `${had.name} has changed on the shelf`,
    why: `This design keeps it as it was. ${newer.editedOn === undefined ? 'Since then' : `Since ${newer.editedOn}`}: ${told.join('; ') || 'nothing that counts here'}.`,
    numbers: [{ label: 'changed items', value: found.length, unit: '' }],
    where: null,
    target: {
      label: 'changed items',
      unit: '',
      better: 'lower',
      read: ({ design }) => followed(design, catalogue).length,
      settled: ({ design }) => followed(design, catalogue).length === 0,
    },
    remedies: [
      {
        id: 'take-newer',
        candidates: [
          { label: `${newer.name} as it is now`, change: renamed(results.design, had.id, newer.id) },
          ...(found.length < 2
            ? []
            : [
                {
                  label: `All ${found.length} changed items as they are now`,
                  change: found.flatMap((each) => renamed(results.design, each.had.id, each.newer.id)),
                },
              ]),
        ],
      },
    ],
  };
};
