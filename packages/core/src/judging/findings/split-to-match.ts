import type { DesignChange } from '../../document/design/index.js';
import { set } from '../../document/design/index.js';
import type { WiredSegment } from '../../power/circuit/index.js';
import { fieldsIn, inDesign, type SignResults } from '../results/index.js';
import type { Candidate, Remedy } from './types.js';

/** Of two in series the longer may be this much longer: the shorter then gets a twentieth more than its voltage. */
const longerAtMost = 1.1;
/** Cuts are looked for in so many of the longest segments, at no more than so many marks of each. */
const longestLookedAt = 4;
const marksLookedAt = 60;

/** A cut that might be made: a segment by its index, and how far along it (mm). */
interface Cut {
  readonly index: number;
  readonly atMm: number;
}

/** How much longer the longer one is in the worst pair, mates taken in order of length; endless where one has no mate. */
export const worstMatch = (lengths: readonly number[]): number => {
  if (lengths.length % 2 === 1) return Infinity;
  const sorted = [...lengths].sort((a, b) => b - a);
  let worst = 1;
  for (let at = 0; at + 1 < sorted.length; at += 2) worst = Math.max(worst, sorted[at]! / sorted[at + 1]!);
  return worst;
};

const cutLengths = (lengths: readonly number[], { index, atMm }: Cut): readonly number[] => [
  ...lengths.slice(0, index),
  atMm,
  lengths[index]! - atMm,
  ...lengths.slice(index + 1),
];

type Segments = readonly Pick<WiredSegment, 'lengthMm' | 'strip'>[];

/** Marks at which a segment might be cut, evenly picked where there are many. */
const cutsOf = (segments: Segments, index: number): readonly Cut[] => {
  const { lengthMm, strip } = segments[index]!;
  const marks = Math.round(lengthMm / strip.cutPitchMm) - 1;
  const every = Math.max(1, Math.ceil(marks / marksLookedAt));
  return Array.from({ length: Math.floor(marks / every) }, (_, mark) => ({
    index,
    atMm: (mark + 1) * every * strip.cutPitchMm,
  }));
};

const longestOf = (segments: Segments): readonly number[] =>
  [...segments.keys()].sort((a, b) => segments[b]!.lengthMm - segments[a]!.lengthMm).slice(0, longestLookedAt);

/** The fewest cuts after which all pairs match: one, two in different segments, or all in half; null where none do. */
export const cutsToMatch = (segments: Segments): readonly Cut[] | null => {
  const lengths = segments.map(({ lengthMm }) => lengthMm);
  const longest = longestOf(segments);
  let best: { readonly cuts: readonly Cut[]; readonly match: number } | null = null;
  const consider = (cuts: readonly Cut[], match: number): void => {
    if (match <= longerAtMost && (best === null || match < best.match)) best = { cuts, match };
  };
  const singles = longest.flatMap((index) => cutsOf(segments, index));
  for (const cut of singles) consider([cut], worstMatch(cutLengths(lengths, cut)));
  if (best === null)
    for (const one of singles)
      for (const other of singles)
        // The later segment first, so that the index of the other stays right.
        if (other.index < one.index) consider([one, other], worstMatch(cutLengths(cutLengths(lengths, one), other)));
  if (best === null) {
    const halves = segments.map(({ lengthMm, strip }, index): Cut => {
      const marks = Math.round(lengthMm / strip.cutPitchMm);
      return { index, atMm: Math.floor(marks / 2) * strip.cutPitchMm };
    });
    if (halves.every(({ atMm }) => atMm > 0))
      consider(halves, worstMatch(halves.flatMap(({ index, atMm }) => [atMm, lengths[index]! - atMm])));
  }
  return (best as { readonly cuts: readonly Cut[] } | null)?.cuts ?? null;
};

const wordsOf = (segments: SignResults['circuit']['segments'], cuts: readonly Cut[]): string =>
  cuts.length > 2
    ? 'Cut every segment in half, and pair the halves'
    : `Cut ${cuts.map(({ index, atMm }) => `segment ${segments[index]!.label} at ${Math.round(atMm)} mm`).join(' and ')} for pairs that match`;

/** Cuts runs so that all segments find a mate of their own length. */
export const splitToMatch = ({ circuit, assemblies }: SignResults): readonly Remedy[] => {
  const cuts = cutsToMatch(circuit.segments);
  if (cuts === null) return [];
  const change: DesignChange = [
    ...assemblies.flatMap((own) => {
      const mine = cuts.filter(({ index }) => circuit.segments[index]!.ref.assembly === own.id);
      if (mine.length === 0) return [];
      const added = mine.map(({ index, atMm }) => ({ segment: circuit.segments[index]!.ref.segment, atMm }));
      return [set(fieldsIn(own).light.cuts, [...(own.assembly.light.cuts ?? []), ...added])];
    }),
    set(inDesign.power.seriesPairs, []),
  ];
  const candidate: Candidate = { label: wordsOf(circuit.segments, cuts), change };
  return [{ id: 'split-to-match', candidates: [candidate] }];
};
