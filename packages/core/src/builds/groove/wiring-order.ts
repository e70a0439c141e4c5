import type { Point } from '../../base/outlines/index.js';

/** A piece of strip as far as its wires go by it: where it begins and ends. */
export interface PieceEnds {
  readonly from: Point;
  readonly to: Point;
}

/** A piece in its turn: its place in the list that was given, and whether current enters where it ended. */
export interface Turn {
  readonly piece: number;
  readonly reversed: boolean;
}

/** More pieces than this are ordered by the nearest alone. */
const mostImproved = 160;
/** Up to so many each piece is tried in every other turn as well. */
const mostMoved = 60;
/** Rounds of looking for a shorter order. */
const mostRounds = 12;
/** Shorter by less than this is not shorter (mm). */
const hairMm = 1e-6;

const apart = ([ax, ay]: Point, [bx, by]: Point): number => Math.hypot(ax - bx, ay - by);

const beginOf = (pieces: readonly PieceEnds[], { piece, reversed }: Turn): Point =>
  reversed ? pieces[piece]!.to : pieces[piece]!.from;
const endOf = (pieces: readonly PieceEnds[], { piece, reversed }: Turn): Point =>
  reversed ? pieces[piece]!.from : pieces[piece]!.to;

/** Wire from where it comes in to the first piece, and from each to the next (mm, straight). */
export const wireBetween = (pieces: readonly PieceEnds[], order: readonly Turn[], entry: Point): number =>
  order.reduce(
    (sum, turn, at) => sum + apart(at === 0 ? entry : endOf(pieces, order[at - 1]!), beginOf(pieces, turn)),
    0,
  );

/** Always on to the nearest end. */
const nearestFirst = (pieces: readonly PieceEnds[], entry: Point): Turn[] => {
  const left = new Set(pieces.keys());
  const order: Turn[] = [];
  let at = entry;
  while (left.size > 0) {
    let best: { readonly turn: Turn; readonly away: number } | null = null;
    for (const piece of left)
      for (const reversed of [false, true]) {
        const away = apart(at, beginOf(pieces, { piece, reversed }));
        if (best === null || away < best.away - hairMm) best = { turn: { piece, reversed }, away };
      }
    order.push(best!.turn);
    left.delete(best!.turn.piece);
    at = endOf(pieces, best!.turn);
  }
  return order;
};

const turnedRound = (turns: readonly Turn[]): readonly Turn[] =>
  [...turns].reverse().map(({ piece, reversed }) => ({ piece, reversed: !reversed }));

/** Takes one piece after the other out of the order and puts it, either way round, where that makes it shorter; whether any did. */
const moveOne = (pieces: readonly PieceEnds[], order: Turn[], entry: Point): boolean => {
  let [better, length] = [false, wireBetween(pieces, order, entry)];
  for (let from = 0; from < order.length; from += 1) {
    const { piece } = order[from]!;
    const rest = order.filter((_, at) => at !== from);
    for (let to = 0; to <= rest.length; to += 1)
      for (const reversed of [false, true]) {
        const tried = [...rest.slice(0, to), { piece, reversed }, ...rest.slice(to)];
        const now = wireBetween(pieces, tried, entry);
        if (now >= length - hairMm) continue;
        order.splice(0, order.length, ...tried);
        [better, length] = [true, now];
      }
  }
  return better;
};

/**
 * The order and the way round in which pieces are wired one after the other with little wire, from where it comes in: always on to the
 * nearest, then stretches of the order turned round (2-opt, G. A. Croes, 1958) and single pieces moved as long as that is shorter.
 */
export const wiringOrder = (pieces: readonly PieceEnds[], entry: Point): readonly Turn[] => {
  const order = nearestFirst(pieces, entry);
  const count = order.length;
  if (count > mostImproved) return order;
  for (let round = 0; round < mostRounds; round += 1) {
    let better = false;
    for (let from = 0; from < count; from += 1)
      for (let to = from; to < count; to += 1) {
        const before = from === 0 ? entry : endOf(pieces, order[from - 1]!);
        const [first, last] = [order[from]!, order[to]!];
        const after = order[to + 1] === undefined ? null : beginOf(pieces, order[to + 1]!);
        const now = apart(before, beginOf(pieces, first)) + (after === null ? 0 : apart(endOf(pieces, last), after));
        const then = apart(before, endOf(pieces, last)) + (after === null ? 0 : apart(beginOf(pieces, first), after));
        if (then >= now - hairMm) continue;
        order.splice(from, to - from + 1, ...turnedRound(order.slice(from, to + 1)));
        better = true;
      }
    if (count <= mostMoved && moveOne(pieces, order, entry)) better = true;
    if (!better) break;
  }
  return order;
};
