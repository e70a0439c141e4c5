import { boxSides, passesOf, timesAlong, type BoxSide } from '@vitrum/core';

/** The sides that carry strip once one of them carries so much; null where none would be left. */
export const sidesWith = (
  sides: readonly BoxSide[] | undefined,
  side: BoxSide,
  count: number,
): readonly BoxSide[] | null => {
  const times = timesAlong(passesOf({ sides, turnCount: 1 }));
  const next = boxSides.flatMap((each) => Array.from({ length: each === side ? count : times[each] }, () => each));
  return next.length === 0 ? null : next;
};
