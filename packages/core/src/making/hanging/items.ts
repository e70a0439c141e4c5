import type { Hang, WallFixing } from './types.js';

/** The kinds of fixings in the wall and how many of each; told apart by id, for edits make copies of equal things. */
export const itemsOf = ({
  fixings,
}: Pick<Hang, 'fixings'>): readonly { readonly item: WallFixing['item']; readonly quantity: number }[] => {
  const kinds = new Map(fixings.map(({ item }) => [item.id, item]));
  return [...kinds.values()].map((item) => ({
    item,
    quantity: fixings.filter((each) => each.item.id === item.id).length,
  }));
};
