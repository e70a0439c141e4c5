/** Times that are taken of a person or a place, in order and apart; only `take` changes it. */
export interface Taken {
  readonly from: number[];
  readonly to: number[];
}

export const nothingTaken = (): Taken => ({ from: [], to: [] });

/** The first span that ends after `minute`. */
const spanAt = ({ to }: Taken, minute: number): number => {
  let [low, high] = [0, to.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (to[middle]! > minute) high = middle;
    else low = middle + 1;
  }
  return low;
};

/** Where what is taken between `start` and `end` ends; null where all of it is free. */
export const takenUntil = (taken: Taken, start: number, end: number): number | null => {
  const at = spanAt(taken, start);
  return at < taken.from.length && taken.from[at]! < end ? taken.to[at]! : null;
};

/** Takes a free span; spans that touch become one, so that a full week is looked over at once. */
export const take = (taken: Taken, start: number, end: number): void => {
  if (end <= start) return;
  const at = spanAt(taken, start);
  const joinsBefore = at > 0 && taken.to[at - 1]! >= start;
  const joinsAfter = at < taken.from.length && taken.from[at]! <= end;
  if (joinsBefore && joinsAfter) {
    taken.to[at - 1] = taken.to[at]!;
    taken.from.splice(at, 1);
    taken.to.splice(at, 1);
  } else if (joinsBefore) taken.to[at - 1] = end;
  else if (joinsAfter) taken.from[at] = start;
  else {
    taken.from.splice(at, 0, start);
    taken.to.splice(at, 0, end);
  }
};
