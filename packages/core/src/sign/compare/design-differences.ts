import type { Design } from '../design/index.js';

/** A field that differs between two designs; undefined where one of them leaves it out. */
export interface DesignDifference {
  /** Dotted, as problems have it, list places by number. */
  readonly path: string;
  readonly was: unknown;
  readonly now: unknown;
}

const isPart = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null;

/** Lists of numbers and of points are one thing: an outline is not told point by point. */
const isLeaf = (value: unknown): boolean =>
  !isPart(value) || (Array.isArray(value) && value.every((each) => !isPart(each) || Array.isArray(each)));

const below = (was: unknown, now: unknown, path: string): readonly DesignDifference[] => {
  if (was === now) return [];
  if (isLeaf(was) || isLeaf(now)) return JSON.stringify(was) === JSON.stringify(now) ? [] : [{ path, was, now }];
  const [before, after] = [was, now] as [Readonly<Record<string, unknown>>, Readonly<Record<string, unknown>>];
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key) =>
    below(before[key], after[key], path === '' ? key : `${path}.${key}`),
  );
};

/** What is proved at the bench is no part of the design. */
const beside = ({ proof: _proof, ...rest }: Design): object => rest;

/** Every field in which two designs differ, in the order of the first; ticks and readings are left out. */
export const designDifferences = (was: Design, now: Design): readonly DesignDifference[] =>
  below(beside(was), beside(now), '');
