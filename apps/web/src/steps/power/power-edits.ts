import {
  inDesign,
  sameSegment,
  set,
  type Design,
  type DesignChange,
  type FieldRef,
  type SegmentRef,
} from '@vitrum/core';
import { changeDesign, useDocument } from '../../document/document-store';

type Power = Design['power'];
type SegmentEnd = 'start' | 'end';

const field = inDesign.power;

const same = (one: SegmentRef) => (other: SegmentRef) => sameSegment(one, other);

/** Only what names a segment: more may hang on it where it comes from. */
const bare = ({ assembly, segment }: SegmentRef): SegmentRef => ({ assembly, segment });

const inOrder = (one: SegmentRef, other: SegmentRef): number =>
  one.assembly === other.assembly ? one.segment - other.segment : one.assembly < other.assembly ? -1 : 1;

/** A list with a segment in it, or without. */
const withSegment = (
  list: readonly SegmentRef[] | undefined,
  segment: SegmentRef,
  wanted: boolean,
): readonly SegmentRef[] => {
  const others = (list ?? []).filter((each) => !sameSegment(each, segment));
  return wanted ? [...others, bare(segment)].sort(inOrder) : others;
};

/** Whether an end of a segment is fed besides where its chain begins. */
export const isInjected = ({ injections }: Power, segment: SegmentRef, end: SegmentEnd): boolean =>
  (injections ?? []).some((each) => sameSegment(each, segment) && each.end === end);

/** Feeds an end of a segment, or no longer. */
export const inject = (power: Power, segment: SegmentRef, end: SegmentEnd, wanted: boolean): DesignChange => {
  const others = (power.injections ?? []).filter((each) => !sameSegment(each, segment) || each.end !== end);
  return [set(field.injections, wanted ? [...others, { ...bare(segment), end }] : others)];
};

/** Feeds a chain, named by the first of its segments, at its far end or there. */
export const feedFrom = (power: Power, first: SegmentRef, backward: boolean): DesignChange => [
  set(field.fedBackward, withSegment(power.fedBackward, first, backward)),
  set(field.fedForward, withSegment(power.fedForward, first, !backward)),
];

/** Splits a chain before a segment, so that it begins one of its own. */
export const beginChain = (power: Power, segment: SegmentRef): DesignChange => [
  set(field.chainsBegin, withSegment(power.chainsBegin, segment, true)),
  set(field.chainsCarryOn, withSegment(power.chainsCarryOn, segment, false)),
];

/** Joins a segment to the chain before it. */
export const carryOn = (power: Power, segment: SegmentRef): DesignChange => [
  set(field.chainsBegin, withSegment(power.chainsBegin, segment, false)),
  set(field.chainsCarryOn, withSegment(power.chainsCarryOn, segment, true)),
];

/** The zone that names a segment, counted from 1; 0 when none does. */
export const zoneOf = ({ zones }: Power, segment: SegmentRef): number =>
  (zones ?? []).findIndex(({ segments }) => segments.some(same(segment))) + 1;

/** Puts a segment into a zone (0: into none); a zone that is new begins fully up, one that is left empty goes. */
export const putInZone = (power: Power, segment: SegmentRef, zone: number): DesignChange => {
  const others = (power.zones ?? []).map((each) => ({ ...each, segments: withSegment(each.segments, segment, false) }));
  const there = others[zone - 1];
  const filled =
    zone === 0
      ? others
      : there === undefined
        ? [...others, { segments: [bare(segment)], level: 1 }]
        : others.map((each) =>
            each === there ? { ...each, segments: withSegment(each.segments, segment, true) } : each,
          );
  return [
    set(
      field.zones,
      filled.filter(({ segments }) => segments.length > 0),
    ),
  ];
};

/** Two segments in series by hand; pairs that either was in are taken apart. */
export const pairSegments = (power: Power, first: SegmentRef, second: SegmentRef): DesignChange => {
  const others = (power.seriesPairs ?? []).filter(
    (pair) => ![pair.first, pair.second].some((each) => sameSegment(each, first) || sameSegment(each, second)),
  );
  return [set(field.seriesPairs, [...others, { first: bare(first), second: bare(second) }])];
};

const byHand = ['injections', 'fedBackward', 'fedForward', 'chainsBegin', 'chainsCarryOn', 'seriesPairs'] as const;

/** Whether anything of the wiring was done by hand. */
export const isByHand = (power: Power): boolean => byHand.some((list) => (power[list] ?? []).length > 0);

/** Lets Vitrum plan the wiring again. */
export const planAgain = (): DesignChange =>
  byHand.map((list) => set(field[list] as FieldRef<readonly unknown[] | undefined>, []));

/** Changes the wiring as it is now in the document: what is drawn may be an edit behind. */
export const changePower = (edit: (power: Power) => DesignChange): void => {
  const { design } = useDocument.getState();
  if (design !== null) changeDesign(edit(design.power));
};
