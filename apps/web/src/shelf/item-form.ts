import {
  readItem,
  wordsOf,
  written,
  type CatalogueKind,
  type Problem,
  type ShelfItem,
  type WrittenItem,
} from '@vitrum/core';

/** An item of the shelf as it is typed: each field by its path, dots as they cannot be in the names of a form. */
export type ItemForm = Record<string, string>;

/** The name of a field in a form: the libraries of forms take a dot for a field within a field. */
export const nameOf = (path: string): string => path.replace(/\./g, '__');

/** What a form begins with: an item as it is, or nothing. */
export const formOf = (kind: CatalogueKind, item: object | null): ItemForm =>
  Object.fromEntries(
    wordsOf(kind).fields.map((field) => [nameOf(field.path), item === null ? '' : written(field, item)]),
  );

/** The figures of a form that are not as they were. */
export const typedIn = (kind: CatalogueKind, form: ItemForm, before: ItemForm): WrittenItem =>
  Object.fromEntries(
    wordsOf(kind).fields.flatMap(({ path }) => {
      const [is, was] = [form[nameOf(path)] ?? '', before[nameOf(path)] ?? ''];
      return is === was ? [] : [[path, is]];
    }),
  );

/** What is wrong with a form, by the names of its fields. */
export const wrongIn = (
  kind: CatalogueKind,
  form: ItemForm,
  base: ShelfItem | null,
): Readonly<Record<string, string>> => {
  const given = Object.fromEntries(wordsOf(kind).fields.map(({ path }) => [path, form[nameOf(path)] ?? '']));
  const read = readItem(kind, given, base ?? { id: 'new', provenance: 'typical' });
  return read.ok ? {} : byName(read.problems);
};

/** Problems by the names of fields; the first of each counts. */
export const byName = (problems: readonly Problem[]): Readonly<Record<string, string>> =>
  Object.fromEntries(
    [...problems].reverse().map(({ path, message }) => [nameOf(path.replace(/^figures\./, '')), message]),
  );
