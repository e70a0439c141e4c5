import type { Segment } from '../../light/runs/index.js';

/** Two pieces that share double voltage, as indices into the segments; the first is fed plus, the second minus. */
export type SeriesPair = readonly [first: number, second: number];

/** A pair asked for that cannot be, with the reason. */
export interface Contradiction {
  readonly first: number;
  readonly second: number;
  readonly why: string;
}

export interface Pairing {
  readonly pairs: readonly SeriesPair[];
  /** Pieces left without a mate. */
  readonly alone: readonly number[];
  readonly contradictions: readonly Contradiction[];
}

type AskedPairs = readonly { readonly first: number; readonly second: number }[];

/**
 * Pieces two and two: as asked for by their numbers where that can be, the others next to each other in order of length, so
 * that mates are as equal as may be. Of an odd number the shortest stays alone.
 */
export const pairUp = (segments: readonly Segment[], wish: AskedPairs): Pairing => {
  const free = new Set(segments.keys());
  const pairs: SeriesPair[] = [];
  const contradictions: Contradiction[] = [];
  const placeOf = (number: number): number => segments.findIndex((segment) => segment.number === number);
  for (const { first, second } of wish) {
    const [one, other] = [placeOf(first), placeOf(second)];
    const missing = one < 0 ? first : second;
    const why =
      one < 0 || other < 0
        ? `there is no piece ${missing}`
        : one === other
          ? `piece ${first} cannot be in series with itself`
          : !free.has(one) || !free.has(other)
            ? `piece ${free.has(one) ? second : first} is in another pair already`
            : null;
    if (why !== null) contradictions.push({ first, second, why });
    else {
      pairs.push([one, other]);
      free.delete(one);
      free.delete(other);
    }
  }
  const rest = [...free].sort((a, b) => segments[b]!.lengthMm - segments[a]!.lengthMm || a - b);
  for (let place = 0; place + 1 < rest.length; place += 2) {
    const [one, other] = [rest[place]!, rest[place + 1]!].sort((a, b) => a - b);
    pairs.push([one!, other!]);
  }
  return { pairs, alone: rest.length % 2 === 1 ? [rest[rest.length - 1]!] : [], contradictions };
};
