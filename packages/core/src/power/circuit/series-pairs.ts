import type { PowerDesign, SegmentRef } from '../../document/design/index.js';
import { segmentIndexOf, type WiredSegment } from './sign-runs.js';

/** Two segments that share double voltage, as indices into the segments; the first is fed plus, the second minus. */
export type SeriesPair = readonly [first: number, second: number];

/** A pair asked for that cannot be, with the reason. */
export interface Contradiction {
  readonly first: SegmentRef;
  readonly second: SegmentRef;
  readonly why: string;
}

export interface Pairing {
  readonly pairs: readonly SeriesPair[];
  /** Segments left without a mate. */
  readonly alone: readonly number[];
  readonly contradictions: readonly Contradiction[];
}

type AskedPairs = NonNullable<PowerDesign['seriesPairs']>;

/**
 * Segments two and two: as asked for by their references where that can be, the others next to each other in order of
 * length, so that mates are as equal as may be. Of an odd number the shortest stays alone.
 */
export const pairUp = (
  segments: readonly Pick<WiredSegment, 'ref' | 'label' | 'lengthMm'>[],
  asked: AskedPairs,
): Pairing => {
  const free = new Set(segments.keys());
  const pairs: SeriesPair[] = [];
  const contradictions: Contradiction[] = [];
  const name = (ref: SegmentRef, index: number): string => segments[index]?.label ?? String(ref.segment);
  for (const { first, second } of asked) {
    const [one, other] = [segmentIndexOf(segments, first), segmentIndexOf(segments, second)];
    const missing = one < 0 ? first : second;
    const why =
      one < 0 || other < 0
        ? `there is no segment ${missing.segment}`
        : one === other
          ? `segment ${name(first, one)} cannot be in series with itself`
          : !free.has(one) || !free.has(other)
            ? `segment ${free.has(one) ? name(second, other) : name(first, one)} is in another pair already`
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
