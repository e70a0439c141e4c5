/** Keeps a list as it was as long as its items are the same, so that what is memoized by it answers from memory. */
export const keptList = <Item>(): ((next: readonly Item[]) => readonly Item[]) => {
  let last: readonly Item[] = [];
  return (next) => {
    if (next.length !== last.length || next.some((item, index) => !Object.is(item, last[index]))) last = next;
    return last;
  };
};
