/** The one item of a list: fails the test where there is none, or more than one. */
export const only = <T>(items: readonly T[]): T => {
  const [item, ...others] = items;
  if (item === undefined || others.length > 0) throw new Error(`there is not one, there are ${items.length}`);
  return item;
};
