import { catalogueKinds, readCatalogue, shippedCatalogue, type Catalogue } from '@vitrum/core';
import { UsageError } from './usage-error.js';

/** A catalogue file larger than this is none (characters). */
const mostCharacters = 4_000_000;

const idOf = (data: unknown): string => {
  const { id } = (data ?? {}) as { readonly id?: unknown };
  return typeof id === 'string' ? id : '';
};

const itemsOf = (lists: Readonly<Record<string, unknown>>) =>
  catalogueKinds.flatMap((kind) => {
    const own = lists[kind];
    const items = Array.isArray(own) ? (own as readonly unknown[]) : shippedCatalogue[kind];
    return items.map((data) => ({ kind, id: idOf(data), data }));
  });

/** A catalogue of the user’s own from the text of its file; lists that it leaves out are as shipped. */
export const readShelf = (file: string, text: string): Catalogue => {
  if (text.length > mostCharacters) throw new UsageError(`${file}: is too large for a catalogue`);
  let lists: unknown;
  try {
    lists = JSON.parse(text);
  } catch (error) {
    throw new UsageError(`${file}: is not valid JSON (${(error as Error).message})`);
  }
  if (typeof lists !== 'object' || lists === null || Array.isArray(lists))
    throw new UsageError(`${file}: must be an object of lists: ${catalogueKinds.join(', ')}`);
  const unknown = Object.keys(lists).filter((key) => key !== 'rates' && !catalogueKinds.some((kind) => kind === key));
  if (unknown.length > 0)
    throw new UsageError(`${file}: there is no list “${unknown[0]!}”; there is ${catalogueKinds.join(', ')}`);
  const own = lists as Readonly<Record<string, unknown>>;
  const rates = own['rates'] === undefined ? [] : [{ kind: 'rates', id: 'rates', data: own['rates'] }];
  const { catalogue, problems } = readCatalogue([...itemsOf(own), ...rates]);
  if (problems.length > 0)
    throw new UsageError(problems.map(({ path, message }) => `${file}: ${path}: ${message}`).join('\n'));
  return catalogue;
};

/** The ids of a catalogue with their names, all or of one kind; as JSON the whole lists. */
export const shelfText = (catalogue: Catalogue, kind: string | undefined, json: boolean): string => {
  const kinds = catalogueKinds.filter((each) => kind === undefined || each === kind);
  if (kinds.length === 0)
    throw new UsageError(`there is no list “${kind ?? ''}”; there is ${catalogueKinds.join(', ')}`);
  if (json) return JSON.stringify(Object.fromEntries(kinds.map((each) => [each, catalogue[each]])), null, 2);
  return kinds
    .flatMap((each) => [each, ...catalogue[each].map(({ id, name }) => `  ${id.padEnd(24)} ${name}`)])
    .join('\n');
};
