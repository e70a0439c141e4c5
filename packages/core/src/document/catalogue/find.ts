import { failure, success, type Result } from '../../base/result.js';

/** The item with this id, or a problem at `path` that names what there is. */
export const findItem = <T extends { readonly id: string; readonly name: string }>(
  items: readonly T[],
  id: string,
  path: string,
): Result<T> => {
  const found = items.find((item) => item.id === id);
  if (found !== undefined) return success(found);
  const known = items.map((item) => item.id).join(', ');
  return failure({ path, message: `“${id}” is not in the catalogue; there is ${known || 'nothing of that kind'}` });
};

/** Items without those that come twice, told by their ids: what is memoized may hold copies of an item. */
export const distinctItems = <T extends { readonly id: string }>(items: readonly T[]): readonly T[] => [
  ...new Map(items.map((item) => [item.id, item])).values(),
];
