import type { Stretch } from '@vitrum/core';

/** A night, or a Sunday, is drawn as wide as so many minutes of work. */
const gapMinutes = 24;

/** Minutes of the plan as they are drawn: hours of work as they are, what lies between them narrow. */
export interface TimeScale {
  readonly place: (minute: number) => number;
  readonly minute: (place: number) => number;
  readonly end: number;
}

interface Piece {
  readonly from: number;
  readonly to: number;
  readonly at: number;
  readonly wide: number;
}

const piecesOf = (stretches: readonly Stretch[], from: number): readonly Piece[] => {
  const pieces: Piece[] = [];
  let [minute, at] = [from, 0];
  const add = (to: number, wide: number): void => {
    if (to <= minute) return;
    pieces.push({ from: minute, to, at, wide });
    at += wide;
    minute = to;
  };
  for (const [start, end] of stretches) {
    if (end <= minute) continue;
    add(start, Math.min(gapMinutes, start - minute));
    add(end, end - minute);
  }
  return pieces;
};

/** Draws time from `from` on over hours of work; after the last of them it goes on as it is. */
export const timeScale = (stretches: readonly Stretch[], from: number): TimeScale => {
  const pieces = piecesOf(stretches, from);
  const last = pieces.at(-1);
  const end = last === undefined ? 0 : last.at + last.wide;
  const lastMinute = last?.to ?? from;
  return {
    end,
    place: (minute) => {
      const piece = pieces.find(({ to }) => minute < to);
      if (minute <= from) return 0;
      if (piece === undefined) return end + (minute - lastMinute);
      return piece.at + ((minute - piece.from) / (piece.to - piece.from)) * piece.wide;
    },
    minute: (place) => {
      const piece = pieces.find(({ at, wide }) => place < at + wide);
      if (place <= 0) return from;
      if (piece === undefined) return lastMinute + (place - end);
      return piece.from + ((place - piece.at) / piece.wide) * (piece.to - piece.from);
    },
  };
};
